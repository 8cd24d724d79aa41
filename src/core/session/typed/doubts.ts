/**
 * Readings of a pasted line that are known to go wrong without a word: they are asked about instead. Each is found by how
 * the line is written; what it may mean is offered.
 */
import { quote, type LineFault, type Offer } from './asked';

interface Doubt {
	/** What is written; its first group is the stretch that is asked about, or all of it. */
	pattern: RegExp;
	ask: (match: readonly string[], line: string) => { message: string; offers: readonly Offer[] } | null;
}

const offer = (text: string, label = text): Offer => ({ label, text });
const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const MASS = String.raw`(?:kg|kgs|kilos?|lb|lbs|pounds?)\b`;
const point = (number = ''): string => number.replace(',', '.');

/** An effort from repetitions in reserve, as one writes it: `effort 8`. */
function effortOf(low: string, high = low): string {
	const [from, to] = [10 - Number(point(high)), 10 - Number(point(low))];
	return from === to ? `effort ${from}` : `effort ${from}-${to}`;
}

const DOUBTS: readonly Doubt[] = [
	{
		pattern: new RegExp(String.raw`(?:@\s*)?\bRIR\s*(?:of\s*|:\s*)?(\d)(?:\s*[-–]\s*(\d))?(?!\d)`, 'gi'),
		ask: ([text = '', low = '', high]) => ({
			message: `${quote(text)}: repetitions in reserve?`,
			offers: [offer(effortOf(low, high || low)), offer('', 'Leave it out')]
		})
	},
	{
		pattern:
			/(?:@\s*)?\b(?:RPE\s*(?:of\s*|:\s*)?\d{1,2}(?:[.,]\d)?\s*[-–]\s*\d{1,2}(?:[.,]\d)?|\d{1,2}\s*[-–]\s*\d{1,2}\s*(?:RPE|RIR)\b)/gi,
		ask: ([text = '']) => {
			const [low = '', high = ''] = text.match(/\d+(?:[.,]\d)?/g) ?? [];
			const isReserve = /rir/i.test(text);
			const words = isReserve ? effortOf(low, high) : `effort ${point(low)}-${point(high)}`;
			return {
				message: `${quote(text)}: an effort between the two?`,
				offers: [offer(words), offer('', 'Leave it out')]
			};
		}
	},
	{
		pattern: /\b(\d+)\s*[-–]\s*(\d+)\s*(rounds?|sets?)\b/gi,
		ask: ([text = '', low = '', high = '', unit = '']) => ({
			message: `${quote(text)}: how many ${unit.replace(/s?$/i, 's')}? One number, please`,
			offers: [low, high].map((n) => offer(`${n} ${unit.replace(/s?$/i, 's')}`))
		})
	},
	{
		// 3-4 x 10: of the sets, not of the repetitions.
		pattern: /\b(\d+)\s*[-–]\s*(\d+)\s*[x×]\s*\d/gi,
		ask: ([text = '', low = '', high = '']) => {
			const rest = text.slice(/[x×]/.exec(text)?.index ?? 0);
			return {
				message: `${quote(text)}: how many sets? One number, please`,
				offers: [low, high].map((n) => offer(`${n} ${rest}`, `${n} sets`))
			};
		}
	},
	{
		pattern: /^(?=.*\+)(?!\s*\d+\s*(?:rounds?|sets?|[x×])).*\S\s+[x×]\s*(\d{1,2})\s*$/gi,
		ask: ([text = '', count = '']) => {
			const before = text.replace(/\s+[x×]\s*\d{1,2}\s*$/i, '').trim();
			return {
				message: `“× ${count}” at the end: of both exercises, or of the last one?`,
				offers: [
					offer(`${count} rounds: ${before}`, `${count} rounds of all`),
					offer(before, 'Leave “×” out')
				]
			};
		}
	},
	{
		pattern: new RegExp(
			String.raw`(?:@\s*|with\s+)?(?<![\dx×]\s?)(${NUMBER})\s*(${MASS})\s*(?:each(?:\s+hand)?|ea\.?|in\s+each\s+hand|(?:per|a)\s+(?:hand|arm|dumbbell|db)|/\s*(?:hand|arm|db))(?![\p{L}])`,
			'giu'
		),
		ask: ([text = '', amount = '', unit = '']) => ({
			message: `${quote(text)}: one weight in each hand?`,
			offers: [
				offer(`@ 2 x ${point(amount)} ${unit}`, `2 × ${point(amount)} ${unit}`),
				offer(`@ ${point(amount)} ${unit} per side`, `${point(amount)} ${unit}, work per side`),
				offer(`@ ${point(amount)} ${unit}`, `one of ${point(amount)} ${unit}`)
			]
		})
	},
	{
		// Two weights are a pair; three and more are sets more often than weights.
		pattern: new RegExp(
			String.raw`(?:@\s*)?(?<![\d.,/-])([3-9]|[12]\d)\s*[x×]\s*(${NUMBER})\s*(${MASS})(?!\s*[/,]\s*\d)`,
			'gi'
		),
		ask: ([text = '', count = '', amount = '', unit = '']) => ({
			message: `${quote(text)}: ${count} sets, or ${count} weights at once?`,
			offers: [
				offer(`${count} sets @ ${point(amount)} ${unit}`, `${count} sets with ${point(amount)} ${unit}`),
				offer(`@ ${point(amount)} ${unit}`, `one of ${point(amount)} ${unit}`)
			]
		})
	},
	{
		pattern: new RegExp(
			String.raw`(?:@\s*)?\b(${NUMBER})\s*[/,-]\s*(${NUMBER})\s*[/,-]\s*(${NUMBER})\s*(${MASS})`,
			'gi'
		),
		ask: ([text = '', low = '', middle = '', high = '', unit = '']) => ({
			message: `${quote(text)}: a load for each set, or one for each level?`,
			offers: [
				offer(
					`beginner ${point(low)} ${unit}, intermediate ${point(middle)} ${unit}, advanced ${point(high)} ${unit}`,
					'One for each level'
				),
				offer(`@ ${point(low)} ${unit}`, `Sets: begin with ${point(low)} ${unit}`)
			]
		})
	},
	{
		pattern:
			/\b\d+\s*(?:[x×]|sets?(?:\s+of)?)\s*(\d+)\s*\/\s*(\d+)\b(?!\s*\/)(?!\s*(?:s|sec|secs|seconds?|min|kg|lb)\b)/gi,
		ask: ([text = '', first = '', second = '']) => {
			const before = text.slice(0, text.lastIndexOf(first, text.lastIndexOf('/')));
			return {
				message: `${quote(text)}: repetitions, or seconds of work and rest?`,
				offers: [
					offer(`${before}${first}`, `${first} reps`),
					offer(
						`${before.replace(/\s*(?:[x×]|sets?(?:\s+of)?)\s*$/i, '')} rounds ${first} s / ${second} s`,
						`${first} s of work, ${second} s of rest`
					)
				]
			};
		}
	},
	{
		pattern: /(?<![\d:,])\d{1,2}:\d{2}:\d{2}(?![\d:])/g,
		ask: ([text = '']) => {
			const [hours = 0, minutes = 0, seconds = 0] = text.split(':').map(Number);
			const two = (n: number) => String(n).padStart(2, '0');
			const all = hours * 60 + minutes;
			return {
				message: `${quote(text)}: hours, minutes and seconds?`,
				offers: [
					offer(seconds === 0 ? `${all} min` : `${all}:${two(seconds)}`),
					// As a stopwatch writes it, with hundredths at the end.
					...(seconds === 0 ? [offer(`${hours}:${two(minutes)}`, `${hours} min ${minutes} s`)] : [])
				]
			};
		}
	},
	{
		pattern: /(?<![\d.,])\d{1,3},\d{3}(?![\d,])/g,
		ask: ([text = '']) => ({
			message: `${quote(text)}: a thousand, or a decimal?`,
			offers: [offer(text.replace(',', '')), offer(text.replace(',', '.'))]
		})
	},
	{
		// A comma between two numbers, which is no list of three and no weight: those are read right.
		pattern: new RegExp(String.raw`(?<![\d.,])\d+,\d{1,2}(?![\d,])(?!\s*${MASS})(?!\s*,\s*\d)`, 'gi'),
		ask: ([text = '']) => {
			const [first = '', second = ''] = text.split(',');
			return {
				message: `${quote(text)}: a decimal, or two numbers?`,
				offers: [offer(`${first}.${second}`), offer(`${first}, ${second}`)]
			};
		}
	},
	{
		pattern: new RegExp(
			String.raw`\b(${NUMBER})\s*(s|secs?|seconds?|mins?|minutes?|m|metres?|meters?|km|${MASS.slice(0, -2)})\s*[–—-]\s*(${NUMBER})\s*(?:s|secs?|seconds?|mins?|minutes?|m|metres?|meters?|km|${MASS.slice(0, -2)})\b`,
			'gi'
		),
		ask: ([text = '', low = '', unit = '', high = '']) => ({
			message: `${quote(text)}: which of the two?`,
			offers: [low, high].map((n) => offer(`${point(n)} ${unit}`))
		})
	},
	{
		pattern:
			/\b\d+\s*(?:reps?\s+)?(?!s\b|sec|min)[\p{L}][\p{L} '-]*?,?\s+(hold(?:\s+for)?\s*\d+\s*(?:s|secs?|seconds?)?)(?![\p{L}\d])/giu,
		ask: ([, text = '']) => ({
			message: `${quote(text)}: held in each repetition? It is not part of the count`,
			offers: [offer('', 'Leave it out')]
		})
	},
	{
		pattern:
			/\b(rest\s*(?:of\s+|for\s+|:\s*)?([1-9]))(?![\d.:-])(?!\s*(?:s|secs?|seconds?|m|mins?|minutes?|'|[-–])\b)(?!')/gi,
		ask: ([, text = '', n = '']) => ({
			message: `${quote(text)}: seconds or minutes?`,
			offers: [offer(`rest ${n} min`), offer(`rest ${n} s`)]
		})
	},
	{
		pattern: /(?<![\d:.,x×/-])\b(([1-9])\s+(?:of\s+)?rest)\b/gi,
		ask: ([, text = '', n = '']) => ({
			message: `${quote(text)}: seconds or minutes?`,
			offers: [offer(`rest ${n} min`), offer(`rest ${n} s`)]
		})
	}
];

/** What has to be asked about a line before it is read, in its order; one doubt for each stretch. */
export function doubtsOf(line: string): LineFault[] {
	const found: LineFault[] = [];
	for (const { pattern, ask } of DOUBTS)
		for (const match of line.matchAll(pattern)) {
			const asked = ask(match, line);
			if (!asked) continue;
			// A group that names the stretch is the last of the match.
			const own =
				match[1] && match[0].endsWith(match[1]) && /^(?:hold|rest|\d\s+(?:of\s+)?rest)/i.test(match[1])
					? match[1]
					: match[0];
			const from = match.index + match[0].indexOf(own);
			const to = from + own.trimEnd().length;
			if (found.some((one) => one.from < to && from < one.to)) continue;
			found.push({ from, to, message: asked.message, offers: [...asked.offers] });
		}
	return found.sort((a, b) => a.from - b.from);
}
