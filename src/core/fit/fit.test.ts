import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { limitsOf, readKit, type Limitation } from '../kit';
import type { Level } from '../people';
import { fitPart, startingLoad, suitsOf, usualKg, type Suits } from '.';

const kitOf = (text: string) => readKit(text).kit;
const exercise = (name: string) => {
	const found = PRACTICE.library.find(name);
	if (!found) throw new Error(name);
	return found;
};

/** Pounds by level in tests/reference; here what becomes of them with what somebody owns. */
describe('startingLoad', () => {
	const start = (name: string, level: Level, kit: string | null) =>
		startingLoad(exercise(name), { level, kit: kit === null ? null : kitOf(kit) });

	it('is the heaviest that they own within what is usual', () => {
		// 8 to 12 lb are 3.6 to 5.4 kg.
		expect(start('Curl', 'some experience', '2 x adjustable dumbbell 1-10 kg, steps of 1 kg')).toEqual({
			load: { kind: 'kg', kg: 5 },
			from: [3.6, 5.4],
			why: 'usual: some experience'
		});
		// Large muscles: twice of it.
		expect(usualKg(exercise('Goblet squat'), 'some experience')).toEqual([7.3, 10.9]);
		expect(start('Goblet squat', 'some experience', 'dumbbell 10 kg; dumbbell 12 kg')?.load).toEqual({
			kind: 'kg',
			kg: 10
		});
	});

	it('is the heaviest they have where all are lighter, and the lightest where all are heavier', () => {
		expect(start('Curl', 'trained', 'pair of dumbbells 2 kg')).toMatchObject({
			load: { kg: 2 },
			why: 'the heaviest they have'
		});
		expect(start('Curl', 'beginner', 'pair of dumbbells 12 kg; dumbbell 16 kg')).toMatchObject({
			load: { kg: 12 },
			why: 'the lightest they have; heavier than usual to begin with'
		});
	});

	it('is nothing without a weight, and the middle of what is usual where nobody knows what they own', () => {
		expect(start('Curl', 'trained', 'mat')).toBeNull();
		expect(start('Curl', 'trained', null)?.load).toEqual({ kind: 'kg', kg: 6.4 });
	});

	it('wants two alike where two are held', () => {
		expect(exercise('Overhead press').equipment[0]?.count).toBe(2);
		expect(start('Overhead press', 'some experience', 'dumbbell 4 kg; pair of dumbbells 2 kg')?.load).toEqual(
			{
				kind: 'kg',
				kg: 2
			}
		);
	});

	it('is a band of the rank of the level, the next lighter one, or the one there is', () => {
		const band = (level: Level, kit: string) => start('Band squat', level, kit)?.load;
		expect(band('some experience', 'light band; medium band; heavy band')).toEqual({
			kind: 'band',
			rank: 'medium'
		});
		expect(band('trained', 'light band; medium band')).toEqual({ kind: 'band', rank: 'medium' });
		expect(band('beginner', 'heavy band')).toEqual({ kind: 'band', rank: 'heavy' });
		expect(band('beginner', 'band')).toEqual({ kind: 'band', rank: null });
	});

	it('is a backpack of what it weighs, and the body alone where nothing is held', () => {
		expect(start('Backpack squat', 'trained', 'backpack 12 kg')?.load).toEqual({ kind: 'kg', kg: 12 });
		expect(start('Backpack squat', 'trained', 'backpack')?.load).toEqual({ kind: 'kg', kg: 12.7 });
		expect(start('Push-up', 'trained', 'mat')).toMatchObject({ load: { kind: 'bodyweight' }, from: null });
	});
});

describe('fitPart', () => {
	const fit = (
		line: string,
		suits: Partial<Suits> & { own?: string },
		more: object = {},
		byLevel = false
	) => {
		const { own, ...rest } = suits;
		const [block] = sessionOf(line).blocks;
		const part = block?.parts[0];
		if (!block || !part) throw new Error(line);
		return fitPart(
			part,
			block.role,
			byLevel,
			{
				level: 'some experience',
				planFor: null,
				limits: [],
				kit: own === undefined ? null : kitOf(own),
				...rest
			},
			more,
			PRACTICE
		);
	};
	const limits = (...all: Limitation[]) => ({ limits: all });

	it('leaves alone what suits', () => {
		expect(fit('3 x 10 push-up', {})).toEqual({ kind: 'as planned' });
		expect(fit('3 x 10 goblet squat @ 12 kg', { own: 'dumbbell 12 kg' })).toEqual({ kind: 'as planned' });
		expect(fit('3 x 10 goblet squat @ 12 kg', {})).toEqual({ kind: 'as planned' });
	});

	it('changes what must not be done, whatever else is at hand, and says why in one line', () => {
		expect(fit('3 x 10 push-up', limits('no weight on the wrists'))).toMatchObject({
			kind: 'changed',
			to: 'Table push-up',
			why: 'no weight on the wrists; three steps easier'
		});
	});

	it('gives the heaviest at hand up to what is asked, or the lightest', () => {
		expect(
			fit('3 x 10 goblet squat @ 12 kg', { own: 'dumbbell 8 kg; dumbbell 10 kg; dumbbell 16 kg' })
		).toMatchObject({
			to: '10 kg',
			part: { kg: 10 },
			why: 'the heaviest at hand up to what is asked'
		});
		expect(fit('3 x 10 goblet squat @ 12 kg', { own: 'dumbbell 16 kg' })).toMatchObject({
			part: { kg: 16 },
			why: 'the lightest at hand'
		});
	});

	it('takes a backpack for a weight in the hands, and the body alone where there is neither', () => {
		expect(fit('3 x 10 squat @ 12 kg', { own: 'backpack 9 kg' })).toMatchObject({ part: { kg: 9 } });
		expect(fit('3 x 10 squat @ 12 kg', { own: 'mat' })).toMatchObject({
			to: 'without a weight',
			part: { kg: null },
			why: 'no weight at hand'
		});
	});

	it('holds one weight where two alike were asked for and there are none', () => {
		const found = fit('3 x 10 squat @ 2 x 8 kg', { own: 'backpack 8 kg' });
		expect(found).toMatchObject({ kind: 'as planned' });
	});

	it('wants as many alike as are held', () => {
		const own = 'dumbbell 8 kg; pair of dumbbells 6 kg';
		expect(fit('3 x 10 overhead press @ 8 kg', { own })).toMatchObject({ part: { kg: 6 } });
		expect(fit('3 x 10 squat @ 2 x 8 kg', { own })).toMatchObject({ part: { kg: 6, weights: 2 } });
		expect(fit('3 x 10 curl @ 8 kg', { own: 'dumbbell 8 kg' })).toMatchObject({ kind: 'changed' });
		expect(fit('3 x 10 one-arm row @ 8 kg', { own })).toEqual({ kind: 'as planned' });
	});

	it('takes the heaviest backpack up to what is asked, or the lightest', () => {
		const squat = (own: string) => fit('3 x 10 squat @ 12 kg', { own });
		expect(squat('backpack 9 kg; backpack 5 kg; backpack 14 kg')).toMatchObject({
			part: { kg: 9 },
			why: 'the heaviest at hand up to what is asked'
		});
		expect(squat('backpack 12 kg; backpack 9 kg')).toEqual({ kind: 'as planned' });
		expect(squat('backpack 16 kg; backpack 14 kg')).toMatchObject({
			part: { kg: 14 },
			why: 'the lightest at hand'
		});
		const two = fit('3 x 10 squat @ 2 x 8 kg', { own: 'backpack 10 kg' });
		expect(two).toMatchObject({ kind: 'changed', to: '10 kg', part: { kg: 10 } });
		expect(two.kind === 'changed' && 'weights' in two.part).toBe(false);
		expect(fit('3 x 10 backpack squat @ 12 kg', { own: 'backpack' })).toEqual({ kind: 'as planned' });
	});

	it('takes what the coach named for it: for what hurts first, and at will where it is not at hand', () => {
		const line = '3 x 8 goblet squat @ 12 kg, or wall sit, if the knee hurts: glute bridge';
		const sore = { limits: limitsOf('sore knee') };
		expect(fit(line, sore)).toMatchObject({
			part: { exercise: 'Glute bridge' },
			why: expect.stringContaining('the coach’s own choice for it') as string
		});
		expect(fit(line, { own: 'mat' })).toMatchObject({ part: { exercise: 'Wall sit' } });
		// What is meant for a knee is not done because a weight is missing.
		expect(
			fit('3 x 8 goblet squat @ 12 kg, if the knee hurts: glute bridge', { own: 'mat' })
		).not.toMatchObject({
			part: { exercise: 'Glute bridge' }
		});
		// What they cannot do either is passed over.
		const other = fit('3 x 8 squat, if the knee hurts: glute bridge', {
			limits: [...sore.limits, 'no floor']
		});
		expect(other).not.toMatchObject({ part: { exercise: 'Glute bridge' } });
	});

	it('makes it easier for whoever is under the level of the plan', () => {
		const under = { level: 'beginner', planFor: 'trained' } as const;
		expect(fit('3 x 10 push-up', under)).toMatchObject({
			to: 'Incline push-up',
			why: 'beginner: two steps easier'
		});
		expect(fit('3 x 10 push-up', { ...under, planFor: 'some experience' })).toMatchObject({
			to: 'Knee push-up',
			why: 'beginner: one step easier'
		});
		expect(fit('3 x 10 push-up', { level: 'trained', planFor: 'beginner' })).toEqual({ kind: 'as planned' });
		expect(fit('3 x 30 s calf stretch', under)).toEqual({ kind: 'as planned' });
		expect(fit('warm-up: 1 x 10 push-up', under)).toEqual({ kind: 'as planned' });
	});

	it('gives less load where there is no easier variation, and not where the coach gave it by level', () => {
		// From 8 to 12 lb down to 4 to 8: the middle goes from 10 to 6, so 10 kg become 6.
		const under = { level: 'beginner', planFor: 'some experience' } as const;
		expect(PRACTICE.library.easier('Suitcase deadlift')).toBeNull();
		expect(fit('3 x 10 suitcase deadlift @ 10 kg', under)).toMatchObject({
			to: '6 kg',
			why: 'less to begin with'
		});
		expect(
			fit('3 x 10 suitcase deadlift @ 10 kg', {
				...under,
				own: '2 x adjustable dumbbell 2-10 kg, steps of 2.5 kg'
			})
		).toMatchObject({ to: '4.5 kg', why: 'less to begin with' });
		expect(fit('3 x 10 suitcase deadlift @ 10 kg', under, {}, true)).toEqual({ kind: 'as planned' });
	});

	it('fills in what the plan left open, without calling it a change', () => {
		expect(fit('3 x 10 curl', { own: 'pair of dumbbells 4 kg' })).toMatchObject({
			kind: 'changed',
			part: { kg: 4 },
			to: '4 kg',
			why: null
		});
		expect(fit('3 x 10 band squat', { own: 'light band' })).toMatchObject({
			part: { resistance: 'light band' },
			why: null
		});
		expect(fit('3 x 10 curl', {})).toEqual({ kind: 'as planned' });
	});

	it('takes the band that is nearest to the one asked for', () => {
		expect(fit('3 x 10 band squat @ medium band', { own: 'light band; heavy band' })).toMatchObject({
			to: 'light band',
			why: 'the band at hand'
		});
		expect(fit('3 x 10 band squat @ medium band', { own: 'heavy band' })).toMatchObject({ to: 'heavy band' });
		expect(fit('3 x 10 band squat @ medium band', { own: 'medium band' })).toEqual({ kind: 'as planned' });
		expect(fit('3 x 10 band squat @ red band', { own: 'medium band' })).toEqual({ kind: 'as planned' });
	});

	it('leaves what was decided for them', () => {
		expect(fit('3 x 10 push-up', limits('no floor'), { exercise: true })).toEqual({ kind: 'as planned' });
		expect(fit('3 x 10 goblet squat @ 12 kg', { own: 'dumbbell 8 kg' }, { load: true })).toEqual({
			kind: 'as planned'
		});
	});

	it('says where nothing is left', () => {
		expect(fit('3 x 10 pullover @ 8 kg', { own: 'mat', limits: ['no floor', 'seated only'] })).toMatchObject({
			kind: 'nothing'
		});
	});
});

describe('what suits somebody', () => {
	const known = { level: 'beginner', limits: [], answered: false } as const;
	it('takes a kit of which nothing was said for unknown, and one that was answered for empty', () => {
		expect(suitsOf({ ...known, kit: [] }, 'trained').kit).toBeNull();
		const soft = { kind: 'item', item: 'mat', count: 1 };
		expect(suitsOf({ ...known, kit: [], answered: true }, 'trained').kit).toEqual([soft]);
		expect(suitsOf({ ...known, kit: kitOf('step') }, 'trained').kit).toEqual([...kitOf('step'), soft]);
	});
	it('goes by their level only once they have said so', () => {
		expect(suitsOf({ ...known, kit: [] }, 'trained').planFor).toBeNull();
		expect(suitsOf({ ...known, kit: [], answered: true }, 'trained').planFor).toBe('trained');
	});
});
