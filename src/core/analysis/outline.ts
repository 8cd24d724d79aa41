import {
	type Block,
	compileSession,
	formatOf,
	haveReady,
	insteadWords,
	type InsteadWhen,
	type Link,
	howText,
	piecesOf,
	repeatAround,
	type Role,
	type Session,
	targetText
} from '../session';
import { cautionsFor, type Limitation } from '../kit';
import { countWords, cuesSaidTo, type Practice } from '../practice';

export interface OutlinePart {
	mark: string;
	exercise: string;
	/** How much, empty where the block says it for all. */
	much: string;
	/** With what, and how hard; null where nothing is said of either. */
	load: string | null;
	tempo: string | null;
	cues: string[];
	cautions: string[];
	easier: string | null;
	harder: string | null;
	/** What may be done in its place, as said to whoever does it, and whether it is meant for who reads it. */
	instead: { when: InsteadWhen; text: string; exercise: string; forThem?: boolean }[];
	/** Whose figure stands for it: its own name, or the exercise that a coach's own looks like. */
	figure: string;
}

export interface OutlineBlock {
	role: Role;
	title: string;
	summary: string;
	/** Seconds from the start, or from that of its piece where it is done at a time of its own; and in all. */
	start: number;
	seconds: number;
	setup: string | null;
	/** When in the day it is begun, where it begins at a time of its own. */
	dayPart: string | null;
	/** `with the next block 3 times, 30 s between`; at the first block of a repeat only. */
	repeat: string | null;
	parts: OutlinePart[];
}

/** A session as it is read, with all that a page would have to look up. */
export interface Outline {
	lower: number;
	upper: number;
	work: number;
	ready: string[];
	/** What counts in this house. */
	counting: string;
	note: string | null;
	links: Link[];
	recovery: string[];
	blocks: OutlineBlock[];
}

/** The letter and number before an exercise: A1, A2 in a superset, the minute or station in the ones with groups. */
export function partMark(block: Block, index: number): string {
	if ('groups' in block) return String(block.groups.findIndex((group) => group.includes(index)) + 1);
	return formatOf(block).mark?.(block, index) ?? String(index + 1);
}

/** What a part asks for, as far as the block's own numbers do not say it. */
export function muchText(block: Block, part: Block['parts'][number]): string {
	const fixed = formatOf(block).target?.(block, part);
	if (!fixed) return targetText(part);
	const choice = part.or ? `or ${targetText({ target: part.or, perSide: false })}` : '';
	return [part.perSide ? (formatOf(block).sides ?? 'both sides') : '', choice].filter(Boolean).join(', ');
}

export const roleTitle = (block: Block): string =>
	block.role === 'main' ? formatOf(block).label : block.role === 'warm-up' ? 'Warm-up' : 'Cool-down';

/**
 * A session for reading, in the order in which it is done.
 *
 * @param limits of the person who reads it; decides which cautions and cues concern them
 */
export function outlineOf(session: Session, practice: Practice, limits: readonly Limitation[] = []): Outline {
	const { library, house } = practice;
	const { totals, blocks } = compileSession(session, practice);
	const pieces = piecesOf(session);
	return {
		lower: totals.lower,
		upper: totals.upper,
		work: totals.work,
		ready: haveReady(session, practice),
		counting: countWords(house),
		note: session.note ?? null,
		links: session.links ?? [],
		recovery: session.recovery ?? [],
		blocks: session.blocks.map((block, b) => {
			const begins = pieces.findLast(({ from }) => from <= b)?.from ?? 0;
			const repeat = repeatAround(session, b);
			const first = repeat?.from === b ? repeat : null;
			const more = first ? first.to - first.from : 0;
			return {
				role: block.role,
				title: roleTitle(block),
				summary: formatOf(block).summary(block, practice),
				start: (blocks[b]?.start ?? 0) - (begins === 0 ? 0 : (blocks[begins]?.start ?? 0)),
				seconds: blocks[b]?.seconds ?? 0,
				setup: block.setup?.text ?? null,
				dayPart: block.dayPart ?? null,
				repeat:
					first &&
					`${more === 0 ? 'this' : `this and the next ${more === 1 ? 'block' : `${more} blocks`}`}, ${first.times} times, ${first.rest} s between`,
				parts: block.parts.map((part, p) => {
					const exercise = library.find(part.exercise);
					return {
						mark: partMark(block, p),
						exercise: part.exercise,
						much: muchText(block, part),
						load: howText(part),
						tempo: part.tempo?.join('-') ?? null,
						cues: exercise ? cuesSaidTo(exercise, house, limits) : [],
						cautions: exercise ? cautionsFor(exercise, limits) : [],
						easier: library.easier(part.exercise)?.name ?? null,
						harder: library.harder(part.exercise)?.name ?? null,
						instead: (part.instead ?? []).map((one) => ({ ...one, text: insteadWords(one) })),
						figure: exercise?.looksLike ?? exercise?.name ?? part.exercise
					};
				})
			};
		})
	};
}
