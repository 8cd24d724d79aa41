/**
 * From phrases to a block: which of them is said of which exercise, which of the whole, and which format they make.
 * Whatever nobody has a use for is named as not understood, where it stands.
 */
import { nameIndex, type Exercise } from '../../exercise';
import { LEVELS, type Level } from '../../people';
import type { Practice } from '../../practice';
import { targetOf } from '../amount';
import {
	formatNamed,
	formatNames,
	isFormat,
	saysHowMuch,
	PLAIN_FORMAT,
	type Block,
	type FormatName
} from '../formats';
import type { Instead, Part, Role, Target } from '../parts';
import { insteadText } from '../instead';
import { Asked, DROP, quote, type LineFault } from './asked';
import { Dealt, PER_PART, type Item } from './deal';
import { exerciseOf, type NamedExercise, type UnknownNames } from './exercise-of';
import type { Phrase, PhraseKind } from '../phrase/phrase';
import { phrasesOf } from './phrases-of';
import { Said } from '../phrase/said';

class LineReader {
	readonly asked: Asked;
	readonly notes: string[] = [];
	private readonly dealt: Dealt;
	private readonly phrases: Phrase[];
	/** Where in the line what a part says of itself stands, by its path within the block. */
	readonly places = new Map<string, { from: number; to: number }>();

	constructor(
		private readonly line: string,
		private readonly practice: Practice,
		private readonly unknown: UnknownNames
	) {
		this.asked = new Asked(line);
		this.phrases = phrasesOf(line, practice);
		this.dealt = new Dealt(this.phrases, this.asked);
	}

	/** What is said of one exercise as its part. */
	private part(
		item: Item,
		{ name, known }: NamedExercise,
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
				this.asked.at(
					item.run[0]?.from ?? 0,
					item.run.at(-1)?.to ?? 1,
					`how much of ${name}? A number comes first, as in 10 ${name} or 30 s ${name}`
				);
			}
		}
		const other = orAt === undefined ? null : said.take('amount', ({ from }) => from > orAt);
		if (other) said.take('or');
		const tell = (field: string, phrase: { from: number; to: number } | null | undefined) => {
			if (phrase) this.places.set(`.parts[${this.dealt.items.indexOf(item)}]${field}`, phrase);
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
		const pace = one('pace');
		tell('.pace', pace);
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
			...this.loads(load, said, shared),
			...(load && load.count > 1 && { weights: load.count }),
			...(resistance && { resistance: resistance.resistance }),
			...(other && { or: targetIn(other, 'seconds') }),
			...(partial && { partial: partial.rule }),
			...(amount && amount.each.length > 1 && { each: amount.each.map(({ low: n }) => n * amount.by) }),
			...(effort && { effort: { low: effort.low, high: effort.high } }),
			...(one('each-way') && { eachWay: true }),
			...(pace && { pace: pace.seconds }),
			...this.instead(said)
		};
	}

	/** The load of one weight; level by level where it is said to differ. */
	private loads(load: Phrase<'load'> | null, said: Said, shared: Said): Pick<Part, 'kg' | 'kgByLevel'> {
		const hundredth = (kg: number) => Math.round(kg * 100) / 100;
		const [low, middle, high] = (load?.byLevel ?? []).map(hundredth);
		if (low !== undefined && middle !== undefined && high !== undefined)
			return { kg: middle, kgByLevel: [low, middle, high] };
		const of = (level: Level) => {
			const fits = (phrase: Phrase<'level-load'>) => phrase.level === level;
			return said.take('level-load', fits) ?? peek(shared, 'level-load', fits);
		};
		const own = LEVELS.map(of);
		const first = own.find((one) => one !== null);
		const base = own[1]?.kg ?? load?.kg ?? null;
		if (base === null && first)
			this.asked.of([first], `${quote(first.text)}: which load has everybody else? Add it, as in @ 12 kg`);
		if (base === null) return { kg: null };
		const kg = (level: number) => hundredth(own[level]?.kg ?? base);
		return { kg: kg(1), ...(first && { kgByLevel: [kg(0), kg(1), kg(2)] }) };
	}

	/** What may be done in place of an exercise: all that is said of it. */
	private instead(said: Said): Pick<Part, 'instead'> {
		const found: Instead[] = [];
		for (let one = said.take('instead'); one; one = said.take('instead')) {
			const { library } = this.practice;
			const meanings = nameIndex(library).meanings(one.name);
			const exact = library.find(one.name);
			if (!exact && meanings.length > 1) {
				const names = meanings.map(({ name }) => name);
				this.asked.at(
					one.from,
					one.to,
					`${quote(one.name)} may be ${names.slice(0, -1).join(', ')} or ${names.at(-1)}: which one?`,
					names.map((name) => ({
						label: name,
						text: insteadText({ when: one.when, exercise: name }, library)
					}))
				);
			}
			found.push({ when: one.when, exercise: exact?.name ?? meanings[0]?.name ?? one.name });
		}
		return found.length > 0 ? { instead: found } : {};
	}

	/** What was taken by nobody. */
	private leftovers(said: Said): void {
		for (const { phrase, again } of said.leftover()) {
			const { from, to, text } = phrase;
			if (phrase.kind === 'bare-load') {
				const units = ['kg', 'lb'].map((unit) => `@ ${phrase.amount} ${unit}`);
				const effort = phrase.amount <= 10 ? [`effort ${phrase.amount}`] : [];
				this.asked.at(
					from,
					to,
					`${quote(text)} is not a load yet: kg or lb${effort.length > 0 ? ', or is it the effort' : ''}?`,
					[...units, ...effort].map((offer) => ({ label: offer, text: offer }))
				);
			} else if (phrase.kind === 'percent')
				this.asked.at(
					from,
					to,
					`${quote(text)}: a load is a number of kg or lb, as in @ 12 kg, or an effort`
				);
			else if (phrase.kind === 'rest' && phrase.low !== phrase.high)
				this.asked.at(from, to, `${quote(text)}: a rest has one length`, [
					{ label: `rest ${phrase.low}`, text: `rest ${phrase.low}` },
					{ label: `rest ${phrase.high}`, text: `rest ${phrase.high}` }
				]);
			else if (/^drop/i.test(text)) this.asked.at(from, to, DROP);
			else if (again)
				this.asked.at(from, to, `${text ? `${quote(text)}: ` : ''}this is said twice, in different ways`);
			else
				this.asked.at(from, to, `${quote(text)} is not understood here`, [
					{ label: 'Leave it out', text: '' }
				]);
		}
	}

	/** The format that is named, or else the one whose way of speaking this is. */
	private format(said: Said, named: readonly (Exercise | null)[]): FormatName {
		const line = {
			has: (kind: PhraseKind) => said.has(kind) || this.dealt.head.some((phrase) => phrase.kind === kind),
			labelled: this.dealt.items.filter(({ labelled }) => labelled).length > 1,
			ladder: this.dealt.head.some(isList),
			hard: this.dealt.block.some((phrase) => phrase.kind === 'slot' && phrase.hard),
			items: this.dealt.items.map(({ phrases }, i) => {
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
		const meant = keyword.formats.filter(isFormat);
		const format = meant.find(claims) ?? meant[0] ?? PLAIN_FORMAT;
		said.keyword = keyword.word;
		// HIIT intervals: both words say the same.
		while (said.take('keyword', ({ formats }) => formats.includes(format)));
		return format;
	}

	/** The block; null where something has to be asked first. */
	read(): Block | null {
		const role: Role = this.phrases.find((phrase) => phrase.kind === 'role')?.role ?? 'main';
		if (this.dealt.items.length === 0) {
			this.asked.ofAll('the name of an exercise is missing here');
			return null;
		}
		if (this.dealt.hasSetsApart()) {
			this.asked.ofAll('exercises with sets of their own stand on a line of their own each');
			return null;
		}
		const { line, practice, unknown, asked, notes } = this;
		const named = this.dealt.items.map(({ run }) =>
			exerciseOf(run, { line, practice, unknown, asked, notes })
		);
		this.dealt.placeRests(this.asked);
		const saidOf = this.dealt.items.map(({ phrases: own }) => new Said(own));
		const [only] = saidOf;
		const said = new Said(
			[...this.dealt.block, ...this.dealt.head],
			saidOf.length === 1 ? (only ?? null) : null
		);
		const format = this.format(
			said,
			named.map(({ known }) => known)
		);
		const shared = formatNamed(format).ownTime ? new Said([]) : new Said(this.dealt.head);
		const [list] = this.dealt.block.filter((phrase) => phrase.kind === 'amount' && phrase.each.length > 1);
		const ladder = list ?? this.dealt.items.flatMap((item) => item.phrases).find(isList);
		const parts = this.dealt.items.flatMap((item, i): Part[] => {
			const name = named[i];
			const own = saidOf[i];
			if (!name || !own) return [];
			// 21-15-9 once holds for all.
			const counted = own.has('amount') || shared.has('amount') || !ladder;
			const all = counted ? shared : new Said([...this.dealt.head, ladder]);
			const part = this.part(item, name, own, all, format);
			if (!saysHowMuch(format) && i === this.dealt.items.length - 1) this.restInItem(own, said);
			return [part];
		});
		// What stands before all exercises and was said of each is used.
		if (!formatNamed(format).ownTime)
			for (const phrase of this.dealt.head)
				if (PER_PART.has(phrase.kind)) said.take(phrase.kind, (p) => p === phrase);
		if (list) said.take('amount', (amount) => amount === list);
		const rounds = Math.max(0, ...parts.map(({ each }) => each?.length ?? 0));
		if (rounds > 0) this.ladderTimes(said, rounds);

		const groups: Part[][] = [];
		parts.forEach((part, i) => {
			const last = groups.at(-1);
			if (last && !this.dealt.items[i]?.apart) last.push(part);
			else groups.push([part]);
		});
		const block = formatNamed(format).read(said, parts, groups);
		if ('fault' in block) this.asked.ofAll(block.fault);
		this.leftovers(said);
		if (saidOf.length > 1) for (const own of saidOf) this.leftovers(own);
		else if (only) this.leftovers(only);
		return 'fault' in block || this.asked.faults.length > 0 ? null : ({ ...block, role } as Block);
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
			this.asked.at(
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
function peek<K extends PhraseKind>(
	said: Said,
	kind: K,
	fits: (phrase: Phrase<K>) => boolean = () => true
): Phrase<K> | null {
	const found = said.take(kind, fits);
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
	if (!block) return { faults: reader.asked.faults };
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
	const named = formatNamed(format);
	return named.read(new Said(phrasesOf(named.starter, { library })), parts, groups);
}
