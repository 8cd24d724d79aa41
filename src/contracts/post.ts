import { array, boolean, object, string, type InferType } from 'yup';
import { LEVELS, type Level } from '$core/people';
import { type Audience } from '$core/post';
import { readTemplate } from '$core/text/template';
import {
	DEFAULT_TONE,
	DRAFT_STYLES,
	REASON_GROUPS,
	REASON_KINDS,
	type ReasonGroup,
	type ReasonKind
} from '$core/triage';
import { MOST_LETTERS } from './message';
import { date, filled, name, timeOfDay, words } from './values';

/** Letters of a subject, at most. */
export const SUBJECT_LENGTH = 120;
/** People of one message, at most. */
export const MOST_ADDRESSEES = 2000;
/** Letters of a line with which a result is answered, and how many there may be. */
export const REPLY_LENGTH = 160;
export const MOST_REPLIES = 6;
/** Ours, to begin with. */
const DEFAULT_REPLIES = [
	'Well trained, {name}.',
	'That was a hard one, and you did it.',
	'Half of it counts as half. Good that you began.',
	'Nicely done. Take it easy until the next one.',
	'How do you feel today?',
	'Thank you for the note.'
];
/** Days ahead for which a message may be planned. */
export const PLANNED_AHEAD = 60;

/** A text with fields, whose faults are told with their places. */
const template = (most: number, missing: string) =>
	filled(most, missing, `at most ${most.toLocaleString('en')} letters`).test(
		'fields',
		({ value }) =>
			readTemplate(String(value))
				.faults.slice(0, 5)
				.map(({ line, column, message }) => `line ${line}, column ${column}: ${message}`)
				.join('; '),
		(text) => readTemplate(text ?? '').faults.length === 0
	);

/** A subject is one line: what follows a line end would be a header of its own. */
const subject = () =>
	template(SUBJECT_LENGTH, 'a subject is needed: it is what they see first').matches(/^[^\r\n]*$/, {
		message: 'a subject is one line',
		excludeEmptyString: true
	});

/** Reasons for which a draft may be sent without being looked at. What is about safety never is. */
export const AUTOMATIC = (Object.keys(REASON_KINDS) as ReasonKind[]).filter(
	(kind) => REASON_KINDS[kind] === 'retention' || REASON_KINDS[kind] === 'praise'
);

export const postSettingsSchema = object({
	style: string()
		.oneOf([...DRAFT_STYLES])
		.default(DEFAULT_TONE.style),
	greeting: template(80, 'a greeting is needed, as in Hi {name},').default(DEFAULT_TONE.greeting),
	signOff: template(200, 'say how you sign, as in {coach}').default(DEFAULT_TONE.signOff),
	/** Lines with which results are answered, by their keys 1, 2 and so on. */
	replies: array(template(REPLY_LENGTH, 'leave no line empty'))
		.max(MOST_REPLIES, `at most ${MOST_REPLIES} lines`)
		.default([...DEFAULT_REPLIES]),
	/** By the clock of whoever is written to; the same twice: none. */
	quietFrom: timeOfDay().default('21:00'),
	quietTo: timeOfDay().default('07:00'),
	digest: boolean().default(true),
	/** Whether the coach is told by mail that somebody wrote. */
	answers: boolean().default(false),
	/** By the clock of the coach. */
	digestAt: timeOfDay().default('06:00'),
	automatic: array(
		string()
			.oneOf(AUTOMATIC, 'choose reasons from the list: what is about safety or load you write yourself')
			.required()
	)
		.max(AUTOMATIC.length)
		.default([])
});
export type PostSettings = InferType<typeof postSettingsSchema>;

export const templateSchema = object({
	name: name(60, 'a template needs a name'),
	subject: subject(),
	text: template(MOST_LETTERS, 'write something first')
});
export interface SavedTemplate extends InferType<typeof templateSchema> {
	id: string;
}

/** Whom a message is for, as a form says it: `all`, `to do`, `team:` and an id, `level:` and a level, `need:` and a group. */
export function audienceFrom(text: string, ids: readonly string[]): Audience | null {
	const [kind, value] = text.split(/:(.*)/s);
	switch (kind) {
		case 'all':
		case 'to do':
			return { kind };
		case 'team':
			return value ? { kind, team: value } : null;
		case 'level':
			return LEVELS.some((level) => level === value) ? { kind, level: value as Level } : null;
		case 'need':
			return REASON_GROUPS.some((group) => group === value) ? { kind, group: value as ReasonGroup } : null;
		case 'people':
			return { kind, ids };
		default:
			return null;
	}
}

export const postSchema = object({
	id: string().uuid('the id of a message is a UUID').required('a message carries its own id'),
	subject: subject(),
	text: template(MOST_LETTERS, 'write something first'),
	when: string().oneOf(['now', 'later'], 'say when it goes').default('now'),
	date: string().when('when', {
		is: 'later',
		then: () => date('a date, as in 2026-05-14', 'choose a day')
	}),
	time: string().when('when', { is: 'later', then: () => timeOfDay() })
});

/** What goes with somebody’s own link. */
export const invitationSchema = object({ words: words(1000) });

/** A message to several, and how far it has come. */
export interface PostState {
	id: string;
	subject: string;
	text: string;
	audience: Audience;
	by: string | null;
	at: number;
	onDate: string | null;
	onMinutes: number | null;
	/** How many of it stand where. */
	planned: number;
	waiting: number;
	sent: number;
	failed: number;
	notMailed: number;
	cancelled: number;
	/** How many have read it in the application. */
	read: number;
}
