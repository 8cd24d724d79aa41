import { addDays, isDate, weekdayOf } from '../calendar';

/** Days off that a message seems to tell of: proposed to the coach, who decides. Never applied on its own. */
export interface Absence {
	reason: 'ill' | 'away';
	/** First and last date, `YYYY-MM-DD`. */
	from: string;
	to: string;
}

/** Days proposed where no end is said. Common practice, no source. */
const ILL_DAYS = 3;
const MOST_DAYS = 28;

const ILL =
	/\b(?:ill|sick|unwell|fever(?:ish)?|temperature|flu|influenza|covid|(?:a|my|the|bad|nasty|heavy|this) cold|stomach bug|food poisoning|threw up|throwing up|vomit\w*|diarrh?o?ea|antibiotics|tonsillitis|bronchitis|pneumonia|sinusitis|sore throat|infection|migraine|under the weather|in bed with)\b/i;
const AWAY =
	/\b(?:travel\w*|(?:be|am|i'm|we're|are|go|going|still) away|^away|on holidays?|on vacation|(?:business|work|school) trip|flying|flight|funeral|wedding|abroad|out of town)\b/i;
/** Another person is ill, another meaning, or the absence is over. */
const NOT =
	/\b(?:not|no|never|without|isn't|no longer|any ?more|sick of|sick session|cold shower|was (?:ill|sick|away)|had (?:a|the|been)|feel(?:ing)? (?:better|fine)|recovered|all good|kids?|child|children|son|daughter|husband|wife|partner|boyfriend|girlfriend)\b/i;
const SKIPS =
	/\b(?:no training|can't train|cannot train|skip\w*|no internet|no idea|not train\w*|in bed)\b/gi;

const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const NUMBERS: Record<string, number> = {
	a: 1,
	an: 1,
	one: 1,
	two: 2,
	'a couple of': 2,
	three: 3,
	'a few': 3,
	four: 4,
	five: 5,
	six: 6,
	seven: 7,
	ten: 10
};

const DAY_NAME = `today|tonight|tomorrow|yesterday|(?:mon|tues|wednes|thurs|fri|satur|sun)day|the \\d{1,2}(?:st|nd|rd|th)|\\d{1,2}(?:st|nd|rd|th)? (?:of )?(?:${MONTHS.join('|')})[a-z]*|(?:${MONTHS.join('|')})[a-z]* \\d{1,2}(?:st|nd|rd|th)?`;
const NUMBER = `\\d{1,3}|${Object.keys(NUMBERS)
	.sort((a, b) => b.length - a.length)
	.join('|')}`;

/** The date of a name of a day, on or after a date; before it where `past`. */
function dateFrom(name: string, date: string, past = false): string | null {
	const word = name.toLowerCase();
	if (word === 'today' || word === 'tonight') return date;
	if (word === 'tomorrow') return addDays(date, 1);
	if (word === 'yesterday') return addDays(date, -1);
	const weekday = WEEKDAYS.indexOf(word) + 1;
	if (weekday > 0) {
		const ahead = (weekday - weekdayOf(date) + 7) % 7;
		return addDays(date, past ? ahead - 7 : ahead);
	}
	const day = Number(/\d+/.exec(word)?.[0]);
	const month = MONTHS.findIndex((one) => new RegExp(`\\b${one}`).test(word)) + 1;
	const year = Number(date.slice(0, 4));
	const two = (n: number) => String(n).padStart(2, '0');
	if (month > 0) {
		// January, written in December, is next year's.
		const nextYear = month < Number(date.slice(5, 7)) - 6 ? 1 : 0;
		const found = `${year + nextYear}-${two(month)}-${two(day)}`;
		return isDate(found) ? found : null;
	}
	for (let ahead = 0; ahead < 31; ahead++)
		if (Number(addDays(date, ahead).slice(8)) === day) return addDays(date, ahead);
	return null;
}

const matched = (text: string, pattern: string): string | null =>
	new RegExp(`\\b${pattern}\\b`, 'i').exec(text)?.[1] ?? null;

/** First and last date of what a text says, or null for one that it doesn't say. */
function spanOf(text: string, date: string): { from: string | null; to: string | null } {
	const sunday = addDays(date, 7 - weekdayOf(date));
	const since = matched(text, `since (${DAY_NAME})`);
	const starts = matched(text, `(?:from|starting|on) (?:on )?(${DAY_NAME})`);
	const range = new RegExp(`\\b(${DAY_NAME}) (?:to|till?|until|-|–) (${DAY_NAME})\\b`, 'i').exec(text);
	const back = matched(text, `back (?:again )?(?:on |by )?(${DAY_NAME})`);
	const ends = matched(text, `(?:until|till?|through|to) (${DAY_NAME})`);
	const length = new RegExp(`\\b(${NUMBER}) (day|week)s?\\b`, 'i').exec(text);
	const from = range
		? dateFrom(range[1]!, date)
		: since
			? dateFrom(since, date, true)
			: starts && starts !== back
				? dateFrom(starts, date)
				: null;
	if (/\bnext week\b/i.test(text)) return { from: addDays(sunday, 1), to: addDays(sunday, 7) };
	if (/\bweekend\b/i.test(text)) return { from: addDays(sunday, -1), to: sunday };
	const begins = from ?? date;
	// An end is never before the message.
	const ahead = begins > date ? begins : date;
	if (range) return { from, to: dateFrom(range[2]!, ahead) };
	if (back) {
		const on = dateFrom(back, date);
		return { from, to: on && addDays(on, -1) };
	}
	if (ends) return { from, to: dateFrom(ends, ahead) };
	if (length) {
		const n = NUMBERS[length[1]!.toLowerCase()] ?? Number(length[1]);
		return { from, to: addDays(begins, n * (length[2]!.toLowerCase() === 'week' ? 7 : 1) - 1) };
	}
	if (/\bthis week\b/i.test(text)) return { from, to: sunday };
	if (/\btoday and tomorrow\b/i.test(text)) return { from: date, to: addDays(date, 1) };
	if (from === null && /\b(?:skip\w*|ill|sick|unwell) today\b/i.test(text)) return { from: date, to: date };
	if (from === null && /\btomorrow\b/i.test(text)) return { from: addDays(date, 1), to: addDays(date, 1) };
	return { from, to: null };
}

/**
 * Days off that a message seems to tell of: from its date or the one that it says, to the end that it says.
 * Without an end an illness is proposed for three days and anything else for one.
 *
 * @param date on which it was written, by the clock of the person
 * @returns null if the text mentions no days off
 */
export function absenceIn(text: string, date: string): Absence | null {
	const plain = text.replace(/[’‘]/g, "'").replace(/\s+/g, ' ');
	// "No training" confirms an absence; its "no" doesn't negate the illness.
	if (NOT.test(plain.replace(SKIPS, ''))) return null;
	const reason = ILL.test(plain) ? 'ill' : AWAY.test(plain) ? 'away' : null;
	if (reason === null) return null;
	const { from, to } = spanOf(plain, date);
	const first = from ?? date;
	const open = reason === 'ill' ? addDays(date > first ? date : first, ILL_DAYS - 1) : first;
	const last = to ?? open;
	const most = addDays(first, MOST_DAYS - 1);
	return { reason, from: first, to: last < first ? first : last > most ? most : last };
}
