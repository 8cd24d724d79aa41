/**
 * From phrases to a block: which of them is said of which exercise, which of the whole, and which format they make.
 * Whatever nobody has a use for is named as not understood, where it stands.
 */
import { nameIndex, type Exercise, type NameIndex } from '../../exercise';
import type { Practice } from '../../practice';
import { targetOf } from '../amount';
import { formatNamed, formatNames, saysHowMuch, PLAIN_FORMAT, type Block, type FormatName } from '../formats';
import type { Part, Role, Target } from '../parts';
import { phrasesOf, type Phrase, type PhraseKind } from './phrase';
import { Said } from './said';

/** What could stand in place of a stretch that was not understood. */
export interface Offer {
	label: string;
	text: string;
}

/** A stretch of the line that was not understood, from and to in characters. */
export interface LineFault {
	from: number;
	to: number;
	message: string;
	offers?: Offer[];
}

/** What becomes of a name that nobody knows: it is asked about at once, or kept for whoever asks later. */
export type UnknownNames = 'ask' | 'keep';

/** A name as typed: phrases side by side, of which one at most is known. */
type Run = Phrase<'name' | 'word' | 'quoted'>[];
interface Item {
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
	'change',
	'drop',
	'bpm',
	'talk-test'
]);
/** What is said of each exercise; before all of them it holds for all. */
const PER_PART: ReadonlySet<PhraseKind> = new Set([
	'amount',
	'side',
	'tempo',
	'partial',
	'effort',
	'load',
	'resistance'
]);
/** What parts and orders, and says nothing by itself. */
const STRUCTURE: ReadonlySet<PhraseKind> = new Set(['label', 'sign', 'colon', 'filler', 'role']);
const MARKERS: ReadonlySet<PhraseKind> = new Set(['keyword', 'every', 'limit']);
const NAMES: ReadonlySet<PhraseKind> = new Set(['name', 'word', 'quoted']);
/** Letters of a stretch that are repeated in a message. */
const QUOTED_LETTERS = 60;

const DROP = 'a drop is written as drop 2 x 20% on last (or on every)';

const isRun = (phrase: Phrase): phrase is Run[number] => NAMES.has(phrase.kind);
const quote = (text: string): string =>
	`“${text.length > QUOTED_LETTERS ? `${text.slice(0, QUOTED_LETTERS)}…` : text}”`;

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

class LineReader {
	readonly faults: LineFault[] = [];
	readonly notes: string[] = [];
	private readonly names: NameIndex;
	private readonly block: Phrase[] = [];
	/** Said before any exercise. */
	private readonly head: Phrase[] = [];
	private readonly items: Item[] = [];
	/** How often is said of single exercises: of how many. */
	private timesOfItems = 0;
	/** Where in the line what a part says of itself stands, by its path within the block. */
	readonly places = new Map<string, { from: number; to: number }>();

	constructor(
		private readonly line: string,
		private readonly practice: Practice,
		private readonly unknown: UnknownNames
	) {
		this.names = nameIndex(practice.library);
	}

	private fault(from: number, to: number, message: string, offers: Offer[] = []): void {
		this.faults.push({ from, to: Math.max(to, from + 1), message, ...(offers.length > 0 && { offers }) });
	}
	/** A fault of the line as a whole. */
	private faultOfAll(message: string): void {
		const lead = this.line.length - this.line.trimStart().length;
		this.fault(lead, this.line.trimEnd().length, message);
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
			this.fault(phrases[0]?.from ?? 0, phrases.at(-1)?.to ?? 1, 'the name of an exercise is missing here');
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

	/** The exercise that a run means; asks where it means none or several, and goes on with what is likely. */
	private exercise({ run }: Item): { name: string; known: Exercise | null } {
		const from = run[0]?.from ?? 0;
		const to = run.at(-1)?.to ?? 0;
		const text = this.line.slice(from, to);
		const quoted = run.find((phrase) => phrase.kind === 'quoted');
		const name = run.find((phrase) => phrase.kind === 'name');
		const extra = run.filter(({ kind }) => kind === 'word');
		if (!quoted && (!name || extra.length > 0) && this.unknown === 'keep') return { name: text, known: null };
		if (!quoted && !name && /^drop/i.test(text)) {
			this.fault(from, to, DROP);
			return { name: text, known: null };
		}
		const own: Offer = { label: `Use “${text}” as an exercise of my own`, text: `"${text}"` };
		if (!quoted && !name) {
			const near = this.names.near(text).map((offer): Offer => ({ label: offer, text: offer }));
			const hint = near.length > 0 ? `; did you mean ${near.map(({ label }) => label).join(', ')}?` : '';
			this.fault(from, to, `${quote(text)} is not an exercise of your library${hint}`, [...near, own]);
			return { name: text, known: null };
		}
		if (extra.length > 0) {
			const words = extra.map(({ text: word }) => word).join(' ');
			const typed = (quoted ?? name)?.text ?? '';
			const bare = this.names.meanings(typed)[0]?.name ?? typed;
			const near = this.names.near(text).filter((offer) => offer.toLowerCase() !== bare.toLowerCase());
			this.fault(
				extra[0]?.from ?? from,
				extra.at(-1)?.to ?? to,
				`${quote(words)} is not understood beside ${bare}`
			);
			const fault = this.faults.at(-1);
			// What is offered stands in place of the whole name.
			if (fault)
				Object.assign(fault, {
					from,
					to,
					offers: [bare, ...near].map((offer): Offer => ({ label: offer, text: offer })).concat(own)
				});
			return { name: bare, known: this.names.meanings(bare)[0] ?? null };
		}
		if (quoted) {
			const known = this.practice.library.find(quoted.name);
			if (!known) this.notes.push(`${quote(quoted.name)} is taken as an exercise of your own.`);
			return { name: known?.name ?? quoted.name, known };
		}
		const meanings = this.names.meanings(text);
		const [known = null] = meanings;
		if (meanings.length > 1) {
			const names = meanings.map((exercise) => exercise.name);
			this.fault(
				from,
				to,
				`${quote(text)} may be ${names.slice(0, -1).join(', ')} or ${names.at(-1)}: which one?`,
				names.map((offer) => ({ label: offer, text: offer }))
			);
		}
		return { name: known?.name ?? text, known };
	}

	/** What is said of one exercise as its part. */
	private part(
		item: Item,
		{ name, known }: { name: string; known: Exercise | null },
		said: Said,
		shared: Said,
		format: FormatName
	): Part {
		const { timed } = formatNamed(format);
		const one = <K extends PhraseKind>(kind: K): Phrase<K> | null => said.take(kind) ?? peek(shared, kind);
		const orAt = item.phrases.find(({ kind }) => kind === 'or')?.from;
		const amountBefore = (at: number) => said.take('amount', ({ from }) => from < at);
		let amount: Phrase<'amount'> | null = null;
		if (!saysHowMuch(format)) {
			amount = amountBefore(orAt ?? Infinity) ?? peek(shared, 'amount');
			if (!amount) {
				this.fault(
					item.run[0]?.from ?? 0,
					item.run.at(-1)?.to ?? 1,
					`how much of ${name}? A number comes first, as in 10 ${name} or 30 s ${name}`
				);
			}
		}
		const other = orAt === undefined ? null : said.take('amount', ({ from }) => from > orAt);
		if (other) said.take('or');
		const tell = (field: string, phrase: { from: number; to: number } | null | undefined) => {
			if (phrase) this.places.set(`.parts[${this.items.indexOf(item)}]${field}`, phrase);
		};
		tell('', { from: item.run[0]?.from ?? 0, to: item.run.at(-1)?.to ?? 1 });
		const held = known?.countedIn === 'seconds' && known.tempo === null;
		const bare = timed || (held && other?.unit !== 'seconds') ? 'seconds' : 'reps';
		const target = amount ? targetIn(amount, bare) : targetOf(saysHowMuch(format) ? 'seconds' : bare, 1);
		const load = one('load');
		const resistance = one('resistance');
		const tempo = one('tempo');
		const partial = one('partial');
		const effort = one('effort');
		tell('.target', amount);
		tell('.each', amount);
		tell('.or', other);
		tell('.kg', load);
		tell('.weights', load);
		tell('.resistance', resistance);
		tell('.tempo', tempo);
		tell('.effort', effort);
		return {
			exercise: name,
			target,
			perSide: one('side') !== null,
			tempo: tempo?.phases ?? null,
			kg: load?.kg === undefined || load.kg === null ? null : Math.round(load.kg * 100) / 100,
			...(load && load.count > 1 && { weights: load.count }),
			...(resistance && { resistance: resistance.resistance }),
			...(other && { or: targetIn(other, 'seconds') }),
			...(partial && { partial: partial.rule }),
			...(amount && amount.each.length > 1 && { each: amount.each.map(({ low: n }) => n * amount.by) }),
			...(effort && { effort: { low: effort.low, high: effort.high } })
		};
	}

	/** What was taken by nobody. */
	private leftovers(said: Said): void {
		for (const { phrase, again } of said.leftover()) {
			const { from, to, text } = phrase;
			if (phrase.kind === 'bare-load') {
				const units = ['kg', 'lb'].map((unit) => `@ ${phrase.amount} ${unit}`);
				const effort = phrase.amount <= 10 ? [`effort ${phrase.amount}`] : [];
				this.fault(
					from,
					to,
					`${quote(text)} is not a load yet: kg or lb${effort.length > 0 ? ', or is it the effort' : ''}?`,
					[...units, ...effort].map((offer) => ({ label: offer, text: offer }))
				);
			} else if (phrase.kind === 'percent')
				this.fault(from, to, `${quote(text)}: a load is a number of kg or lb, as in @ 12 kg, or an effort`);
			else if (phrase.kind === 'rest' && phrase.low !== phrase.high)
				this.fault(from, to, `${quote(text)}: a rest has one length`, [
					{ label: `rest ${phrase.low}`, text: `rest ${phrase.low}` },
					{ label: `rest ${phrase.high}`, text: `rest ${phrase.high}` }
				]);
			else if (/^drop/i.test(text)) this.fault(from, to, DROP);
			else if (again) this.fault(from, to, `${quote(text)}: this is said twice, in different ways`);
			else
				this.fault(from, to, `${quote(text)} is not understood here`, [{ label: 'Leave it out', text: '' }]);
		}
	}

	/** The format that is named, or else the one whose way of speaking this is. */
	private format(said: Said, named: readonly (Exercise | null)[]): FormatName {
		const line = {
			has: (kind: PhraseKind) => said.has(kind) || this.head.some((phrase) => phrase.kind === kind),
			labelled: this.items.filter(({ labelled }) => labelled).length > 1,
			ladder: this.head.some(isList),
			hard: this.block.some((phrase) => phrase.kind === 'slot' && phrase.hard),
			items: this.items.map(({ phrases }, i) => {
				const amount = phrases.find((phrase) => phrase.kind === 'amount');
				return {
					exercise: named[i] ?? null,
					seconds: amount?.unit === 'seconds' ? (amount.each[0]?.low ?? 0) * amount.by : null
				};
			})
		};
		const claims = (name: FormatName) => formatNamed(name).claims?.(line) ?? false;
		const keyword = said.take('keyword');
		if (!keyword) return formatNames().find(claims) ?? PLAIN_FORMAT;
		const [first] = keyword.formats;
		const format = keyword.formats.find(claims) ?? first ?? PLAIN_FORMAT;
		said.keyword = keyword.word;
		// HIIT intervals: both words say the same.
		while (said.take('keyword', ({ formats }) => formats.includes(format)));
		return format;
	}

	/** The block; null where something has to be asked first. */
	read(): Block | null {
		const phrases = phrasesOf(this.line, this.practice);
		const role: Role = phrases.find((phrase) => phrase.kind === 'role')?.role ?? 'main';
		this.deal(phrases);
		if (this.items.length === 0) {
			this.faultOfAll('the name of an exercise is missing here');
			return null;
		}
		if (this.timesOfItems > 1 && this.items.length > 1 && !this.sameTimes()) {
			this.faultOfAll('exercises with sets of their own stand on a line of their own each');
			return null;
		}
		const named = this.items.map((item) => this.exercise(item));
		const saidOf = this.items.map(({ phrases: own }) => new Said(own));
		const [only] = saidOf;
		const said = new Said([...this.block, ...this.head], saidOf.length === 1 ? (only ?? null) : null);
		const format = this.format(
			said,
			named.map(({ known }) => known)
		);
		const shared = formatNamed(format).ownTime ? new Said([]) : new Said(this.head);
		const [list] = this.block.filter((phrase) => phrase.kind === 'amount' && phrase.each.length > 1);
		const ladder = list ?? this.items.flatMap((item) => item.phrases).find(isList);
		const parts = this.items.flatMap((item, i): Part[] => {
			const name = named[i];
			const own = saidOf[i];
			if (!name || !own) return [];
			// 21-15-9 once holds for all.
			const counted = own.has('amount') || shared.has('amount') || !ladder;
			const all = counted ? shared : new Said([...this.head, ladder]);
			const part = this.part(item, name, own, all, format);
			if (!saysHowMuch(format)) this.restInItem(own, said);
			return [part];
		});
		// What stands before all exercises and was said of each is used.
		if (!formatNamed(format).ownTime)
			for (const phrase of this.head)
				if (PER_PART.has(phrase.kind)) said.take(phrase.kind, (p) => p === phrase);
		if (list) said.take('amount', (amount) => amount === list);
		const rounds = Math.max(0, ...parts.map(({ each }) => each?.length ?? 0));
		if (rounds > 0) this.ladderTimes(said, rounds);

		const groups: Part[][] = [];
		parts.forEach((part, i) => {
			const last = groups.at(-1);
			if (last && !this.items[i]?.apart) last.push(part);
			else groups.push([part]);
		});
		const block = formatNamed(format).read(said, parts, groups);
		if ('fault' in block) this.faultOfAll(block.fault);
		this.leftovers(said);
		if (saidOf.length > 1) for (const own of saidOf) this.leftovers(own);
		else if (only) this.leftovers(only);
		return 'fault' in block || this.faults.length > 0 ? null : ({ ...block, role } as Block);
	}

	/** A1 and A2 with as many sets each are done in turns: what is said of each is said of all, once. */
	private sameTimes(): boolean {
		if (!this.items.every(({ labelled }) => labelled)) return false;
		const times = this.block.filter((phrase) => phrase.kind === 'times');
		if (times.some(({ count }) => count !== times[0]?.count)) return false;
		for (const again of times.slice(1)) this.block.splice(this.block.indexOf(again), 1);
		return true;
	}

	/** A time after the amount of an exercise is the rest, where none is said otherwise. */
	private restInItem(own: Said, said: Said): void {
		if (said.has('rest')) return;
		const time = own.take('amount', ({ unit, each }) => unit === 'seconds' && each.length === 1);
		const [span] = time?.each ?? [];
		if (time && span)
			said.add({ ...time, kind: 'rest', low: span.low * time.by, high: span.high * time.by, where: null });
	}

	/** Amounts set by set say how many sets there are. */
	private ladderTimes(said: Said, count: number): void {
		const typed = said.take('times');
		if (typed && typed.count !== count)
			this.fault(
				typed.from,
				typed.to,
				`${quote(typed.text)}, but there are ${count} amounts, one for each set`
			);
		said.add({ kind: 'times', count, unit: 'sets', after: false, from: 0, to: 0, text: '' });
	}
}

const isList = (phrase: Phrase): phrase is Phrase<'amount'> =>
	phrase.kind === 'amount' && phrase.each.length > 1;

/** A phrase that holds for several exercises: looked at, not taken. */
function peek<K extends PhraseKind>(said: Said, kind: K): Phrase<K> | null {
	const found = said.take(kind);
	if (found) said.add(found as Phrase);
	return found;
}

/** An amount as a target; without a unit it is counted in `bare`. */
function targetIn({ each, unit, by }: Phrase<'amount'>, bare: Target['kind']): Target {
	const [span] = each;
	const target = targetOf(unit ?? bare, (span?.low ?? 0) * by);
	return span && span.high !== span.low ? { ...target, to: span.high * by } : target;
}

/** Reads a typed line into a block and what was assumed, or into what has to be asked. */
export function readLine(
	line: string,
	practice: Practice,
	unknown: UnknownNames
):
	| { block: Block; notes: string[]; placeOf: (path: string) => { from: number; to: number } }
	| { faults: LineFault[] } {
	const reader = new LineReader(line, practice, unknown);
	const block = reader.read();
	if (!block) return { faults: reader.faults };
	const all = { from: line.length - line.trimStart().length, to: line.trimEnd().length };
	// The longest path that is known leads nearest to the place.
	const placeOf = (path: string) =>
		[...reader.places]
			.filter(([known]) => path.startsWith(known))
			.sort(([a], [b]) => b.length - a.length)[0]?.[1] ?? all;
	return { block, notes: reader.notes, placeOf };
}

/** A block with the usual numbers of its format. */
export function startedAs(
	format: FormatName,
	parts: Part[],
	groups: Part[][],
	{ library }: Pick<Practice, 'library'>
): Omit<Block, 'role'> | { fault: string } {
	const { starter, read } = formatNamed(format);
	return read(new Said(phrasesOf(starter, { library })), parts, groups);
}
