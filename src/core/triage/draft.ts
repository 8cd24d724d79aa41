import { fillTemplate, readTemplate, type FieldValues } from '../text/template';
import { gainWords } from '../progress';
import { listed } from '../text/words';
import { REASON_KINDS, type Reason } from './reason';
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
	letterOf(wordsFor(reason), tone, values);

/** Something that was written with somebody. */
export interface Said extends Written {
	/** Who wrote it; null: a coach whose account is gone. */
	by: string | null;
	text: string;
}

const DAY = 86_400_000;
/** From when on an answer is late. Our own choice, no source. */
const LATE = 2 * DAY;
/** For how long a sentence is still in somebody's ear. Common practice, no source. */
const REMEMBERED = 28 * DAY;

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
	const words = reason && wordsFor(reason);
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
	const days = Math.floor((now - before.at) / DAY);
	const when = days < 1 ? 'earlier today' : days === 1 ? 'yesterday' : `${days} days ago`;
	const says =
		before.by === me
			? `I wrote to you ${when} and would like to know how you are.`
			: `We wrote to you ${when} and would like to know how you are.`;
	return letterOf({ ...words, says }, tone, values);
}

function letterOf({ says, advice, offers, asks, kindly }: Words, tone: Tone, values: FieldValues): string {
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

interface Words {
	says: string;
	/** For their safety: it is in every style. */
	advice?: string;
	offers?: string;
	asks?: string;
	kindly?: string;
}

const NO_HURRY = 'No hurry with the answer.';
const WITH_US = 'It’s good to have you with us.';
const PROUD = 'I’m glad to see it.';

/** What was done of the days that were due, to the half of one, as it is said: `2 of 4 days`, `about 1½ of 4 days`. */
function daysOf({ credit, due }: { credit: number; due: number }): string {
	const halves = Math.round(2 * credit);
	const whole = Math.floor(halves / 2);
	const said = `${whole || halves % 2 === 0 ? whole : ''}${halves % 2 ? '½' : ''}`;
	return `${halves === 2 * credit ? '' : 'about '}${said} of ${due} days`;
}

/** A best with both of its figures. */
function bestWords({ gain }: Extract<Reason, { kind: 'best' }>['result']): string {
	const { now, before } = gainWords(gain, 'kg');
	return `Your best ${gain.exercise.toLowerCase()} test so far: ${now}, up from ${before}.`;
}

function wordsFor(reason: Reason): Words {
	switch (reason.kind) {
		case 'stopped':
			return {
				says: 'You stopped because of a warning sign.',
				advice:
					'Please don’t train until a doctor has looked at it. If it is there now or comes back, call your emergency number. Your sessions are held until I know more.',
				asks: 'How are you now, and have you been able to see somebody?'
			};
		case 'follow up':
			return {
				says: `I wanted to ask after “${reason.about}”.`,
				asks: 'How is it now?',
				advice: 'If it still hurts, please let a doctor or physiotherapist look at it before you go on.',
				kindly: NO_HURRY
			};
		case 'pain':
			return {
				says: `You wrote that something hurts: “${reason.hurts}”.`,
				// What is sharp is no matter of “if”.
				advice: reason.isSharp
					? 'Your next sessions spare what hurts. Sharp pain is a reason to stop: please let a doctor or physiotherapist look at it before you go on.'
					: 'Your next sessions spare what hurts. If it turns sharp, or is still there when you rest, please let a doctor or physiotherapist look at it.',
				asks: 'How is it today?',
				kindly: NO_HURRY
			};
		case 'held':
			return reason.why === 'pain'
				? {
						says: 'Your sessions are on hold until we have talked about what hurts.',
						asks: 'How is it today?',
						advice: 'If it is sharp or lasts, please let a doctor or physiotherapist look at it.',
						kindly: NO_HURRY
					}
				: {
						says: 'Before you train I need an OK from a doctor or whoever treats you: your answers ask for one.',
						asks: 'Have you been able to ask?',
						advice: 'Please tell me who gave it, and when.',
						kindly: NO_HURRY
					};
		case 'questions':
			return {
				says: 'Your sessions open as soon as you have answered the questions about your health.',
				offers: 'It takes about four minutes.',
				asks: 'Is anything unclear?',
				kindly: WITH_US
			};
		case 'review':
			return {
				says: `You wrote about your health: “${reason.said}”.`,
				asks: 'Can you tell me more: since when, and what makes it worse?',
				advice: 'If a doctor or physiotherapist treats it, please ask them what to leave out.',
				kindly: NO_HURRY
			};
		case 'over effort':
			return {
				says: `Day ${reason.day} felt like ${reason.effort} of 10. For you ${reason.most} is enough.`,
				advice: 'Slow down until you can talk in whole sentences, and leave out a round if you need to.',
				asks: 'How do you feel today?',
				kindly: NO_HURRY
			};
		case 'losing':
			return {
				says: `Your weight is down about ${Math.abs(reason.kgPerWeek).toFixed(1)} kg a week, and that is faster than I’d like.`,
				advice:
					'Training needs food, so please don’t cut any further. If you didn’t mean to lose it, or it goes on, see a doctor or dietitian.',
				asks: 'How are you eating these days?',
				kindly: NO_HURRY
			};
		case 'never started':
			return {
				says: 'We have begun, and I haven’t seen you yet.',
				asks: 'Is something in the way: the time, the equipment, the link?',
				offers: 'Half a session counts as half, so a short start is a start.',
				kindly: WITH_US
			};
		case 'first miss':
			return {
				says: `You missed day ${reason.day}, the first one. That happens.`,
				asks: 'Is everything all right, and does the next session fit into your day?',
				kindly: WITH_US
			};
		case 'missing':
			return {
				says: 'I haven’t heard from you for a few days.',
				asks: 'How are you?',
				offers:
					'If the sessions are too long or come at the wrong time, tell me. Half of one counts as half.',
				kindly: NO_HURRY
			};
		case 'silent':
			return {
				says: `I haven’t heard from you for ${reason.days} days.`,
				offers:
					'If you’d like to come back, half of the next session is enough, and nothing has to be made up. If you’d rather stop, tell me, and that’s fine too.',
				asks: 'How are you?',
				kindly: NO_HURRY
			};
		case 'fading':
			return {
				says: `In the last seven days you did ${daysOf(reason.recent)}, and in the seven before ${daysOf(reason.before)}.`,
				asks: 'Is it the time, the sessions, or something else?',
				offers: 'If a shorter session or another hour would help, say so.',
				kindly: WITH_US
			};
		case 'later':
			return {
				says: 'You train later in the day than you used to.',
				asks: 'Does the hour still fit?',
				offers: 'If another hour suits you better, tell me which.',
				kindly: NO_HURRY
			};
		case 'strain':
			return {
				says: 'The last sessions were harder for you and you got less of them done.',
				offers: 'Would a bit less this week help?',
				asks: 'What took the most out of you?',
				kindly: NO_HURRY
			};
		case 'tired':
			return {
				says: 'Your energy has been low in the last check-ins.',
				asks: 'How do you sleep?',
				offers: 'A lighter session, or a day off, is no step back.',
				kindly: NO_HURRY
			};
		case 'low':
			return {
				says: 'Your mood has been low in the last check-ins.',
				asks: 'How are you?',
				offers:
					'A short session or none is fine this week. If it stays like this, talk to somebody you trust, or to a doctor.',
				kindly: NO_HURRY
			};
		case 'hard':
			return {
				says: `The last ${reason.effort.length} sessions were close to your limit.`,
				asks: 'Which exercise was it, and would a little less be right?',
				kindly: NO_HURRY
			};
		case 'uneven':
			return {
				says: `Your ${reason.side} side does less than the other: ${reason.exercise.toLowerCase()}.`,
				offers: 'Begin with it, and let the other side do no more than it did.',
				asks: 'Does anything hurt there, or is it just not as strong?',
				kindly: NO_HURRY
			};
		case 'easy':
			return {
				says: `You rated your last sessions ${listed(reason.effort)} of 10 and finished all of them.`,
				asks: 'Shall we make it harder: a little more weight, slower, or one more round?',
				kindly: PROUD
			};
		case 'came back':
			return {
				says: `Good to see you back on day ${reason.day}.`,
				offers: `After ${reason.after} days off, the first session back is the hardest one, and you’ve done it.`,
				kindly: PROUD
			};
		case 'best':
			return {
				says: bestWords(reason.result),
				kindly: PROUD
			};
		case 'full week':
			return { says: `All ${reason.due} training days of the week done. Nice work.`, kindly: PROUD };
		case 'sessions':
			return {
				says: `That was session number ${reason.count}, and you did every one of them.`,
				kindly: PROUD
			};
	}
}
