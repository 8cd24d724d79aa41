/** What coach and participants ask each other: polls, and requests about the plan. */
import { array, boolean, number, object, string } from 'yup';
import type { Audience } from '$core/post';
import { SORE_KEYS, type SoreArea } from '$core/wellbeing';
import { date, name, words } from './values';

export const POLL_LIMITS = {
	question: 200,
	choice: 80,
	leastChoices: 2,
	mostChoices: 6,
	days: 28,
	/** For how long one that is closed stands on people's pages with its numbers. */
	standsDays: 3
} as const;

export const pollSchema = object({
	question: name(POLL_LIMITS.question, 'a poll needs a question'),
	choices: array(name(POLL_LIMITS.choice, 'an answer needs some words'))
		.min(POLL_LIMITS.leastChoices, 'two answers at least to choose from')
		.max(POLL_LIMITS.mostChoices, `at most ${POLL_LIMITS.mostChoices} answers`)
		.test(
			'apart',
			'two answers are the same',
			(all = []) => new Set(all.map((one) => one.toLowerCase())).size === all.length
		)
		.required('two answers at least to choose from'),
	/** The last day on which it can be answered, by the coach's calendar. */
	closesOn: date('a date, as in 2026-05-14', 'choose the last day'),
	shown: boolean().default(false)
});

export const pollAnswerSchema = object({
	poll: string().required('say which poll'),
	choice: number().typeError('choose an answer').integer('choose an answer').required('choose an answer')
});

/** Whom a poll asks: who that is does not change from one hour to the next. */
export type PollAudience = Extract<Audience, { kind: 'all' | 'team' | 'level' }>;

/** Instants are epoch milliseconds. */
export interface Poll {
	id: string;
	question: string;
	choices: string[];
	audience: PollAudience;
	/** Whether whoever has answered sees the numbers. */
	shown: boolean;
	at: number;
	closesAt: number;
}

interface Named {
	id: string;
	name: string;
}

/** A poll as the coach sees it. */
export interface PollResult extends Poll {
	by: string | null;
	/** For each answer, who gave it, by name. */
	answers: Named[][];
	/** Who is asked and has not answered, by name. */
	silent: Named[];
}

/** A poll as somebody who is asked sees it. */
export interface OwnPoll extends Omit<Poll, 'audience' | 'shown'> {
	open: boolean;
	/** What they chose, from 0; null: nothing yet. */
	choice: number | null;
	/** How many chose each; null: it is not for them to see. */
	counts: number[] | null;
}

/** What somebody may want of the plan. */
export const WANTS = ['more', 'less', 'other'] as const;
export type Want = (typeof WANTS)[number];
export const REQUEST_LENGTH = 400;

export const requestSchema = object({
	id: string().uuid('the id of a request is a UUID').required('a request carries its own id'),
	wants: string()
		.oneOf([...WANTS], 'say what you would like')
		.required('say what you would like'),
	area: string()
		.oneOf([...SORE_KEYS], 'choose a part from the list')
		.nullable()
		.default(null)
		.when('wants', {
			is: 'other',
			otherwise: (area) => area.required('say for which part')
		}),
	said: words(REQUEST_LENGTH).when('wants', {
		is: 'other',
		then: (said) => said.required('say what you would like')
	})
});

/** What a coach makes of a request. */
export const REQUEST_ANSWERS = ['yes', 'later', 'no'] as const;
export type RequestAnswer = (typeof REQUEST_ANSWERS)[number];

export const requestAnswerSchema = object({
	answer: string()
		.oneOf([...REQUEST_ANSWERS], 'say what comes of it')
		.required('say what comes of it')
});

/** A request as its person sees it. */
export interface PlanRequest {
	id: string;
	wants: Want;
	area: SoreArea | null;
	said: string | null;
	at: number;
	answeredAt: number | null;
	answer: RequestAnswer | null;
}
