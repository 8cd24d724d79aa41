import { LEVELS } from '../people';
import { amountOf } from './amount';
import { compileSession } from './compile';
import { formatOf, type Block } from './formats';
import type { Practice } from '../practice';
import { FaultList, type Fault } from './fault-list';
import type { Session } from './model';
import { INSTEAD_WHEN, LIMITS, PARTIALS, RESISTANCES, type Part, type Target } from './parts';

/** Signs that part a typed line; a name with one of them could not be read back. */
const NAME_SIGNS = /[+/:,@"\n]/;

/** A number that may be one or, where a choice is left, two. */
function targetFaults(list: FaultList, field: string, target: Target): void {
	if (target.to !== undefined) {
		list.whole(`${field}.to`, `${target.kind} at the upper end`, target.to, 1, LIMITS[target.kind]);
		if (target.to <= amountOf(target))
			list.add(
				`${field}.to`,
				`the upper end of ${target.to} ${target.kind} lies above the lower one of ${amountOf(target)}`
			);
	}
	if (target.kind === 'reps') list.whole(`${field}.reps`, 'reps', target.reps, 1, LIMITS.reps);
	else if (target.kind === 'seconds')
		list.whole(`${field}.seconds`, 'seconds', target.seconds, 1, LIMITS.seconds);
	else list.whole(`${field}.metres`, 'metres', target.metres, 1, LIMITS.metres);
}

function insteadFaults(list: FaultList, { exercise, instead = [] }: Part): void {
	if (instead.length > LIMITS.instead)
		list.add('.instead', `at most ${LIMITS.instead} exercises stand in for another`);
	instead.forEach((one, i) => {
		const at = `.instead[${i}]`;
		if (!INSTEAD_WHEN.includes(one.when)) list.add(`${at}.when`, `there are ${INSTEAD_WHEN.join(', ')}`);
		const name = one.exercise;
		if (!name.trim() || name.length > LIMITS.nameLength || NAME_SIGNS.test(name))
			list.add(
				`${at}.exercise`,
				`a name has 1 to ${LIMITS.nameLength} letters, and none of the signs + / : , @ "`
			);
		if (name === exercise) list.add(`${at}.exercise`, `${name} doesn’t stand in for itself`);
		const before = instead.slice(0, i);
		if (before.some((other) => other.when === one.when && (one.when !== 'choice' || other.exercise === name)))
			list.add(
				at,
				one.when === 'choice' ? `${name} is named twice` : `for a sore ${one.when} one exercise is enough`
			);
	});
}

function partFaults(part: Part, path: string, practice: Practice): Fault[] {
	const list = new FaultList(path, practice);
	if (!part.exercise.trim()) list.add('.exercise', 'an exercise needs a name');
	if (part.exercise.length > LIMITS.nameLength)
		list.add('.exercise', `a name has at most ${LIMITS.nameLength} letters`);
	if (NAME_SIGNS.test(part.exercise)) list.add('.exercise', 'a name has none of the signs + / : , @ " in it');
	targetFaults(list, '.target', part.target);
	if (part.or) {
		targetFaults(list, '.or', part.or);
		if (part.or.kind === part.target.kind)
			list.add('.or', `the choice is between two ways to count, here both are ${part.or.kind}`);
	}
	if (part.kg !== null && !(part.kg > 0 && part.kg <= LIMITS.kg))
		list.add('.kg', `a load is above 0 and at most ${LIMITS.kg} kg; leave it out for bodyweight`);
	if (part.kgByLevel) {
		if (part.kgByLevel.some((kg) => !(kg > 0 && kg <= LIMITS.kg)))
			list.add('.kgByLevel', `each load is above 0 and at most ${LIMITS.kg} kg`);
		if (part.kgByLevel.length !== LEVELS.length || part.kgByLevel[1] !== part.kg)
			list.add(
				'.kgByLevel',
				`loads by level are three, for ${LEVELS.join(', ')}; the second is the load itself`
			);
	}
	if (part.tempo) {
		const bad = part.tempo.some((phase) => !(phase >= 0 && phase <= LIMITS.tempoPhase));
		if (bad) list.add('.tempo', `each tempo phase lasts 0 to ${LIMITS.tempoPhase} s`);
		else if (part.tempo.every((phase) => phase === 0))
			list.add('.tempo', 'a tempo takes some time: 2-0-1-0, say');
	}
	if (part.weights !== undefined) {
		list.whole('.weights', 'weights', part.weights, 2, LIMITS.weights);
		if (part.kg === null) list.add('.weights', 'several weights of no weight: give the kg of one');
	}
	if (part.resistance !== undefined) {
		if (!RESISTANCES.includes(part.resistance))
			list.add('.resistance', `there are the loads ${RESISTANCES.join(', ')}`);
		if (part.kg !== null) list.add('.resistance', 'a load is a number of kg or a word, not both');
	}
	if (part.each) {
		if (part.each.length < 2 || part.each.length > LIMITS.sets)
			list.add('.each', `amounts of single sets are 2 to ${LIMITS.sets}`);
		part.each.forEach((amount, i) =>
			list.whole(`.each[${i}]`, part.target.kind, amount, 1, LIMITS[part.target.kind])
		);
		if (part.each[0] !== amountOf(part.target))
			list.add('.each', 'the first of the amounts is that of the target');
		if (part.target.to !== undefined)
			list.add('.each', 'amounts of single sets are one number each, without a range');
	}
	insteadFaults(list, part);
	if (part.pace !== undefined) {
		list.whole('.pace', 'seconds a kilometre', part.pace, ...LIMITS.pace);
		if (part.target.kind !== 'metres') list.add('.pace', 'a pace needs a distance, as in 5 km');
	}
	if (part.eachWay && part.target.kind !== 'metres')
		list.add('.eachWay', 'each way needs a distance, as in 20 m each way');
	if (part.effort) {
		const { low, high } = part.effort;
		if (!(low >= 0 && high <= 10 && low <= high))
			list.add('.effort', 'effort goes from 0 to 10, the lower number first, as in effort 7-9');
	}
	if (part.partial !== undefined && !(part.partial in PARTIALS))
		list.add('.partial', `there are the partial rules ${Object.keys(PARTIALS).join(', ')}`);
	return list.faults;
}

const numberWords = (n: number): string => ['no', 'one', 'two', 'three'][n] ?? String(n);

/** A number of a block that its format names; null where it has none of its own. */
export function numberOf(block: Block, key: string): number | null {
	const value: unknown = Reflect.get(block, key);
	return typeof value === 'number' ? value : null;
}

/** What a block has under a key beside its numbers; null where it has none. */
function recordIn(block: Block, key: string): object | null {
	const record: unknown = Reflect.get(block, key);
	return typeof record === 'object' ? record : null;
}

interface Bounded {
	key: string;
	label: string;
	says?: string;
	bounds: readonly [least: number, most: number];
}

/** What is wrong with one number of a block or of a record in it; a number or record that is not there is none. */
function numberFaults(list: FaultList, at: string, field: Bounded, record: object | null): void {
	const value: unknown = record ? Reflect.get(record, field.key) : null;
	if (typeof value === 'number')
		list.whole(`${at}.${field.key}`, field.says ?? field.label, value, ...field.bounds);
}

export function blockFaults(block: Block, path: string, practice: Practice): Fault[] {
	const list = new FaultList(path, practice);
	const format = formatOf(block);
	const [min, max] = format.takes;
	const count = block.parts.length;
	if (count === 0) list.add('.parts', 'a block needs at least one exercise');
	else if (count < min || count > max) {
		const right = min === max ? numberWords(min) : `${numberWords(min)} to ${numberWords(max)}`;
		list.add(
			'.parts',
			`${format.label} takes ${right} ${max === 1 ? 'exercise' : 'exercises'}, here are ${count}${format.tooMany ? `; ${format.tooMany}` : ''}`
		);
	}
	if (block.dayPart !== undefined) {
		list.text('.dayPart', 'the part of the day', block.dayPart, LIMITS.dayPart);
		if (/\n/.test(block.dayPart)) list.add('.dayPart', 'the part of the day is one line');
	}
	if (block.setup) {
		list.text('.setup.text', 'the set-up', block.setup.text, LIMITS.setupText);
		if (/\n/.test(block.setup.text)) list.add('.setup.text', 'the set-up is one line');
		list.whole('.setup.seconds', 'seconds of set-up', block.setup.seconds, 0, LIMITS.seconds);
	}
	for (const field of format.fields) numberFaults(list, '', field, block);
	for (const extra of format.extras ?? [])
		if (extra.kind === 'record')
			for (const field of extra.fields)
				if (field.kind === 'number') numberFaults(list, `.${extra.key}`, field, recordIn(block, extra.key));
	format.check?.(block, list);
	const often = format.fields.find(({ knob }) => knob === 'often');
	const times = often ? numberOf(block, often.key) : 1;
	block.parts.forEach(({ each }, i) => {
		if (each && times !== null && each.length !== times)
			list.add(`.parts[${i}].each`, `${each.length} amounts for ${times} ${often?.label ?? 'set'}`);
	});
	return [
		...list.faults,
		...block.parts.flatMap((part, i) => partFaults(part, `${path}.parts[${i}]`, practice))
	];
}

function repeatFaults(session: Session, practice: Practice): Fault[] {
	const list = new FaultList('', practice);
	const repeats = session.repeats ?? [];
	if (repeats.length > LIMITS.repeats) list.add('repeats', `a session has at most ${LIMITS.repeats} repeats`);
	repeats.forEach((repeat, i) => {
		const at = `repeats[${i}]`;
		const last = session.blocks.length - 1;
		list.whole(`${at}.times`, 'times', repeat.times, 2, LIMITS.passes);
		list.whole(`${at}.rest`, 'seconds between', repeat.rest, 0, LIMITS.seconds);
		list.whole(`${at}.from`, 'as the first block', repeat.from, 0, Math.max(0, last));
		list.whole(`${at}.to`, 'as the last block', repeat.to, 0, Math.max(0, last));
		if (repeat.from > repeat.to)
			list.add(
				at,
				`it would run from block ${repeat.from + 1} back to block ${repeat.to + 1}, round and round`
			);
		repeats.slice(0, i).forEach((other, o) => {
			if (repeat.from <= other.to && other.from <= repeat.to)
				list.add(
					at,
					`block ${Math.max(repeat.from, other.from) + 1} stands in this repeat and in repeat ${o + 1}; a block is repeated by one only`
				);
		});
	});
	return list.faults;
}

function accompanyingFaults(session: Session, practice: Practice): Fault[] {
	const list = new FaultList('', practice);
	if (session.note !== undefined) list.text('note', 'the note', session.note, LIMITS.note);
	const links = session.links ?? [];
	if (links.length > LIMITS.links) list.add('links', `a session has at most ${LIMITS.links} links`);
	links.forEach((link, i) => {
		list.text(`links[${i}].title`, 'the title', link.title, LIMITS.linkTitle);
		if (link.url.length > LIMITS.linkUrl || !/^https?:\/\/[^\s/?#]+\.[^\s]*$/i.test(link.url))
			list.add(`links[${i}].url`, 'an address begins with https:// and has no spaces');
		if (/[|\n]/.test(link.title)) list.add(`links[${i}].title`, 'a title is one line without the sign |');
	});
	const recovery = session.recovery ?? [];
	if (recovery.length > LIMITS.recovery)
		list.add('recovery', `at most ${LIMITS.recovery} things follow a session`);
	recovery.forEach((text, i) => {
		list.text(`recovery[${i}]`, 'what follows', text, LIMITS.recoveryText);
		if (/\n/.test(text)) list.add(`recovery[${i}]`, 'what follows is one line each');
	});
	return list.faults;
}

/** Whether there are more exercises in all than a session may have; asked before anything else is looked into. */
export function countFaults(blocks: readonly { parts?: unknown }[]): Fault[] {
	const count = blocks.reduce((sum, { parts }) => sum + (Array.isArray(parts) ? parts.length : 0), 0);
	if (count <= LIMITS.exercises) return [];
	const message = `a session has at most ${LIMITS.exercises} exercises in all its blocks, this one ${count.toLocaleString('en')}`;
	return [{ path: 'blocks', message }];
}

/** Everything that keeps a session from being saved; empty when it is sound. */
export function sessionFaults(session: Session, practice: Practice): Fault[] {
	const tooMany = countFaults(session.blocks);
	if (tooMany.length > 0) return tooMany;
	const faults = session.blocks.flatMap((block, i) => blockFaults(block, `blocks[${i}]`, practice));
	if (session.blocks.length === 0)
		faults.unshift({ path: 'blocks', message: 'a session needs at least one block' });
	if (session.blocks.length > LIMITS.blocks)
		faults.unshift({ path: 'blocks', message: `a session has at most ${LIMITS.blocks} blocks` });
	faults.push(...repeatFaults(session, practice), ...accompanyingFaults(session, practice));
	// What is sound in every part can still be far too much of it: counted only then, so that it ends.
	if (faults.length === 0) {
		const { segments, totals } = compileSession(session, practice);
		if (segments.length > LIMITS.segments)
			faults.push({
				path: 'blocks',
				message: `a session has at most ${LIMITS.segments.toLocaleString('en')} steps; this one has more`
			});
		else if (totals.duration > LIMITS.session)
			faults.push({
				path: 'blocks',
				message: `a session ends on the day it began, this one would take ${Math.round(totals.duration / 3600)} hours`
			});
	}
	return faults;
}
