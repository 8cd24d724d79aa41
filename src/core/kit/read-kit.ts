/** What people write about what they own, read into data and written back. */
import { KIT_LIMITS, PLAIN_ITEMS, type BandRank, type Kit, type Owned, type PlainItem } from './kit';

const KG_PER_LB = 0.45359237;

export interface ReadKit {
	kit: Owned[];
	/** Pieces that were not understood, as they were written: shown, never dropped. */
	unread: string[];
}

/** Other words for the same thing. */
const ALSO: readonly [RegExp, PlainItem][] = [
	[/^(yoga|exercise|gym|training)?\s*mats?$/, 'mat'],
	[/^(kitchen|sturdy|office)?\s*chairs?$/, 'chair'],
	[/^(weight|flat|adjustable|incline|training)?\s*bench(es)?$/, 'bench'],
	[/^(door(way)?\s*)?((pull|chin)-?\s?up\s*)?bars?$/, 'pull-up bar'],
	[/^(skipping|jump)?\s*ropes?$/, 'rope'],
	[/^(foam)?\s*rollers?$/, 'roller'],
	[/^(step|stepper|box|bench step|aerobic step|step-up box)s?$/, 'step'],
	[/^low steps?$/, 'low step'],
	[/^stairs?$|^staircase$/, 'stairs'],
	[/^broom(stick)?s?$|^stick$/, 'broomstick'],
	[/^cushions?$|^pillows?$/, 'cushion'],
	[/^towels?$/, 'towel'],
	[/^tables?$/, 'table'],
	[/^walls?$/, 'wall']
];
const NOTHING = /^(none|nothing|no equipment|no|-|body\s?weight( only)?)$/;
const NUMBERS: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, pair: 2, pairs: 2 };

/** Takes the first match of a pattern out of a text. */
function take(text: string, pattern: RegExp): [RegExpExecArray | null, string] {
	const found = pattern.exec(text);
	if (!found) return [null, text];
	return [found, `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`];
}
const tidy = (text: string): string => text.replace(/\s+/g, ' ').trim();
const number = (text: string | undefined): number => Number((text ?? '').replace(',', '.'));
const inKg = (value: number, unit: string | undefined): number =>
	Math.round(value * (/^(lb|pound)/.test(unit ?? '') ? KG_PER_LB : 1) * 100) / 100;
const WEIGHT = /(\d+(?:[.,]\d+)?)\s*(kgs?|kilos?|lbs?|pounds?)\b/;
const RANGE =
	/(\d+(?:[.,]\d+)?)\s*(?:kgs?|lbs?)?\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?)\s*(kgs?|kilos?|lbs?|pounds?)\b/;

/** How many: `2 x`, `pair of`, `two`; taken off the text. */
function countIn(text: string): { count: number | null; rest: string } {
	const [pair, withoutPair] = take(text, /\b(?:(\d+|a|one|two|three|four)\s+)?(pairs?)(?:\s+of)?\b/);
	if (pair) return { count: 2 * (pair[1] ? (NUMBERS[pair[1]] ?? Number(pair[1])) : 1), rest: withoutPair };
	const [times, withoutTimes] = take(text, /(?:^|\s)(\d+)\s*(?:x|×|\*)\s*(?=\S)/);
	if (times) return { count: Number(times[1]), rest: withoutTimes };
	const [word, withoutWord] = take(text, /^(an?|one|two|three|four)\s+/);
	if (word) return { count: NUMBERS[word[1] ?? ''] ?? 1, rest: withoutWord };
	// A bare number in front counts, unless it is a weight: `2 dumbbells`, but not `12 kg dumbbell`.
	const [bare, withoutBare] = take(text, /^(\d+)\s+(?!kg|kilo|lb|pound|-|–|to\b)/);
	return { count: bare ? Number(bare[1]) : null, rest: bare ? withoutBare : text };
}

function readAdjustable(text: string): Owned | null {
	if (
		!/adjustable|to\s*\d|\d\s*(?:kgs?|lbs?)?\s*[-–]\s*\d/.test(text) ||
		!/dumb-?\s?bells?|\bdbs?\b/.test(text)
	)
		return null;
	const [of, withoutOf] = take(text, /\(?(?:in\s+)?\bsteps?\s+(?:of\s+)?(\d+(?:[.,]\d+)?)\s*(kgs?|lbs?)?\)?/);
	const [before, withoutBefore] = of
		? [null, withoutOf]
		: take(text, /\(?(?<![-–\d.,]|to\s)(\d+(?:[.,]\d+)?)\s*(kgs?|lbs?)?\s+steps?\b\)?/);
	const stepped = of ?? before;
	const withoutStep = of ? withoutOf : withoutBefore;
	const [range, rest] = take(withoutStep, RANGE);
	if (!range) return null;
	const { count, rest: words } = countIn(tidy(rest));
	if (!/^(adjustable\s*)?(dumb-?\s?bells?|dbs?)(\s*adjustable)?$/.test(tidy(words))) return null;
	const unit = range[3];
	const plural = /bells\b|\bdbs\b/.test(words);
	return {
		kind: 'adjustable',
		from: inKg(number(range[1]), unit),
		to: inKg(number(range[2]), unit),
		step: stepped ? inKg(number(stepped[1]), stepped[2] ?? unit) : inKg(1, unit),
		count: count ?? (plural ? 2 : 1)
	};
}

function readLoaded(text: string): Owned | null {
	const [weight, rest] = take(text, WEIGHT);
	const { count, rest: words } = countIn(tidy(rest));
	const what = tidy(words.replace(/\b(of|with|at|each|@)\b|[@()]/g, ' '));
	const kg = weight ? inKg(number(weight[1]), weight[2]) : null;
	if (/^(loaded |filled |heavy )?(back\s?pack|rucksack|pack)s?$/.test(what))
		return { kind: 'pack', item: 'loaded backpack', kg, count: count ?? 1 };
	if (/^(water |filled )?bottles?$/.test(what))
		return { kind: 'pack', item: 'water bottle', kg, count: count ?? 1 };
	if (kg === null) return null;
	if (/^(light )?(dumb-?\s?bells?|dbs?|hand weights?)$/.test(what))
		return { kind: 'dumbbell', kg, count: count ?? (/s$/.test(what) ? 2 : 1) };
	if (/^(kettle-?\s?bells?|kbs?)$/.test(what)) return { kind: 'kettlebell', kg, count: count ?? 1 };
	return null;
}

function readBand(text: string): Owned | null {
	if (!/\b(bands?|loops?|tubes?)\b/.test(text)) return null;
	const { count, rest } = countIn(text);
	const [rank, withoutRank] = take(
		rest,
		/\b(extra light|light|easy|medium|middle|heavy|strong|extra heavy)\b/
	);
	const words = tidy(withoutRank.replace(/\b(resistance|exercise|elastic|long|with handles)\b|[()]/g, ' '));
	if (!/^(bands?|(mini |hip |booty )?loops?( bands?)?|mini bands?|tubes?)$/.test(words)) return null;
	const ranks: Record<string, BandRank> = {
		'extra light': 'light',
		light: 'light',
		easy: 'light',
		medium: 'medium',
		middle: 'medium',
		heavy: 'heavy',
		strong: 'heavy',
		'extra heavy': 'heavy'
	};
	return {
		kind: 'band',
		rank: rank ? (ranks[rank[1] ?? ''] ?? null) : null,
		loop: /loop|mini/.test(words),
		count: count ?? 1
	};
}

function readItem(text: string): Owned | null {
	const { count, rest } = countIn(text);
	const words = tidy(rest);
	const item =
		PLAIN_ITEMS.find((known) => known === words) ?? ALSO.find(([pattern]) => pattern.test(words))?.[1];
	return item ? { kind: 'item', item, count: count ?? 1 } : null;
}

/** Whether a piece lies within what somebody can own. */
function isSane(owned: Owned): boolean {
	const weights =
		owned.kind === 'adjustable'
			? [owned.from, owned.to, owned.step]
			: 'kg' in owned && owned.kg !== null
				? [owned.kg]
				: [];
	return (
		Number.isInteger(owned.count) &&
		owned.count >= 1 &&
		owned.count <= KIT_LIMITS.count &&
		weights.every((kg) => kg > 0 && kg <= KIT_LIMITS.kg) &&
		(owned.kind !== 'adjustable' || (owned.from < owned.to && (owned.to - owned.from) / owned.step <= 400))
	);
}

const READERS = [readAdjustable, readLoaded, readBand, readItem];

/**
 * Reads what somebody owns: `pair of dumbbells 8 kg; adjustable dumbbells 2-20 kg, steps of 2; light band; mat`. Pieces
 * are parted by semicolons, commas, strokes or lines. What is not understood is given back as it was written.
 */
export function readKit(text: string): ReadKit {
	const read: ReadKit = { kit: [], unread: [] };
	// The comma before a step and the one of a decimal part nothing.
	const pieces = text
		.replace(/,(?=\s*(?:in\s+)?(?:\d+(?:[.,]\d+)?\s*(?:kg|lb)?\s+)?steps?\s+(?:of\s+)?\d)/gi, ' ')
		.replace(/,(?=\s*\d+(?:[.,]\d+)?\s*(?:kg|lb)s?\s+steps?\b)/gi, ' ')
		.split(/[;|\n/]|,(?!\d)/);
	for (const piece of pieces) {
		const written = tidy(piece);
		const words = written.toLowerCase().replace(/[.!]$/, '');
		if (!words || NOTHING.test(words)) continue;
		let owned: Owned | null = null;
		for (const reader of READERS) if ((owned = reader(words))) break;
		if (owned && isSane(owned) && read.kit.length < KIT_LIMITS.pieces) read.kit.push(owned);
		else read.unread.push(written);
	}
	return read;
}

const plural = (word: string, count: number): string =>
	count > 1 && !word.endsWith('s') ? `${word}s` : word;
const counted = (count: number, word: string): string =>
	count > 1 ? `${count} ${plural(word, count)}` : word;

/** One piece as people write it; `readKit` reads the same from it. */
export function ownedText(owned: Owned): string {
	switch (owned.kind) {
		case 'dumbbell':
			return owned.count === 2
				? `pair of dumbbells ${owned.kg} kg`
				: owned.count > 1
					? `${owned.count} x dumbbell ${owned.kg} kg`
					: `dumbbell ${owned.kg} kg`;
		case 'kettlebell':
			return owned.count > 1 ? `${owned.count} x kettlebell ${owned.kg} kg` : `kettlebell ${owned.kg} kg`;
		case 'adjustable':
			return `${owned.count === 1 ? '1 x' : `${owned.count} x`} adjustable dumbbell ${owned.from}-${owned.to} kg, steps of ${owned.step} kg`;
		case 'band': {
			const word = owned.loop ? 'loop band' : 'band';
			return `${owned.count > 1 ? `${owned.count} ` : ''}${owned.rank ? `${owned.rank} ` : ''}${plural(word, owned.count)}`;
		}
		case 'pack': {
			const word = owned.item === 'loaded backpack' ? 'backpack' : 'water bottle';
			return `${counted(owned.count, word)}${owned.kg === null ? '' : ` ${owned.kg} kg`}`;
		}
		case 'item':
			return owned.count > 1 ? `${owned.count} x ${owned.item}` : owned.item;
	}
}

/** A kit as people write it, with what was not understood. */
export const kitText = (kit: Kit, unread: readonly string[] = []): string =>
	[...kit.map(ownedText), ...unread].join('; ');
