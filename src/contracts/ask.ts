/** What coach and participants ask each other: polls, and requests about the plan. */
import { array, boolean, number, object, string } from 'yup';
import { SORE_KEYS } from '$core/wellbeing';
import { date, name, words } from './values';

export const POLL_LIMITS = { question: 200, choice: 80, leastChoices: 2, mostChoices: 6, days: 28 } as const;

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
