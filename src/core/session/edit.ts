/** Changes to a session as a whole. Each gives a new session; repeats keep their blocks. */
import { withSets } from './amount';
import type { Practice } from '../practice';
import { formatOf, newSets, newSuperset, type Block } from './formats';
import type { Repeat, Session } from './model';
import type { Part } from './parts';

interface Placed {
	block: Block;
	/** The repeat it stands in: an index into the session's repeats. */
	within: number | null;
}

function placed(session: Session): Placed[] {
	const repeats = session.repeats ?? [];
	return session.blocks.map((block, b) => {
		const within = repeats.findIndex((repeat) => b >= repeat.from && b <= repeat.to);
		return { block, within: within < 0 ? null : within };
	});
}

/** The session of these blocks; a repeat whose blocks are no longer side by side keeps the first of them. */
function assembled(session: Session, blocks: Placed[]): Session {
	const repeats = (session.repeats ?? []).flatMap((repeat, r): Repeat[] => {
		const from = blocks.findIndex(({ within }) => within === r);
		if (from < 0) return [];
		let to = from;
		while (blocks[to + 1]?.within === r) to++;
		return [{ ...repeat, from, to }];
	});
	const next: Session = { ...session, blocks: blocks.map(({ block }) => block) };
	delete next.repeats;
	return repeats.length > 0 ? { ...next, repeats: repeats.sort((a, b) => a.from - b.from) } : next;
}

/** The repeat around the gap before index `at`, null where the gap lies outside of one. */
const around = (blocks: Placed[], at: number): number | null => {
	const [before, after] = [blocks[at - 1]?.within ?? null, blocks[at]?.within ?? null];
	return before !== null && before === after ? before : null;
};

/** Puts a block before index `at`; between two blocks of a repeat it belongs to that. */
export function insertBlock(session: Session, at: number, block: Block): Session {
	const blocks = placed(session);
	blocks.splice(at, 0, { block, within: around(blocks, at) });
	return assembled(session, blocks);
}

/** A new block goes to the end of its role: warm-up first, cool-down last. */
export function addBlock(session: Session, block: Block): Session {
	const order = { 'warm-up': 0, main: 1, 'cool-down': 2 };
	const at = session.blocks.findIndex((old) => order[old.role] > order[block.role]);
	return insertBlock(session, at < 0 ? session.blocks.length : at, block);
}

/**
 * A session with all of another one added: its blocks by their role, or as they stand where some of them are repeated,
 * and what goes with them.
 */
export function addSession(session: Session, more: Session): Session {
	const at = session.blocks.length;
	const repeats = more.repeats?.map((repeat) => ({ ...repeat, from: repeat.from + at, to: repeat.to + at }));
	const next = repeats
		? {
				...session,
				blocks: [...session.blocks, ...more.blocks],
				repeats: [...(session.repeats ?? []), ...repeats]
			}
		: more.blocks.reduce(addBlock, session);
	const note = [session.note, more.note].filter(Boolean).join('\n');
	const links = [...(session.links ?? []), ...(more.links ?? [])];
	const recovery = [...(session.recovery ?? []), ...(more.recovery ?? [])];
	return {
		...next,
		...(note && { note }),
		...(links.length > 0 && { links }),
		...(recovery.length > 0 && { recovery }),
		...(more.pieces && { pieces: more.pieces })
	};
}

/** What is said before a block, and stays where the block is made into another. */
const before = ({ setup, dayPart }: Block): Pick<Block, 'setup' | 'dayPart'> => ({
	...(setup && { setup }),
	...(dayPart !== undefined && { dayPart })
});

/** A block in another’s place, with what was said before that one. */
export const inPlaceOf = (old: Block, block: Block): Block => ({ ...block, ...before(old) });

/** A session without a block; the part of the day that began with it begins with the next one. */
export function removeBlock(session: Session, at: number): Session {
	const dayPart = session.blocks[at]?.dayPart;
	const blocks = placed(session);
	const next = blocks[at + 1];
	if (next && dayPart !== undefined) blocks[at + 1] = { ...next, block: { dayPart, ...next.block } };
	return assembled(
		session,
		blocks.filter((_, i) => i !== at)
	);
}

export const putBlock = (session: Session, at: number, block: Block): Session => ({
	...session,
	blocks: session.blocks.map((old, i) => (i === at ? block : old))
});

/** Moves a block so that it stands at index `to`. */
export function moveBlock(session: Session, from: number, to: number): Session {
	const blocks = placed(session);
	const [moved] = blocks.splice(from, 1);
	if (!moved) return session;
	const inside = around(blocks, to);
	// It stays in its repeat where it stands beside the others of it, or has it to itself.
	const others = blocks.filter(({ within }) => within === moved.within);
	const besideOwn = [blocks[to - 1], blocks[to]].some((beside) => beside && others.includes(beside));
	const stays = besideOwn || others.length === 0;
	blocks.splice(to, 0, { ...moved, within: inside ?? (stays ? moved.within : null) });
	return assembled(session, blocks);
}

export function duplicateBlock(session: Session, at: number): Session {
	const blocks = placed(session);
	const original = blocks[at];
	if (!original) return session;
	const { dayPart: _dayPart, ...copy } = structuredClone(original.block);
	blocks.splice(at + 1, 0, { ...original, block: copy });
	return assembled(session, blocks);
}

/** Each exercise of a block as straight sets of its own, as often as the block has it done. */
export function splitBlock(session: Session, at: number, practice: Practice): Session {
	const blocks = placed(session);
	const original = blocks[at];
	if (!original || original.block.parts.length < 2) return session;
	const { block, within } = original;
	const single = block.parts.map((part, p): Placed => {
		const sets = Math.max(1, formatOf(block).timesDone(block, p, practice));
		const target = formatOf(block).target?.(block, part) ?? part.target;
		const alone = newSets({ ...part, target }, sets, block.role);
		return { block: p === 0 ? inPlaceOf(block, alone) : alone, within };
	});
	blocks.splice(at, 1, ...single);
	return assembled(session, blocks);
}

/** How many exercises two blocks have together, where each can be part of a superset; null where one cannot. */
function pairOf(session: Session, at: number, practice: Practice) {
	const [a, b] = [session.blocks[at], session.blocks[at + 1]];
	if (!a || !b || a.role !== b.role || b.dayPart !== undefined || a.parts.length + b.parts.length > 3)
		return null;
	const [one, other] = [formatOf(a).asPair?.(a, practice), formatOf(b).asPair?.(b, practice)];
	return one && other ? { a, b, one, other } : null;
}

/** Whether a block can be joined with the one after it into a superset. */
export const canJoin = (session: Session, at: number, practice: Practice): boolean =>
	pairOf(session, at, practice) !== null;

/** Joins a block with the one after it into a superset: the rounds of the one that has more. */
export function joinBlocks(session: Session, at: number, practice: Practice): Session {
	const pair = pairOf(session, at, practice);
	if (!pair) return session;
	const { a, b, one, other } = pair;
	const blocks = placed(session);
	const within = blocks[at]?.within === blocks[at + 1]?.within ? (blocks[at]?.within ?? null) : null;
	const rounds = Math.max(one.rounds, other.rounds);
	const parts = [...a.parts, ...b.parts].map((part) => withSets(part, rounds));
	const joined = newSuperset(parts, a.role, {
		rounds,
		restInside: one.restInside,
		restAfter: Math.max(one.restAfter, other.restAfter)
	});
	blocks.splice(at, 2, { block: inPlaceOf(a, joined), within });
	return assembled(session, blocks);
}

/** Has blocks `from` to `to` done `times` over; takes the place of every repeat that they stand in. */
export function repeatBlocks(
	session: Session,
	from: number,
	to: number,
	times: number,
	rest: number
): Session {
	const kept = (session.repeats ?? []).filter((repeat) => repeat.to < from || repeat.from > to);
	const repeats = [...kept, { from, to, times, rest }].sort((a, b) => a.from - b.from);
	return { ...session, repeats };
}

/** Takes the repeat around a block away; its blocks stay. */
export function withoutRepeat(session: Session, at: number): Session {
	const repeats = (session.repeats ?? []).filter((repeat) => at < repeat.from || at > repeat.to);
	const next: Session = { ...session };
	delete next.repeats;
	return repeats.length > 0 ? { ...next, repeats } : next;
}

type Grouped = Extract<Block, { groups: number[][] }>;
const isGrouped = (block: Block): block is Grouped => 'groups' in block;

/** A block with these of its parts, in this order; groups keep their members. */
function withOrder(block: Block, order: number[]): Block {
	const parts = order.map((i) => block.parts[i]).filter((part) => part !== undefined);
	if (!isGrouped(block)) return { ...block, parts };
	const place = new Map(order.map((old, i) => [old, i]));
	const groups = block.groups
		.map((group) =>
			group
				.map((i) => place.get(i))
				.filter((i) => i !== undefined)
				.sort((a, b) => a - b)
		)
		.filter((group) => group.length > 0);
	return { ...block, parts, groups };
}

const indexes = (block: Block): number[] => block.parts.map((_, i) => i);

export const withoutPart = (block: Block, at: number): Block =>
	withOrder(
		block,
		indexes(block).filter((i) => i !== at)
	);

/**
 * Moves an exercise within its block. Where exercises are in groups it changes places with those it passes, so
 * that groups keep their sizes.
 */
export function movePart(block: Block, from: number, to: number): Block {
	const order = indexes(block);
	const [moved] = order.splice(from, 1);
	if (moved === undefined) return block;
	order.splice(to, 0, moved);
	const parts = order.map((i) => block.parts[i]).filter((part) => part !== undefined);
	return { ...block, parts };
}

/** A block with a part added at its end; where there are groups, as a group of its own or in the last one. */
export function withPart(block: Block, part: Part, group: 'own' | 'last' = 'own'): Block {
	const parts = [...block.parts, part];
	if (!isGrouped(block)) return { ...block, parts };
	const added = parts.length - 1;
	if (group === 'own' || block.groups.length === 0)
		return { ...block, parts, groups: [...block.groups, [added]] };
	return {
		...block,
		parts,
		groups: block.groups.map((g, i) => (i === block.groups.length - 1 ? [...g, added] : g))
	};
}

export const putPart = (block: Block, at: number, part: Part): Block => ({
	...block,
	parts: block.parts.map((old, i) => (i === at ? part : old))
});

/** Parts the group of a part before that part, or joins it with the group before when it is the first of its own. */
export function toggleGroup(block: Block, at: number): Block {
	if (!isGrouped(block)) return block;
	const g = block.groups.findIndex((group) => group.includes(at));
	const group = block.groups[g];
	if (!group) return block;
	const place = group.indexOf(at);
	const groups = [...block.groups];
	if (place > 0) groups.splice(g, 1, group.slice(0, place), group.slice(place));
	else if (g > 0) groups.splice(g - 1, 2, [...(groups[g - 1] ?? []), ...group]);
	return { ...block, groups };
}

/** A block with one of its own numbers set anew, and what in its format goes along with it. */
export function withNumber(block: Block, key: string, value: number | null): Block {
	const often = formatOf(block).fields.some((field) => field.key === key && field.knob === 'often');
	const next: Block = {
		...block,
		[key]: value,
		...(often && value !== null && { parts: block.parts.map((part) => withSets(part, value)) })
	};
	return formatOf(next).follow?.(next, key) ?? next;
}
