import { array, boolean, number, object, string, type InferType, type Schema } from 'yup';
import { BANDS, type Band } from '$core/heart';
import { BODY_AREAS } from '$core/run';
import { LIMITS } from '$core/session';
import { PAIN_KINDS, SORE_AREAS, SORE_KEYS, type PainKind, type SoreArea } from '$core/wellbeing';
import { instant, words } from './values';

const whole = (min: number, max: number, what: string) =>
	number()
		.typeError(`${what} is a number from ${min} to ${max}`)
		.integer(`${what} is a whole number from ${min} to ${max}`)
		.min(min, `${what} is a number from ${min} to ${max}`)
		.max(max, `${what} is a number from ${min} to ${max}`);

/** The last block that a day can have: those of two sessions, counted from 0. */
const LAST_BLOCK = 2 * LIMITS.blocks - 1;

const reps = (most = 100_000) =>
	number()
		.typeError('a number is expected')
		.min(0, 'not below 0')
		.max(most, `at most ${most.toLocaleString('en')}`);

const kilograms = () =>
	number()
		.typeError('kilograms are a number')
		.moreThan(0, 'a load is above 0 kg')
		.max(500, 'at most 500 kg')
		.nullable()
		.default(null);

const rate = () =>
	number()
		.typeError('a heart rate is a number')
		.min(20, 'a heart rate from 20')
		.max(260, 'a heart rate up to 260');
const seconds = () => reps(86_400).required();

/** A session that was led step by step, beside its sets. */
const runSchema = object({
	/** Of the session, pauses left out. */
	seconds: reps(86_400).required('say how long it took'),
	scores: array(
		object({
			block: whole(0, LAST_BLOCK, 'block').required(),
			pass: whole(1, LIMITS.passes, 'pass').required(),
			seconds: reps(LIMITS.seconds * 2)
				.nullable()
				.default(null),
			rounds: whole(0, 10_000, 'rounds').required(),
			reps: reps().required(),
			splits: array(reps(LIMITS.seconds * 2).required())
				.max(1000, 'at most 1,000 splits')
				.required()
		}).required()
	)
		.max(LIMITS.blocks * 2, `at most ${LIMITS.blocks * 2} results`)
		.default([]),
	hurts: array(
		object({
			block: whole(0, LAST_BLOCK, 'block').required(),
			part: whole(0, 100, 'part').required(),
			exercise: string().trim().max(80).required('say in which exercise'),
			area: string().oneOf(BODY_AREAS, 'say where it hurts').required('say where it hurts')
		}).required()
	)
		.max(100, 'at most 100 places')
		.default([]),
	/** What a strap told of it; beats a minute, and seconds. */
	heart: object({
		average: rate().required(),
		highest: rate().required(),
		seconds: reps(86_400).required(),
		bands: object(
			Object.fromEntries(BANDS.map((band) => [band, seconds()])) as Record<Band, ReturnType<typeof seconds>>
		).required()
	})
		.nullable()
		.default(null)
});

/** What is said of one day at most, all its parts together: letters, and exercises beyond the plan. */
export const MOST_OF_DAY = { hurts: 2000, note: 5000, beyond: 30 };

/** Work beyond the plan: kept, and counting nothing. */
const beyondSchema = array(
	object({
		exercise: string().trim().max(80, 'at most 80 letters').required('say what you did'),
		amount: reps().moreThan(0, 'above 0').required('say how much'),
		unit: string().oneOf(['reps', 's', 'm'], 'reps, s or m').required('reps, s or m'),
		kg: kilograms()
	}).required()
).max(MOST_OF_DAY.beyond, `at most ${MOST_OF_DAY.beyond} exercises beyond the plan`);

/** How sore a part of the body is; what is not sore is left out. */
const sore = () =>
	number().typeError('soreness is 1, 2 or 3').oneOf([1, 2, 3], 'soreness is 1, 2 or 3').optional() as Schema<
		1 | 2 | 3 | undefined
	>;

/** How somebody is, as far as it was asked. */
const wellSchema = object({
	mood: whole(1, 5, 'mood').nullable().default(null),
	soreness: object(
		Object.fromEntries(SORE_KEYS.map((area) => [area, sore()])) as Record<SoreArea, ReturnType<typeof sore>>
	)
		.test(
			'parts',
			`soreness is of the parts of the drawing: ${SORE_KEYS.join(', ')}`,
			(_, { originalValue }) =>
				Object.keys((originalValue ?? {}) as object).every((area) => area in SORE_AREAS)
		)
		.default({}),
	waterLitres: number()
		.typeError('water is a number of litres')
		.min(0, 'water is 0 to 15 litres')
		.max(15, 'water is 0 to 15 litres')
		.nullable()
		.default(null),
	fuelMet: boolean().nullable().default(null),
	win: words(300),
	/** Where and what of what hurts, beside its words. */
	pain: object({
		area: string().oneOf(BODY_AREAS, 'say where it hurts').required('say where it hurts'),
		/** 0 none to 10 the worst; null if it was not said. */
		intensity: whole(0, 10, 'how much it hurts').nullable().default(null),
		kind: string<PainKind>()
			.oneOf([...PAIN_KINDS, null as unknown as PainKind], 'say what it feels like')
			.nullable()
			.default(null),
		/** In which exercise of the session: it is off until the coach has decided. */
		at: object({
			block: whole(0, LAST_BLOCK, 'block').required(),
			part: whole(0, 100, 'part').required()
		})
			.nullable()
			.default(null)
	})
		.nullable()
		.default(null)
});

/** A check-in as it comes from a device. */
export const checkinSchema = object({
	id: string().uuid('the id of a check-in is a UUID').required('a check-in carries its own id'),
	/** Whose it is, where a device tells it: another may be signed in when it is sent. */
	enrolment: string().uuid().nullable().default(null),
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
	well: wellSchema.default(() => wellSchema.getDefault()),
	hurts: words(MOST_OF_DAY.hurts),
	note: words(MOST_OF_DAY.note),
	replaces: string().uuid().nullable().default(null),
	/** It is added to what stands for the day, and does not take its place. */
	adds: boolean().default(false),
	/** The session was done once more, beside the plan: nothing of the day changes. */
	again: boolean().default(false),
	startedAt: instant('the start'),
	doneAt: instant('the end'),
	/** When the device sent it, by the same clock. */
	sentAt: instant('the time of sending'),
	run: runSchema.nullable().default(null),
	beyond: beyondSchema.default([]),
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
			kg: kilograms(),
			left: reps().nullable().default(null),
			right: reps().nullable().default(null),
			effort: whole(0, 10, 'effort').nullable().default(null),
			used: string().trim().min(1).max(80, 'at most 80 letters').nullable().default(null)
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
export type Well = InferType<typeof wellSchema>;
