import { DAY_MS } from '../calendar';
import { fillTemplate, readTemplate, type FieldValues } from '../text/template';
import type { DraftWords } from './definition';
import { definitionOf, REASON_KINDS, type Reason } from './reason';
import { lastUnanswered, type Dealt, type Written } from './waiting';

/** How much a draft says: what is the matter and a question; with an offer; with an offer and a kind word. */
export const DRAFT_STYLES = ['brief', 'plain', 'warm'] as const;

/** How a coach begins, writes and signs. */
export interface Tone {
	style: (typeof DRAFT_STYLES)[number];
	/** Templates both, as in `Hi {name},`. */
	greeting: string;
	signOff: string;
}

export const DEFAULT_TONE: Tone = { style: 'plain', greeting: 'Hi {name},', signOff: '{coach}' };

/**
 * What a coach could write to somebody for a reason: a beginning to be changed, never sent by itself. It asks before it
 * tells, blames nobody, and says nothing that the figures do not.
 */
export const draftFor = (reason: Reason, tone: Tone, values: FieldValues): string =>
	letterOf(definitionOf(reason.kind).draft(reason), tone, values);

/** Something that was written with somebody. */
export interface Said extends Written {
	/** Who wrote it; null: a coach whose account is gone. */
	by: string | null;
	text: string;
}

/** From when on an answer is late. Our own choice, no source. */
const LATE = 2 * DAY_MS;
/** For how long a sentence is still in somebody's ear. Common practice, no source. */
const REMEMBERED = 28 * DAY_MS;

/**
 * The same to somebody with whom there has been writing: who wrote last is answered, and nobody reads the same words twice.
 * @param reason null: none at the moment
 * @param thread the older first @param dealt what else was done about them
 * @param me the coach who writes, as messages name her
 * @returns empty where there is nothing to answer and no reason to write
 */
export function draftAfter(
	reason: Reason | null,
	tone: Tone,
	values: FieldValues,
	{ thread, dealt, me, now }: { thread: readonly Said[]; dealt: readonly Dealt[]; me: string; now: number }
): string {
	const words = reason && definitionOf(reason.kind).draft(reason);
	const group = reason && REASON_KINDS[reason.kind];
	const asked = lastUnanswered(thread, dealt, now);
	if (asked) {
		const { advice, asks } = words && group === 'safety' ? words : {};
		const says =
			now - asked.at < LATE
				? 'Thank you for writing.'
				: 'Thank you for writing, and I’m sorry that my answer took so long.';
		return letterOf({ says, advice, asks }, tone, values);
	}
	if (!words) return '';
	const withoutFigures = (text: string) => text.replace(/\d+(?:\.\d+)?/g, '#');
	const before = thread.findLast(
		({ byCoach, text }) => byCoach && withoutFigures(text).includes(withoutFigures(words.says))
	);
	const answered = before && thread.some(({ byCoach, at }) => !byCoach && at > before.at);
	if (group !== 'retention' || !before || answered || now - before.at > REMEMBERED)
		return letterOf(words, tone, values);
	const days = Math.floor((now - before.at) / DAY_MS);
	const when = days < 1 ? 'earlier today' : days === 1 ? 'yesterday' : `${days} days ago`;
	const says =
		before.by === me
			? `I wrote to you ${when} and would like to know how you are.`
			: `We wrote to you ${when} and would like to know how you are.`;
	return letterOf({ ...words, says }, tone, values);
}

function letterOf(
	{ says, advice, offers, asks, kindly }: DraftWords,
	tone: Tone,
	values: FieldValues
): string {
	const { style } = tone;
	const sentences = [
		says,
		advice,
		style === 'brief' ? undefined : offers,
		asks,
		style === 'warm' ? kindly : undefined
	];
	const fill = (text: string) => fillTemplate(readTemplate(text), values).text;
	return [fill(tone.greeting), sentences.filter(Boolean).join(' '), fill(tone.signOff)]
		.filter((part) => part.trim())
		.join('\n\n');
}
