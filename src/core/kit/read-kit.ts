/** What people write about what they own, read into data and written back. */
import { KIT_LIMITS, PLAIN_ITEMS, type BandRank, type Kit, type Owned, type PlainItem } from './kit';
import { kgFrom } from './units';

export interface ReadKit {
	kit: Owned[];
	/** Pieces that were not understood, as they were written: shown, never dropped. */
	unread: string[];
}

/** Other words for the same thing, as `plain` leaves them. */
const ALSO: readonly [RegExp, PlainItem][] = [
	[/^((yoga|exercise|gym|training) )?mats?$/, 'mat'],
	[/^((kitchen|sturdy|office) )?chairs?$/, 'chair'],
	[/^((weight|flat|adjustable|incline|training) )?bench(es)?$/, 'bench'],
	[/^(door(way)? )?((pull|chin)[- ]?up )?bars?$/, 'pull-up bar'],
	[/^((skipping|jump) )?ropes?$/, 'rope'],
	[/^(foam )?rollers?$/, 'roller'],
	[/^(step|stepper|box|bench step|aerobic step|step-up box)s?$/, 'step'],
	[/^low steps?$/, 'low step'],
	[/^stairs?$|^staircase$/, 'stairs'],
	[/^broom(stick)?s?$|^stick$/, 'broomstick'],
	[/^cushions?$|^pillows?$/, 'cushion'],
	[/^towels?$/, 'towel'],
	[/^tables?$/, 'table'],
	[/^walls?$/, 'wall']
];
const NOTHING = /^(none|nothing|no equipment|no|-|body ?weight( only)?)$/;
const NUMBERS: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4 };

const tidy = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** One spelling for what has several: `Dumb-bells 2,5 Kilos – 20 kgs` becomes `dumbbells 2.5kg-20kg`. */
const plain = (text: string): string =>
	tidy(text.toLowerCase())
		.replace(/[.!]$/, '')
		.replace(/(dumb|kettle)[- ]bell/g, '$1bell')
		.replace(/(\d),(?=\d)/g, '$1.')
		.replace(/(\d) ?(?:kg|kilo)s?\b/g, '$1kg')
		.replace(/(\d) ?(?:lb|pound)s?\b/g, '$1lb')
		.replace(/(\d(?:kg|lb)?) ?(?:-|–|to) ?(?=\d)/g, '$1-')
		.replace(/\b(\d+) ?[x×*] ?/g, '$1x ');

/** Takes the first match of a pattern out of a text. */
function take(text: string, pattern: RegExp): [RegExpExecArray | null, string] {
	const found = pattern.exec(text);
	if (!found) return [null, text];
	return [found, tidy(`${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`)];
}
const inKg = (value: string | undefined, unit: string | undefined): number =>
	kgFrom(Number(value), unit === 'lb' ? 'lb' : 'kg');

const WEIGHT = /\b([\d.]+)(kg|lb)\b/;
const RANGE = /\b([\d.]+)(?:kg|lb)?-([\d.]+)(kg|lb)\b/;
/** `in steps of 2kg`, `2kg steps`. */
const STEP = /[ ,(]*(?:in )?\b(?:steps? (?:of )?([\d.]+)(kg|lb)?|(?<!-)([\d.]+)(kg|lb) steps?\b)\)?/;

/** How many: `2x`, `pair of`, `two`; taken off the text. */
function countIn(text: string): { count: number | null; rest: string } {
	const [pair, withoutPair] = take(text, /\b(?:(\d+|a|one|two|three|four) )?pairs?\b(?: of)?/);
	if (pair) return { count: 2 * (pair[1] ? (NUMBERS[pair[1]] ?? Number(pair[1])) : 1), rest: withoutPair };
	const [times, withoutTimes] = take(text, /\b(\d+)x /);
	if (times) return { count: Number(times[1]), rest: withoutTimes };
	// A weight is one word with its unit, so that a number alone counts.
	const [first, withoutFirst] = take(text, /^(\d+|an?|one|two|three|four) /);
	return { count: first?.[1] ? (NUMBERS[first[1]] ?? Number(first[1])) : null, rest: withoutFirst };
}

function readAdjustable(text: string): Owned | null {
	const [step, withoutStep] = take(text, STEP);
	const [range, rest] = take(withoutStep, RANGE);
	if (!range) return null;
	const { count, rest: words } = countIn(rest);
	if (!/^(adjustable )?(dumbbell|db)s?( adjustable)?$/.test(words)) return null;
	const [, from, to, unit] = range;
	return {
		kind: 'adjustable',
		from: inKg(from, unit),
		to: inKg(to, unit),
		step: step ? inKg(step[1] ?? step[3], step[2] ?? step[4] ?? unit) : inKg('1', unit),
		count: count ?? (/(dumbbell|db)s/.test(words) ? 2 : 1)
	};
}

function readLoaded(text: string): Owned | null {
	const [weight, rest] = take(text, WEIGHT);
	const { count, rest: words } = countIn(rest);
	const what = tidy(words.replace(/\b(of|with|at|each)\b|[@()]/g, ' '));
	const kg = weight ? inKg(weight[1], weight[2]) : null;
	if (/^(loaded |filled |heavy )?(back ?pack|rucksack|pack)s?$/.test(what))
		return { kind: 'pack', item: 'loaded backpack', kg, count: count ?? 1 };
	if (/^(water |filled )?bottles?$/.test(what))
		return { kind: 'pack', item: 'water bottle', kg, count: count ?? 1 };
	if (kg === null) return null;
	if (/^(light )?(dumbbell|db|hand weight)s?$/.test(what))
		return { kind: 'dumbbell', kg, count: count ?? (/s$/.test(what) ? 2 : 1) };
	if (/^(kettlebell|kb)s?$/.test(what)) return { kind: 'kettlebell', kg, count: count ?? 1 };
	return null;
}

function readBand(text: string): Owned | null {
	const { count, rest } = countIn(text);
	const [rank, withoutRank] = take(
		rest,
		/\b(extra light|light|easy|medium|middle|heavy|strong|extra heavy)\b/
	);
	const words = tidy(withoutRank.replace(/\b(resistance|exercise|elastic|long|with handles)\b|[()]/g, ' '));
	if (!/^(band|(mini |hip |booty )?loop( band)?|mini band|tube)s?$/.test(words)) return null;
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
	const item =
		PLAIN_ITEMS.find((known) => known === rest) ?? ALSO.find(([pattern]) => pattern.test(rest))?.[1];
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

/** What is parted, with the step of a pair of adjustable dumbbells beside them: `…, steps of 2 kg`. */
function piecesOf(text: string): string[] {
	const pieces: string[] = [];
	// The comma of a decimal parts nothing.
	for (const piece of text.split(/[;|\n/]|,(?!\d)/)) {
		const before = pieces.at(-1);
		const isStep = before !== undefined && RANGE.test(plain(before)) && take(plain(piece), STEP)[1] === '';
		if (isStep) pieces[pieces.length - 1] = `${before}, ${tidy(piece)}`;
		else pieces.push(tidy(piece));
	}
	return pieces;
}

/**
 * Reads what somebody owns: `pair of dumbbells 8 kg; adjustable dumbbells 2-20 kg, steps of 2; light band; mat`. Pieces
 * are parted by semicolons, commas, strokes or lines. What is not understood is given back as it was written.
 */
export function readKit(text: string): ReadKit {
	const read: ReadKit = { kit: [], unread: [] };
	for (const written of piecesOf(text)) {
		const words = plain(written);
		if (!words || NOTHING.test(words)) continue;
		const owned = READERS.reduce<Owned | null>((found, reader) => found ?? reader(words), null);
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
