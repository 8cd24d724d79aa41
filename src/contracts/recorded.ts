/** What a coach records for a person as she was told. */
import { array, mixed, number, object, string } from 'yup';
import { dayList } from './excuse';
import { words } from './values';

/** How much of a day was done: all of it, about a share of it, or the sets as they were told. */
export const RECORDED_SHARES = ['all', '75', '50', '25'] as const;
export type RecordedShare = (typeof RECORDED_SHARES)[number];

export const recordedSchema = object({
	days: dayList(),
	/** An id for each day, in their order: recorded twice they are kept once. */
	ids: array(string().uuid('an id is a UUID').required()).required('each day carries its own id'),
	share: mixed<RecordedShare>()
		.oneOf([...RECORDED_SHARES], 'say how much was done')
		.required('say how much was done'),
	effort: number()
		.transform((value: number, given: unknown) => (given === '' ? null : value))
		.typeError('effort is a number from 0 to 10')
		.integer('effort is a whole number')
		.min(0, 'effort is a number from 0 to 10')
		.max(10, 'effort is a number from 0 to 10')
		.nullable()
		.default(null),
	note: words(1000)
});
