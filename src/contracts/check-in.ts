import { array, boolean, number, object, string, type InferType } from 'yup';
import { LIMITS } from '$core/session';
import { words } from './values';

const whole = (min: number, max: number, what: string) =>
	number()
		.typeError(`${what} is a number from ${min} to ${max}`)
		.integer(`${what} is a whole number from ${min} to ${max}`)
		.min(min, `${what} is a number from ${min} to ${max}`)
		.max(max, `${what} is a number from ${min} to ${max}`);

/** The last block that a day can have: those of two sessions, counted from 0. */
const LAST_BLOCK = 2 * LIMITS.blocks - 1;

/** A check-in as it comes from a device. */
export const checkinSchema = object({
	id: string().uuid('the id of a check-in is a UUID').required('a check-in carries its own id'),
	day: whole(1, 84, 'the day').required('say which day this is for'),
	versionId: string().uuid().nullable().default(null),
	done: string()
		.oneOf(['all', 'part', 'none'], 'say whether all, part or none of it was done')
		.required('say how much was done'),
	effort: whole(0, 10, 'effort').nullable().default(null),
	energy: whole(1, 5, 'energy').nullable().default(null),
	sleepHours: number()
		.typeError('sleep is a number of hours')
		.min(0, 'sleep is 0 to 24 hours')
		.max(24, 'sleep is 0 to 24 hours')
		.nullable()
		.default(null),
	hurts: words(300),
	note: words(1000),
	replaces: string().uuid().nullable().default(null),
	sets: array(
		object({
			block: whole(0, LAST_BLOCK, 'block').required(),
			part: whole(0, 100, 'part').required(),
			set: whole(1, 200, 'set').required(),
			amount: number()
				.typeError('a number is expected')
				.min(0, 'not below 0')
				.max(100_000, 'at most 100,000')
				.required('a number is expected'),
			kg: number()
				.typeError('kilograms are a number')
				.moreThan(0, 'a load is above 0 kg')
				.max(500, 'at most 500 kg')
				.nullable()
				.default(null)
		}).required()
	)
		.max(2000, 'at most 2,000 sets')
		.nullable()
		.default(null)
});

/** A piece of a day, ticked off or not. */
export const ticksSchema = object({
	day: whole(1, 84, 'the day').required('say which day this is for'),
	piece: whole(0, LAST_BLOCK, 'the piece').required('say which piece this is about'),
	done: boolean().required('say whether it is done')
});

export type CheckinInput = InferType<typeof checkinSchema>;
