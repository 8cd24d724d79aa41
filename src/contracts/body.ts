import { boolean, mixed, number, object, string } from 'yup';
import { MEASURE_KINDS, MEASURES, unitOfMeasure, type MeasureKind } from '$core/measures';
import type { Units } from '$core/kit';
import { date, words } from './values';

/** Values are typed in the units of whoever types them; a slip says between what they should be. */
export const measureSchema = (units: Units) =>
	object({
		id: string().uuid('the id of a measure is a UUID').required('a measure carries its own id'),
		kind: string().oneOf(MEASURE_KINDS, 'say what was measured').required('say what was measured'),
		value: number()
			.typeError('a number is expected, as in 72.5')
			.required('a number is expected, as in 72.5')
			.when('kind', ([kind], schema) => {
				if (!(kind in MEASURES)) return schema;
				const { name, low, high } = MEASURES[kind as MeasureKind];
				const { unit, perSi } = unitOfMeasure(kind as MeasureKind, units);
				const [from, to] = [Math.ceil(low * perSi), Math.floor(high * perSi)];
				const says = `${name}: from ${from} to ${to} ${unit}`;
				return schema.min(from, says).max(to, says);
			}),
		on: date('choose a day of the calendar', 'choose the day'),
		source: string().oneOf(['typed', 'scale']).default('typed')
	});

export const VIEWS = ['front', 'side', 'back'] as const;
export type View = (typeof VIEWS)[number];

export const pictureSchema = object({
	view: string()
		.oneOf([...VIEWS], 'say from where it is taken')
		.required('say from where it is taken'),
	on: date('choose a day of the calendar', 'choose the day'),
	shared: boolean().default(false)
});

export const weeklySchema = object({
	id: string().uuid('the id of an answer is a UUID').required('an answer carries its own id'),
	favourite: words(80),
	hardest: words(80),
	obstacle: words(1000),
	confidence: number()
		.transform((value: number, original: unknown) => (original === '' ? null : value))
		.typeError('confidence is a number from 0 to 10')
		.integer('confidence is a whole number from 0 to 10')
		.min(0, 'confidence is a number from 0 to 10')
		.max(10, 'confidence is a number from 0 to 10')
		.nullable()
		.default(null)
});

export const formCheckSchema = object({
	exercise: string().trim().max(80, 'at most 80 letters').required('say which exercise it is'),
	note: words(1000)
});

const share = (what: string) =>
	number()
		.typeError(`${what} is from 0 to 1`)
		.min(0, `${what} is from 0 to 1`)
		.max(1, `${what} is from 0 to 1`);

/** What a coach says to a photograph or clip: a cue, and where in it. */
export const formAnswerSchema = object({
	cue: string().trim().max(1000, 'at most 1,000 letters').required('write or choose a cue'),
	mark: mixed<{ x: number; y: number; at: number }>()
		.nullable()
		.default(null)
		.test(
			'mark',
			'a mark is a place in the picture',
			(value) => value === null || value === undefined || markSchema.isValidSync(value)
		)
});
const markSchema = object({
	x: share('x').required(),
	y: share('y').required(),
	at: number().min(0).max(3600).required()
});
