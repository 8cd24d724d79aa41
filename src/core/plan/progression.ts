import type { Library } from '../exercise';
import type { Practice } from '../practice';
import {
	type Block,
	type Field,
	formatOf,
	numberOf,
	putBlock,
	putPart,
	removeBlock,
	type Session,
	sessionFaults,
	withNumber,
	withoutPart
} from '../session';
import type { DayKind } from '../calendar';
import type { Deload, Rule, RuleTarget } from './model';
import { stepDefinition, type Step } from './steps';
import { fieldsOf, roundOf, valueOf } from './steps/definition';

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

/** Applies a step to a block as a whole, or else to the given parts of it; false if it applies to neither. */
function stepWork(
	work: Work,
	step: Step,
	times: number,
	rule: string,
	b: number,
	parts: number[],
	practice: Practice
): boolean {
	const definition = stepDefinition(step.kind);
	const at = { rule, block: b, part: null };
	const applies = definition.changeBlock?.(step, times, {
		get block() {
			return work.block;
		},
		has: (knob) => fieldsOf(work.block, knob).length > 0,
		turn(knob, to) {
			const fields = fieldsOf(work.block, knob).filter((field) => valueOf(work.block, field) > 0);
			for (const field of fields) turn(work, at, field, to(field, valueOf(work.block, field)));
			return fields.length > 0;
		},
		stuck: (why) => work.stuck.push({ ...at, why })
	});
	if (applies !== null && applies !== undefined) return applies;
	let appliesToParts = false;
	for (const p of parts) {
		const part = work.block.parts[p];
		const next = part && definition.changePart?.(step, times, part, practice);
		if (!next) continue;
		appliesToParts = true;
		if (next.stuck) work.stuck.push({ rule, block: b, part: p, why: next.stuck });
		if (next.from === next.to) continue;
		work.block = putPart(work.block, p, next.part);
		work.changes.push({ rule, block: b, part: p, what: next.what, from: next.from, to: next.to });
	}
	return appliesToParts;
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
			steps.some(({ kind }) => stepDefinition(kind).isPlacement) &&
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
