/** Which phrase of a line is said of which exercise, and which of the block as a whole. */
import { quote, type Asked } from './asked';
import type { Phrase, PhraseKind } from '../phrase/phrase';

/** A name as typed: phrases side by side, of which one at most is known. */
export type Run = Phrase<'name' | 'word' | 'quoted'>[];
export interface Item {
	run: Run;
	phrases: Phrase[];
	/** What stands before it: exercises parted by a stroke or a new line are in groups of their own. */
	apart: boolean;
	labelled: boolean;
}

/** What is said of the whole block wherever it stands. */
const OF_BLOCK: ReadonlySet<PhraseKind> = new Set([
	'keyword',
	'times',
	'slot',
	'rest',
	'last-rest',
	'limit',
	'every',
	'people',
	'halves',
	'change',
	'drop',
	'bpm',
	'talk-test'
]);
/** What is said of each exercise; before all of them it holds for all. */
export const PER_PART: ReadonlySet<PhraseKind> = new Set([
	'amount',
	'side',
	'tempo',
	'partial',
	'effort',
	'load',
	'level-load',
	'resistance',
	'instead',
	'each-way',
	'pace'
]);
/** What parts and orders, and says nothing by itself. */
const STRUCTURE: ReadonlySet<PhraseKind> = new Set(['label', 'sign', 'colon', 'filler', 'role']);
const MARKERS: ReadonlySet<PhraseKind> = new Set(['keyword', 'every', 'limit']);
const NAMES: ReadonlySet<PhraseKind> = new Set(['name', 'word', 'quoted']);
const isRun = (phrase: Phrase): phrase is Run[number] => NAMES.has(phrase.kind);
/** Side by side phrases that may be a name; a second known name begins a run of its own. */
function runsOf(phrases: readonly Phrase[]): { run: Run; at: number }[] {
	const runs: { run: Run; at: number }[] = [];
	phrases.forEach((phrase, i) => {
		if (!isRun(phrase)) return;
		const last = runs.at(-1);
		const beside = last && last.at + last.run.length === i;
		const known = phrase.kind !== 'word' && last?.run.some(({ kind }) => kind !== 'word');
		if (beside && !known) last.run.push(phrase);
		else runs.push({ run: [phrase], at: i });
	});
	return runs;
}

/** A line whose phrases have been dealt out. */
export class Dealt {
	readonly block: Phrase[] = [];
	/** Said before any exercise, and of the kinds that are said of one. */
	readonly head: Phrase[] = [];
	readonly items: Item[] = [];
	/** How often is said of single exercises: of how many. */
	private timesOfItems = 0;

	constructor(
		phrases: readonly Phrase[],
		private readonly asked: Asked
	) {
		this.deal(phrases);
	}

	/** Deals phrases out to the block and its exercises, stretch by stretch. */
	private deal(phrases: readonly Phrase[]): void {
		// Words that stand before a colon after the name of a format are the format's.
		const colon = phrases.findIndex(({ kind }) => kind === 'colon');
		const before = phrases.slice(0, Math.max(0, colon));
		const headed =
			before.some(({ kind }) => MARKERS.has(kind)) &&
			!before.some(({ kind }) => kind === 'name' || kind === 'quoted');
		const start = phrases[colon]?.from ?? 0;
		let segment: Phrase[] = [];
		let apart = false;
		let labelled = false;
		let joined = false;
		const close = () => {
			const [first] = segment;
			if (first && headed && first.from < start) this.bare(segment);
			else if (first) this.segment(segment, apart, labelled, joined);
			segment = [];
		};
		for (const phrase of phrases) {
			if (phrase.kind === 'filler') continue;
			if (!STRUCTURE.has(phrase.kind)) {
				segment.push(phrase);
				continue;
			}
			close();
			labelled = phrase.kind === 'label' && /^[a-h]\d/i.test(phrase.text);
			if (phrase.kind === 'sign') apart = phrase.sign === '/' || phrase.sign === '\n';
			joined = phrase.kind === 'sign' && (phrase.sign === '+' || phrase.sign === '/');
		}
		close();
	}

	private segment(phrases: Phrase[], apart: boolean, labelled: boolean, joined: boolean): void {
		const all = runsOf(phrases);
		const known = all.filter(({ run }) => run.some(({ kind }) => kind !== 'word'));
		const runs = known.length > 0 ? known : all.slice(0, 1);
		const [first] = runs;
		if (!first && joined && phrases.some(({ kind }) => PER_PART.has(kind))) {
			this.asked.of(phrases, 'the name of an exercise is missing here');
			return;
		}
		if (!first) return this.bare(phrases);
		const countFirst = phrases.slice(0, first.at).some(({ kind }) => kind === 'amount');
		this.takeHead(phrases, first.at);
		let start = 0;
		runs.forEach(({ run, at }, r) => {
			const next = runs[r + 1]?.at ?? phrases.length;
			const after = at + run.length;
			const between = phrases.slice(after, next);
			const count = between.findIndex(({ kind }) => kind === 'amount');
			const end = r + 1 < runs.length && countFirst && count >= 0 ? after + count : next;
			const item: Item = { run, phrases: [], apart: r === 0 && apart, labelled };
			this.items.push(item);
			const own = [...phrases.slice(start, at), ...phrases.slice(after, end)];
			this.give(
				own.filter((phrase) => !this.block.includes(phrase)),
				item
			);
			start = end;
		});
	}

	/** Of the amounts before the first exercise all but the last are the block's, where a format is named there. */
	private takeHead(phrases: Phrase[], until: number): void {
		const before = phrases.slice(0, until);
		const marker = before.findLastIndex(({ kind }) => MARKERS.has(kind));
		if (marker < 0) return;
		const amounts = before.filter(({ kind }) => kind === 'amount');
		const last = before.lastIndexOf(amounts.at(-1)!);
		this.block.push(...amounts.filter((amount, i) => i < amounts.length - 1 || last < marker));
	}

	/** A stretch without an exercise belongs to the one before, or to the head. */
	private bare(phrases: Phrase[]): void {
		const item = this.items.at(-1);
		if (item) return this.give(phrases, item);
		for (const phrase of phrases) (OF_BLOCK.has(phrase.kind) ? this.block : this.head).push(phrase);
	}

	private give(phrases: Phrase[], item: Item): void {
		for (const phrase of phrases) {
			const counted = item.phrases.some(({ kind }) => kind === 'amount');
			if (
				phrase.kind === 'times' &&
				phrase.after &&
				!counted &&
				!phrases.some(({ kind }) => kind === 'amount')
			)
				item.phrases.push({
					...phrase,
					kind: 'amount',
					each: [{ low: phrase.count, high: phrase.count }],
					unit: null,
					by: 1
				});
			else if (OF_BLOCK.has(phrase.kind)) {
				this.block.push(phrase);
				if (phrase.kind === 'times') this.timesOfItems++;
			} else item.phrases.push(phrase);
		}
	}

	/** Whether exercises of one line have sets of their own; A1 and A2 with as many each are done in turns. */
	hasSetsApart(): boolean {
		return this.timesOfItems > 1 && this.items.length > 1 && !this.sameTimes();
	}

	/** A1 and A2 with as many sets each are done in turns: what is said of each is said of all, once. */
	private sameTimes(): boolean {
		if (!this.items.every(({ labelled }) => labelled)) return false;
		const times = this.block.filter((phrase) => phrase.kind === 'times');
		if (times.some(({ count }) => count !== times[0]?.count)) return false;
		for (const again of times.slice(1)) this.block.splice(this.block.indexOf(again), 1);
		return true;
	}

	/**
	 * Rests that are said between exercises are those inside a round, where each has the same; of others it is not known
	 * where they stand.
	 */
	placeRests(asked: Asked): void {
		const last = this.items.at(-1)?.run[0]?.from ?? 0;
		const first = this.items[0]?.run[0]?.from ?? 0;
		const rests = this.block.filter((phrase) => phrase.kind === 'rest');
		const between = rests.filter(({ from, where }) => where === null && from > first && from < last);
		const [one] = between;
		if (!one) return;
		const alike = between.length === this.items.length - 1 && between.every(({ low }) => low === one.low);
		for (const again of between) {
			this.block.splice(this.block.indexOf(again), 1);
			if (!alike) {
				const offers = ['inside', 'after'].map((where) => `rest ${again.low} ${where}`);
				asked.of(
					[again],
					`${quote(again.text)}: is this the rest between all exercises, or the one after the round?`,
					offers.map((text) => ({ label: text, text }))
				);
			}
		}
		if (alike) this.block.push({ ...one, where: 'inside' });
	}
}
