import { array, mixed, object, string } from 'yup';
import { LEVELS, type Level } from '$core/people';
import { LIMITATIONS, type Limitation } from '$core/kit';
import { email, name, TIME_OF_DAY, zone } from './values';

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

/** At least as long as is hard to try through, at most as long as is hashed in a moment (OWASP ASVS 4.0.3, 2.1.1 and 2.1.2). */
const password = () =>
	string()
		.min(12, 'a password has at least 12 characters')
		.max(128, 'a password has at most 128 characters')
		.required('a password is needed');

/** A password that takes the place of another. */
export const passwordSchema = object({ password: password() });

export const newCoachSchema = object({
	email: email('an email address is needed'),
	name: name(80, 'a name is needed', 'a name has at most 80 letters'),
	zone: zone(),
	password: password()
});
