import { number, object } from 'yup';
import type { Override } from '$core/day';
import { LIMITS } from '$core/session';
import { byKind } from './by-kind';
import { daySpan } from './day-span';
import { tempoSchema } from './tempo';
import { name, whole } from './values';

const target = byKind('kind', {
	day: {},
	block: { block: whole('the block', 0, LIMITS.blocks - 1) },
	exercise: { exercise: name(LIMITS.nameLength, 'choose the exercise') }
});

/** The most repetitions, seconds or metres of a set. */
const MOST_AMOUNT = LIMITS.metres;

const change = byKind('kind', {
	'leave out': {},
	replace: { exercise: name(LIMITS.nameLength, 'choose what takes its place') },
	scale: {
		share: number()
			.typeError('a share is a number')
			.min(0.1, 'a share from 10 to 200 %')
			.max(2, 'a share from 10 to 200 %')
			.required('how much of it? 10 to 200 %')
	},
	load: {
		kg: number()
			.typeError('kilograms are a number')
			.moreThan(0, 'a load is above 0 kg')
			.max(LIMITS.kg, `at most ${LIMITS.kg} kg`)
			.nullable()
			.default(null)
	},
	amount: {
		amount: number()
			.typeError('an amount is a number')
			.moreThan(0, 'an amount is above 0')
			.max(MOST_AMOUNT, `at most ${MOST_AMOUNT}`)
			.required('how many repetitions, seconds or metres?')
	},
	tempo: { tempo: tempoSchema.required() },
	rest: { seconds: whole('seconds of rest', 0, LIMITS.seconds) }
});

/** A change to the sessions of one person. */
export const overrideSchema = object({
	target,
	change,
	...daySpan,
	why: name(300, 'say why; they read it')
}).test('fits', 'this change applies to an exercise, not to a day or a block', (value) => {
	const { target: on, change: what } = value as unknown as Pick<Override, 'target' | 'change'>;
	if (on.kind === 'exercise') return true;
	if (what.kind === 'scale') return true;
	return on.kind === 'block' && (what.kind === 'leave out' || what.kind === 'rest');
});
