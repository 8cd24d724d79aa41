import { mixed, number, object, string } from 'yup';
import { LEVELS, type Level } from '$core/people';
import { email, emailOrNone, name, zone } from './values';

/** What somebody gives who joins by themselves. */
export const joinSchema = object({
	name: name(80, 'say who you are', 'a name has at most 80 letters'),
	email: email('an email address is needed'),
	zone: zone()
});

/** How many a challenge takes; empty: as many as come. */
export const capacitySchema = object({
	capacity: number()
		.transform((value: number, given: unknown) => (given === '' ? null : value))
		.typeError('places are a number from 1 to 2,000; empty for no limit')
		.integer('whole places only')
		.min(1, 'at least 1 place')
		.max(2000, 'at most 2,000 places')
		.nullable()
		.default(null)
});

/** One person put in by hand; what they own as they say it. */
export const addPersonSchema = joinSchema.shape({
	email: emailOrNone(),
	level: mixed<Level>()
		.oneOf([...LEVELS], 'choose a level')
		.required('choose a level'),
	equipment: string().max(1000, 'at most 1,000 letters').default('')
});
