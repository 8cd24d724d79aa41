import { array, mixed, object, string } from 'yup';
import { LEVELS, type Level } from '$core/people';
import { LIMITATIONS, type Limitation } from '$core/kit';
import { name, TIME_OF_DAY, zone } from './values';

/** What a coach may change of a person. Equipment comes as people write it. */
export const personSchema = object({
	name: name(80, 'a name is needed', 'a name has at most 80 letters'),
	zone: zone(),
	level: mixed<Level>()
		.oneOf([...LEVELS], 'choose a level')
		.required('choose a level'),
	equipment: string().max(1000, 'at most 1,000 letters').default(''),
	limits: array(
		mixed<Limitation>()
			.oneOf([...LIMITATIONS], ({ value }) => `there is no limit called ${String(value)}`)
			.required()
	)
		.max(LIMITATIONS.length)
		.default([])
});

/** When somebody trains; empty: as soon as a day opens. */
export const hourSchema = object({
	hour: string()
		.trim()
		.test(
			'time',
			'a time of day, as in 18:30; empty for as soon as a day opens',
			(value) => !value || TIME_OF_DAY.test(value)
		)
		.default('')
});
