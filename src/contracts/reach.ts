import { object, string } from 'yup';
import { isDate } from '$core/calendar';
import type { ReachWay } from '$core/triage';
import type { Assert, Same } from './same';
import { words } from './values';

/** What a coach does about somebody; `later`: puts it off. */
export const REACH_WAYS = [
	'wrote',
	'called',
	'talked',
	'praised',
	'adjusted',
	'asked',
	'settled',
	'later'
] as const;
export type WaysAreKnown = Assert<Same<(typeof REACH_WAYS)[number] | 'post', ReachWay>>;

/** Days for which something is put off, at most. */
export const MOST_LATER = 28;

export const reachSchema = object({
	way: string()
		.oneOf([...REACH_WAYS], 'say what you did')
		.required('say what you did'),
	note: words(1000),
	/** The day until which it is put off, by the coach's own calendar. */
	until: string()
		.test('date', 'choose a day of the calendar', (value) => !value || isDate(value))
		.nullable()
		.default(null)
		.when('way', {
			is: 'later',
			then: (until) => until.required('choose until which day')
		})
});
