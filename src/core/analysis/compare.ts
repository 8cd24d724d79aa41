import type { Practice } from '../practice';
import { compileSession, formatLine, type Session } from '../session';

/** A block of either version; both for one that stayed or changed. */
export interface BlockDifference {
	kind: 'same' | 'changed' | 'gone' | 'new';
	before: { index: number; line: string } | null;
	after: { index: number; line: string } | null;
}

export interface Comparison {
	blocks: BlockDifference[];
	/** What goes with the blocks and differs, in words. */
	notes: string[];
	/** Seconds. */
	duration: { before: number; after: number };
	work: { before: number; after: number };
	repetitions: { before: number; after: number };
}

const lineOf = (session: Session, i: number, practice: Practice): string => {
	const block = session.blocks[i];
	if (!block) return '';
	const { setup, dayPart } = block;
	return [
		dayPart === undefined ? '' : `${dayPart}: `,
		formatLine(block, practice),
		setup ? ` (first: ${setup.text}, ${setup.seconds} s)` : ''
	].join('');
};

/** How alike two lines are: 1 the same, towards 0 with fewer words in common. */
function alike(a: string, b: string): number {
	if (a === b) return 1;
	const words = (text: string) =>
		new Set(
			text
				.toLowerCase()
				.split(/[^a-z0-9.-]+/)
				.filter(Boolean)
		);
	const [x, y] = [words(a), words(b)];
	const common = [...x].filter((word) => y.has(word)).length;
	return (0.95 * common) / Math.max(1, x.size + y.size - common);
}

/** Lines have to share this much to count as one that changed. */
const CHANGED_FROM = 0.3;

/** The best way to lay the blocks of one version beside those of the other, in order. */
function aligned(before: string[], after: string[]): [number | null, number | null][] {
	const rows = before.length + 1;
	const columns = after.length + 1;
	const best = Array.from({ length: rows }, () => new Array<number>(columns).fill(0));
	const at = (i: number, j: number) => best[i]?.[j] ?? 0;
	const gain = (i: number, j: number) => {
		const score = alike(before[i] ?? '', after[j] ?? '');
		return score >= CHANGED_FROM ? score : -1;
	};
	for (let i = rows - 2; i >= 0; i--)
		for (let j = columns - 2; j >= 0; j--) {
			const row = best[i];
			if (row) row[j] = Math.max(at(i + 1, j), at(i, j + 1), at(i + 1, j + 1) + gain(i, j));
		}
	const pairs: [number | null, number | null][] = [];
	let [i, j] = [0, 0];
	while (i < before.length || j < after.length) {
		if (i < before.length && j < after.length && gain(i, j) > 0 && at(i, j) === at(i + 1, j + 1) + gain(i, j))
			pairs.push([i++, j++]);
		else if (i < before.length && (j >= after.length || at(i, j) === at(i + 1, j))) pairs.push([i++, null]);
		else pairs.push([null, j++]);
	}
	return pairs;
}

const repeatsText = (session: Session): string =>
	(session.repeats ?? [])
		.map((r) => `blocks ${r.from + 1} to ${r.to + 1}, ${r.times} times, rest ${r.rest}`)
		.join('; ');

/** What differs between two versions of a session, block by block, and in their totals. */
export function compareSessions(before: Session, after: Session, practice: Practice): Comparison {
	const lines = [before, after].map((session) => session.blocks.map((_, i) => lineOf(session, i, practice)));
	const [was, is] = [lines[0] ?? [], lines[1] ?? []];
	const side = (list: string[], index: number | null) =>
		index === null ? null : { index, line: list[index] ?? '' };
	const blocks = aligned(was, is).map(([i, j]): BlockDifference => {
		const kind = i === null ? 'new' : j === null ? 'gone' : was[i] === is[j] ? 'same' : 'changed';
		return { kind, before: side(was, i), after: side(is, j) };
	});
	const texts: [string, (session: Session) => string][] = [
		['repeats', repeatsText],
		['done', ({ pieces }) => (pieces ? 'in pieces over the day' : 'in one go')],
		['note', (session) => session.note ?? ''],
		['links', (session) => (session.links ?? []).map((link) => `${link.title} (${link.url})`).join(', ')],
		['what follows', (session) => (session.recovery ?? []).join(', ')]
	];
	const notes = texts.flatMap(([name, text]) => {
		const [a, b] = [text(before), text(after)];
		return a === b ? [] : [`${name}: ${a || 'none'} → ${b || 'none'}`];
	});
	const [a, b] = [compileSession(before, practice).totals, compileSession(after, practice).totals];
	return {
		blocks,
		notes,
		duration: { before: a.duration, after: b.duration },
		work: { before: a.work, after: b.work },
		repetitions: { before: a.repetitions, after: b.repetitions }
	};
}
