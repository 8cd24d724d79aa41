import type { Library } from '../exercise';
import type { Practice } from '../practice';
import { substitutePart } from '../substitution';
import {
	type Block,
	type Field,
	formatOf,
	kgText,
	numberOf,
	type Part,
	putBlock,
	putPart,
	removeBlock,
	type Session,
	sessionFaults,
	targetText,
	withAmounts,
	withLoads,
	withNumber,
	withoutPart
} from '../session';
import type { DayKind } from '../calendar';
import type { Deload, Rule, RuleTarget, Step } from './model';

/** One thing that a rule or a lighter week has changed, in words: `12 → 14 kg`. */
export interface Progress {
	/** Id of the rule; null: the lighter week. */
	rule: string | null;
	block: number;
	/** Null: the block as a whole. */
	part: number | null;
	what: string;
	from: string;
	to: string;
}

/** Where a rule could not do what it says. */
export interface Stuck {
	rule: string;
	block: number;
	part: number | null;
	why: string;
}

export interface Progressed {
	session: Session;
	changes: Progress[];
	stuck: Stuck[];
	/** Rules that found something of theirs in the session. */
	met: Set<string>;
}

export const isDeload = (week: number, deload: Deload | null): boolean =>
	deload !== null && week % deload.every === 0;

/**
 * How many steps a rule has made by a week: one in its first week, then one every so many weeks, none in lighter
 * weeks, none after its last.
 *
 * @param week 1 … N
 */
export function stepsBy(
	rule: Pick<Rule, 'from' | 'until' | 'every'>,
	week: number,
	deload: Deload | null
): number {
	let weeks = 0;
	for (let w = rule.from; w <= Math.min(week, rule.until ?? week); w++) if (!isDeload(w, deload)) weeks++;
	return Math.ceil(weeks / rule.every);
}

const fieldsOf = (block: Block, knob: Field<Block>['knob']): Field<Block>[] =>
	formatOf(block).fields.filter((field) => field.knob === knob);

/** Seconds of a round that has its length in minutes, or of one more minute. */
const MINUTE = 60;
/** Rest that is always left between two sets. */
const LEAST_REST = 5;

interface Work {
	block: Block;
	changes: Progress[];
	stuck: Stuck[];
}

/** Sets one number of a block and notes what it was. */
function turn(work: Work, at: Omit<Progress, 'what' | 'from' | 'to'>, field: Field<Block>, to: number): void {
	const now = numberOf(work.block, field.key);
	if (now === null || now === to) return;
	const unit = field.unit === 'clock' ? ' s' : field.unit ? ` ${field.unit}` : '';
	work.block = withNumber(work.block, field.key, to);
	work.changes.push({ ...at, what: field.label, from: `${now}${unit}`, to: `${to}${unit}` });
}

/** What one round more adds to a number: a minute for each group of an EMOM, a minute where the block has a length. */
const roundOf = (block: Block, field: Field<Block>): number =>
	formatOf(block).round?.(block) ?? (field.unit === 'clock' ? MINUTE : 1);

function oftener(block: Block, field: Field<Block>, rounds: number): number {
	return (numberOf(block, field.key) ?? 0) + rounds * roundOf(block, field);
}

function stepBlock(work: Work, step: Step, times: number, rule: string, b: number): boolean {
	const at = { rule, block: b, part: null };
	const turns = (knob: Field<Block>['knob'], to: (field: Field<Block>, now: number) => number): boolean => {
		const fields = fieldsOf(work.block, knob).filter((field) => (numberOf(work.block, field.key) ?? 0) > 0);
		for (const field of fields) turn(work, at, field, to(field, numberOf(work.block, field.key) ?? 0));
		return fields.length > 0;
	};
	switch (step.kind) {
		case 'rounds':
			return turns('often', (field) => oftener(work.block, field, times * step.rounds));
		case 'rest':
			return turns('rest', (_, now) => {
				const least = Math.min(now, LEAST_REST);
				if (times > 0 && now - times * step.seconds < least)
					work.stuck.push({ ...at, why: `no more than ${now - least} s of rest to take away` });
				return Math.max(least, now - times * step.seconds);
			});
		case 'seconds':
			return turns('work', (field, now) =>
				field.label === 'minutes'
					? now + Math.round((times * step.seconds) / MINUTE)
					: now + times * step.seconds
			);
		default:
			return false;
	}
}

const loadOf = (part: Part): string => kgText(part) ?? 'bodyweight';
/** Loads are told to a tenth of a kilogram. */
const tenth = (kg: number): number => Math.round(kg * 10) / 10;

/** A part after so many steps; null where the step does not apply to it. */
function steppedPart(
	part: Part,
	step: Step,
	times: number,
	practice: Practice
): { part: Part; what: string; from: string; to: string; stuck?: string } | null {
	const { target } = part;
	const told = (next: Part, what: string, text: (p: Part) => string, stuck?: string) => ({
		part: next,
		what,
		from: text(part),
		to: text(next),
		...(stuck && { stuck })
	});
	const amount = (p: Part) => targetText(p);
	switch (step.kind) {
		case 'load':
			if (part.kg === null) return null;
			return told(
				withLoads(part, (kg) => tenth(kg + times * step.kg)),
				'load',
				loadOf
			);
		case 'reps':
			if (target.kind !== 'reps') return null;
			return told(
				withAmounts(part, (reps) => reps + times * step.reps),
				'reps',
				amount
			);
		case 'seconds':
			if (target.kind !== 'seconds') return null;
			return told(
				withAmounts(part, (seconds) => seconds + times * step.seconds),
				'seconds',
				amount
			);
		case 'tempo': {
			const [down, ...rest] =
				part.tempo ?? practice.library.find(part.exercise)?.tempo ?? practice.house.tempo;
			if (target.kind !== 'reps') return null;
			const tempo = (p: Part) => (p.tempo ?? [down, ...rest]).join('-');
			return told({ ...part, tempo: [down + times * step.seconds, ...rest] }, 'tempo', tempo);
		}
		case 'double': {
			if (target.kind !== 'reps') return null;
			const climb = Math.max(0, step.top - target.reps);
			const [heavier, more] =
				part.kg === null
					? [0, Math.min(times, climb)]
					: [Math.floor(times / (climb + 1)), times % (climb + 1)];
			const next = withLoads(
				withAmounts(part, (reps) => reps + more),
				(kg) => tenth(kg + heavier * step.kg)
			);
			const stuck =
				part.kg === null && times > climb ? `${step.top} reps are reached, with no load to add` : undefined;
			return told(next, 'reps, then load', (p) => `${amount(p)} at ${loadOf(p)}`, stuck);
		}
		case 'variation': {
			let exercise = practice.library.find(part.exercise);
			if (!exercise) return null;
			let made = 0;
			for (; made < times; made++) {
				const next = practice.library.harder(exercise.name);
				if (!next) break;
				exercise = next;
			}
			const next = made > 0 ? substitutePart(part, exercise, practice) : part;
			const stuck = made < times ? `${exercise.name} is the hardest variation` : undefined;
			return told(next, 'variation', (p) => p.exercise, stuck);
		}
		default:
			return null;
	}
}

/** Whether a rule is about an exercise wherever it comes, rather than about a place. */
export const isEverywhere = (on: RuleTarget): on is { exercise: string } => 'exercise' in on;

/** The parts of a block that a rule is about; null: none of it. */
function partsMeant(on: RuleTarget, key: string, block: Block, b: number, library: Library): number[] | null {
	const all = block.parts.map((_, p) => p);
	if (isEverywhere(on)) {
		const meant = library.find(on.exercise);
		const found = all.filter((p) => {
			const exercise = library.find(block.parts[p]?.exercise ?? '');
			return exercise ? exercise === meant : block.parts[p]?.exercise === on.exercise;
		});
		return found.length > 0 ? found : null;
	}
	if (on.session !== key || (on.block !== undefined && on.block !== b)) return null;
	if (on.block === undefined && block.role !== 'main') return null;
	if (on.part === undefined) return all;
	return on.part < all.length ? [on.part] : null;
}

const WHOLE_BLOCK = new Set<Step['kind']>(['rounds', 'rest']);

/** Applies a step to a block as a whole or to the parts that are meant; false where it does not apply to any. */
function stepWork(
	work: Work,
	step: Step,
	times: number,
	rule: string,
	b: number,
	parts: number[],
	practice: Practice
): boolean {
	// The seconds of a circuit, of steady cardio and of hard intervals belong to the block.
	const ofBlock =
		WHOLE_BLOCK.has(step.kind) || (step.kind === 'seconds' && fieldsOf(work.block, 'work').length > 0);
	if (ofBlock) return stepBlock(work, step, times, rule, b);
	let applies = false;
	for (const p of parts) {
		const part = work.block.parts[p];
		const next = part && steppedPart(part, step, times, practice);
		if (!next) continue;
		applies = true;
		if (next.stuck) work.stuck.push({ rule, block: b, part: p, why: next.stuck });
		if (next.from === next.to) continue;
		work.block = putPart(work.block, p, next.part);
		work.changes.push({ rule, block: b, part: p, what: next.what, from: next.from, to: next.to });
	}
	return applies;
}

const lighter = (now: number, keep: number, unit: number): number =>
	Math.max(unit, Math.round((now * keep) / unit) * unit);

/** The rounds and sets of the main work cut to their share; a block that is done once stays. */
function cut(work: Work, b: number, keep: number): void {
	if (work.block.role !== 'main') return;
	for (const field of fieldsOf(work.block, 'often')) {
		const now = numberOf(work.block, field.key);
		if (now === null) continue;
		const unit = roundOf(work.block, field);
		turn(work, { rule: null, block: b, part: null }, field, Math.min(now, lighter(now, keep, unit)));
	}
}

/** Blocks and parts that are put back later, from the end so that the places before them stay. */
function leaveOut(
	session: Session,
	key: string,
	rules: readonly Rule[],
	week: number,
	result: Progressed
): Session {
	const away = rules
		.flatMap(({ id, on, steps, from }) =>
			steps.some((step) => step.kind === 'restore') &&
			!isEverywhere(on) &&
			on.session === key &&
			on.block !== undefined
				? [{ id, block: on.block, part: on.part ?? null, left: week < from }]
				: []
		)
		.sort((a, b) => b.block - a.block || (b.part ?? Infinity) - (a.part ?? Infinity));
	/** Places that are gone: what lies there now is something else. */
	const gone = new Set<string>();
	for (const { id, block: b, part, left } of away) {
		if (gone.has(`${b}`) || gone.has(`${b}.${part}`)) {
			result.met.add(id);
			continue;
		}
		const block = session.blocks[b];
		if (!block || (part !== null && part >= block.parts.length)) continue;
		result.met.add(id);
		const whole = part === null || block.parts.length === 1;
		if (!left) continue;
		if (whole && session.blocks.length === 1) {
			result.stuck.push({ rule: id, block: b, part, why: 'nothing would be left of the session' });
			continue;
		}
		const what = part === null ? formatOf(block).label : (block.parts[part]?.exercise ?? '');
		result.changes.push({ rule: id, block: b, part, what, from: 'in it', to: 'left out' });
		gone.add(whole ? `${b}` : `${b}.${part}`);
		session = whole ? removeBlock(session, b) : putBlock(session, b, withoutPart(block, part));
	}
	return session;
}

/** Whether what lies on a day follows the rules: a test is always taken under the same conditions. */
export const followsRules = (day: { kind: DayKind }): boolean => day.kind !== 'test';

/** A session that no rule touches. */
export const unchanged = (session: Session): Progressed => ({
	session,
	changes: [],
	stuck: [],
	met: new Set()
});

/**
 * A session as it is to be done in a week: its rules applied as often as they have stepped by then, cut in a
 * lighter week. Rules are about the session as it was built; a rule that finds nothing it could change in it is
 * not among `met`. What would no longer be a sound session is left as it was and said in `stuck`.
 *
 * @param key what rules call the session
 * @param week 1 … N
 */
export function sessionInWeek(
	session: Session,
	key: string,
	week: number,
	plan: { rules: readonly Rule[]; deload: Deload | null },
	practice: Practice
): Progressed {
	const result = unchanged(session);
	const light = isDeload(week, plan.deload);
	let next = session;
	session.blocks.forEach((block, b) => {
		const work: Work = { block, changes: [], stuck: [] };
		for (const rule of plan.rules) {
			const parts = partsMeant(rule.on, key, block, b, practice.library);
			if (!parts) continue;
			const times = stepsBy(rule, week, plan.deload);
			for (const step of rule.steps) {
				const before = { ...work, changes: [...work.changes], stuck: [...work.stuck] };
				if (!stepWork(work, step, times, rule.id, b, parts, practice)) continue;
				result.met.add(rule.id);
				const [fault] = sessionFaults(putBlock(next, b, work.block), practice);
				if (!fault || work.block === before.block) continue;
				Object.assign(work, before);
				work.stuck.push({ rule: rule.id, block: b, part: null, why: fault.message });
			}
		}
		if (light) cut(work, b, plan.deload?.keep ?? 1);
		next = putBlock(next, b, work.block);
		result.changes.push(...work.changes);
		result.stuck.push(...work.stuck);
	});
	next = leaveOut(next, key, plan.rules, week, result);
	result.session = result.changes.length > 0 ? next : session;
	return result;
}
