import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { formatOf, wholeSeconds } from '../session';
import { limitsOf, readKit, type Limitation } from '../kit';
import type { Level } from '../people';
import { fitPart, profileOf, repsAtSameEffort, startingLoad, usualKg, type FitProfile } from '.';

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
		// 8 to 12 lb are 3.6 to 5.4 kg in a press; a curl takes nine tenths of it.
		expect(usualKg(exercise('Overhead press'), 'some experience')).toEqual([3.6, 5.4]);
		expect(start('Curl', 'some experience', '2 x adjustable dumbbell 1-10 kg, steps of 1 kg')).toEqual({
			load: { kind: 'kg', kg: 4 },
			from: [3.3, 4.9],
			why: 'usual: some experience'
		});
		// A goblet squat is twice of a press, a lateral raise half.
		expect(usualKg(exercise('Goblet squat'), 'some experience')).toEqual([7.3, 10.9]);
		expect(usualKg(exercise('Lateral raise'), 'some experience')).toEqual([1.8, 2.7]);
		expect(start('Goblet squat', 'some experience', 'dumbbell 10 kg; dumbbell 12 kg')?.load).toEqual({
			kind: 'kg',
			kg: 10
		});
	});

	it('is the heaviest they have where all are lighter, and nothing where all are heavier', () => {
		expect(start('Curl', 'trained', 'pair of dumbbells 2 kg')).toMatchObject({
			load: { kg: 2 },
			why: 'the heaviest they have'
		});
		expect(start('Curl', 'beginner', 'pair of dumbbells 12 kg; dumbbell 16 kg')).toBeNull();
	});

	it('is nothing without a weight, and the middle of what is usual where nobody knows what they own', () => {
		expect(start('Curl', 'trained', 'mat')).toBeNull();
		expect(start('Curl', 'trained', null)?.load).toEqual({ kind: 'kg', kg: 5.7 });
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
		expect(start('Backpack squat', 'trained', 'backpack')?.load).toEqual({ kind: 'kg', kg: 14.5 });
		expect(start('Push-up', 'trained', 'mat')).toMatchObject({ load: { kind: 'bodyweight' }, from: null });
	});
});

describe('fitPart', () => {
	const fit = (
		line: string,
		profile: Partial<FitProfile> & { own?: string },
		{
			decided = {},
			taken = [],
			byLevel = false
		}: { decided?: object; taken?: string[]; byLevel?: boolean } = {}
	) => {
		const { own, ...rest } = profile;
		const [block] = sessionOf(line).blocks;
		const part = block?.parts[0];
		if (!block || !part) throw new Error(line);
		const timed = formatOf(block).target !== undefined;
		return fitPart(
			part,
			{ role: block.role, timed, byLevel, taken: new Set(taken) },
			{
				level: 'some experience',
				planFor: null,
				limits: [],
				kit: own === undefined ? null : kitOf(own),
				...rest
			},
			decided,
			PRACTICE
		);
	};
	const limits = (...all: Limitation[]) => ({ limits: all });
	const squat = (own: string) => fit('3 x 10 goblet squat @ 12 kg', { own });

	it('leaves alone what fits', () => {
		expect(fit('3 x 10 push-up', {})).toEqual({ kind: 'as planned' });
		expect(squat('dumbbell 12 kg')).toEqual({ kind: 'as planned' });
		expect(fit('3 x 10 goblet squat @ 12 kg', {})).toEqual({ kind: 'as planned' });
	});

	it('changes what breaks a limit, whatever else is at hand, and names the cause', () => {
		expect(fit('3 x 10 push-up', limits('no weight on the wrists'))).toMatchObject({
			kind: 'changed',
			to: 'Floor press',
			why: 'no weight on the wrists, so floor press'
		});
		expect(fit('3 x 10 push-up', { own: 'mat', limits: ['no weight on the wrists'] })).toMatchObject({
			to: 'Wall push-up'
		});
	});

	it('gives the nearest weight below the plan', () => {
		expect(squat('dumbbell 8 kg; dumbbell 10 kg; dumbbell 16 kg')).toMatchObject({
			to: '10 kg',
			part: { kg: 10 },
			why: 'your nearest weight below the plan'
		});
	});

	it('takes a heavier weight with fewer repetitions of the same effort, and says both', () => {
		// Epley: 12 kg × 10 stand for 16 kg once; with 13 kg that is 30 × (16/13 − 1) = 6.9.
		expect(squat('dumbbell 13 kg')).toMatchObject({
			to: '13 kg × 6',
			part: { kg: 13, target: { kind: 'reps', reps: 6 } },
			why: 'your lightest is 13 kg, so 6 reps instead of 10'
		});
	});

	it('and another form where that leaves fewer than five', () => {
		expect(squat('dumbbell 16 kg; backpack 15 kg')).toMatchObject({
			part: { exercise: 'Backpack squat', kg: 12, target: { reps: 10 } }
		});
		expect(squat('dumbbell 16 kg')).toMatchObject({ part: { exercise: 'Squat', kg: null } });
		// Within a slot of a circuit there are no repetitions to take away.
		expect(fit('circuit 2 rounds 30/10: goblet squat @ 12 kg', { own: 'dumbbell 13 kg' })).toMatchObject({
			part: { exercise: 'Squat' }
		});
	});

	it('works out the load of a substitute for the substitute', () => {
		const raise = (own: string) => fit('3 x 12 overhead press @ 8 kg', { own, limits: ['no overhead'] });
		const found = raise('2 x adjustable dumbbell 1-20 kg, steps of 1 kg');
		expect(found).toMatchObject({ part: { exercise: 'Lateral raise', kg: 4 } });
		expect(
			fit('3 x 10 upright row @ 20 kg', { own: 'pair of dumbbells 20 kg', limits: ['easy on the elbows'] })
		).not.toMatchObject({
			part: { kg: 20 }
		});
	});

	it('names the equipment that is missing, and not the level', () => {
		expect(fit('3 x 10 bent-over row @ 8 kg', { own: 'backpack 12 kg' })).toMatchObject({
			to: 'Backpack row, 8 kg',
			why: 'no dumbbells, so backpack row'
		});
		expect(fit('3 x 10 overhead press @ 8 kg', { own: 'dumbbell 8 kg' })).toMatchObject({
			to: 'One-arm press, 8 kg',
			why: 'no pair of dumbbells, so one-arm press'
		});
	});

	it('lets a dumbbell replace a band: equipment is no difficulty', () => {
		const own = 'pair of dumbbells 4 kg; pair of dumbbells 8 kg';
		expect(fit('3 x 12 band curl @ medium band', { own })).toMatchObject({
			part: { exercise: 'Curl', kg: 4 }
		});
		expect(fit('3 x 12 band pull-apart @ light band', { own })).toMatchObject({ kind: 'changed' });
	});

	it('holds one weight where several alike were asked for and there are none', () => {
		const own = 'dumbbell 8 kg; pair of dumbbells 6 kg';
		expect(fit('3 x 10 overhead press @ 8 kg', { own })).toMatchObject({ part: { kg: 6 } });
		expect(fit('3 x 10 goblet squat @ 2 x 8 kg', { own })).toMatchObject({ part: { kg: 6, weights: 2 } });
		expect(fit('3 x 10 goblet squat @ 2 x 8 kg', { own: 'dumbbell 8 kg' })).toMatchObject({
			to: '8 kg',
			why: 'not 2 alike, so one'
		});
		expect(fit('3 x 10 one-arm row @ 8 kg', { own })).toEqual({ kind: 'as planned' });
	});

	it('fills a backpack to what is asked, up to what it holds', () => {
		const pack = (own: string) => fit('3 x 10 backpack squat @ 12 kg', { own });
		expect(pack('backpack 9 kg; backpack 5 kg')).toMatchObject({ part: { kg: 9 } });
		expect(pack('backpack 16 kg')).toEqual({ kind: 'as planned' });
		expect(pack('backpack')).toEqual({ kind: 'as planned' });
	});

	it('takes what the coach named for it: for what hurts first, even where the library would allow the exercise', () => {
		const line = '3 x 8 goblet squat @ 12 kg, or wall sit, if the knee hurts: glute bridge';
		const sore = { limits: limitsOf('sore knee') };
		expect(fit(line, sore)).toMatchObject({
			part: { exercise: 'Glute bridge' },
			why: 'your coach’s choice for it'
		});
		expect(fit('3 x 10 half squat, if the knee hurts: glute bridge', sore)).toMatchObject({
			part: { exercise: 'Glute bridge' }
		});
		expect(fit(line, { own: 'mat' })).toMatchObject({ part: { exercise: 'Wall sit' } });
		// What they cannot do either is passed over.
		const other = fit('3 x 8 squat, if the knee hurts: glute bridge', {
			limits: [...sore.limits, 'no floor']
		});
		expect(other).toMatchObject({ part: { exercise: 'Half squat' } });
	});

	it('makes bodyweight work easier for whoever is under the level of the plan, and loads lighter', () => {
		const under = { level: 'beginner', planFor: 'trained' } as const;
		expect(fit('3 x 10 push-up', under)).toMatchObject({
			to: 'Incline push-up',
			why: 'easier version: you’re starting out'
		});
		expect(fit('3 x 10 push-up', { ...under, planFor: 'some experience' })).toMatchObject({
			to: 'Knee push-up'
		});
		// From 8 to 12 lb down to 4 to 8: the middle goes from 10 to 6, so 10 kg become 6.
		expect(fit('3 x 10 suitcase deadlift @ 10 kg', { ...under, planFor: 'some experience' })).toMatchObject({
			to: '6 kg',
			why: 'less to begin with'
		});
		expect(fit('3 x 10 push-up', { level: 'trained', planFor: 'beginner' })).toEqual({ kind: 'as planned' });
		for (const line of ['3 x 30 s calf stretch', 'warm-up: 1 x 10 push-up', '3 x 15 calf raise'])
			expect(fit(line, under), line).toEqual({ kind: 'as planned' });
		expect(fit('3 x 10 suitcase deadlift @ 10 kg', under, { byLevel: true })).toEqual({ kind: 'as planned' });
	});

	it('gives less where a limit asks for lighter loads', () => {
		expect(
			fit('3 x 10 goblet squat @ 10 kg', {
				own: '2 x adjustable dumbbell 2-20 kg, steps of 1 kg',
				limits: ['lighter loads']
			})
		).toMatchObject({ to: '8 kg' });
	});

	it('fills in what the plan left open, without calling it a change, and never above the ceiling', () => {
		expect(fit('3 x 10 curl', { own: 'pair of dumbbells 4 kg' })).toMatchObject({
			part: { kg: 4 },
			why: null
		});
		expect(fit('3 x 10 band squat', { own: 'light band' })).toMatchObject({
			part: { resistance: 'light band' },
			why: null
		});
		expect(fit('3 x 10 curl', {})).toEqual({ kind: 'as planned' });
		expect(fit('3 x 10 lateral raise', { own: 'pair of dumbbells 12 kg' })).toMatchObject({
			part: { exercise: 'Bottle lateral raise', kg: null }
		});
	});

	it('takes the band that is nearest below the one asked for, one above with fewer repetitions', () => {
		const band = (own: string, rank = 'medium band') => fit(`3 x 12 band squat @ ${rank}`, { own });
		expect(band('light band; heavy band')).toMatchObject({
			to: 'light band',
			why: 'your nearest band below the plan'
		});
		expect(band('heavy band')).toMatchObject({
			part: { resistance: 'heavy band', target: { reps: 8 } },
			why: 'your lightest band is heavy, so 8 reps instead of 12'
		});
		expect(band('medium band')).toEqual({ kind: 'as planned' });
		expect(band('medium band', 'red band')).toEqual({ kind: 'as planned' });
		expect(band('heavy band', 'light band')).toMatchObject({ part: { exercise: 'Squat' } });
	});

	it('does nothing twice in a block', () => {
		const first = fit('3 x 10 curl @ 6 kg', { own: 'band' });
		expect(first).toMatchObject({ part: { exercise: 'Band curl' } });
		expect(fit('3 x 10 hammer curl @ 6 kg', { own: 'band' }, { taken: ['Band curl'] })).toMatchObject({
			part: { exercise: 'Bottle curl' }
		});
	});

	it('takes no longer: what is done side by side takes fewer repetitions of each', () => {
		// Ten squats of 5 s are 50 s; with a change of sides 25 s are left for each.
		const found = fit('3 x 10 goblet squat @ 12 kg', { own: 'light band', limits: ['seated only'] });
		expect(found).toMatchObject({ part: { exercise: 'Seated band leg press', perSide: true } });
		const part = found.kind === 'changed' ? found.part : null;
		expect(part && wholeSeconds(part, PRACTICE)).toBeLessThanOrEqual(55);
	});

	it('goes nowhere that the session does not go: a walk is no part of a circuit', () => {
		expect(fit('circuit 3 rounds 30/15: fast feet', limits('no balance without support'))).toMatchObject({
			part: { exercise: 'March on the spot' }
		});
	});

	it('leaves what was decided for them', () => {
		expect(fit('3 x 10 push-up', limits('no floor'), { decided: { exercise: true } })).toEqual({
			kind: 'as planned'
		});
		expect(fit('3 x 10 goblet squat @ 12 kg', { own: 'dumbbell 8 kg' }, { decided: { load: true } })).toEqual(
			{ kind: 'as planned' }
		);
	});

	it('says where nothing is left whether it is missing or not safe', () => {
		const taken = PRACTICE.library.names();
		expect(
			fit('2 x 30 s roll the calves', { own: 'mat', limits: ['seated only', 'no floor'] }, { taken })
		).toMatchObject({
			kind: 'nothing',
			why: 'No safe alternative with your equipment: seated only; no floor; no roller'
		});
		expect(fit('4 x 20 s dead hang', { own: 'mat' }, { taken })).toMatchObject({
			kind: 'nothing',
			why: 'You don’t have the equipment for it: no pull-up bar'
		});
	});
});

it('repetitions at the same effort follow Epley, and fall with the weight', () => {
	expect(repsAtSameEffort(8, 12, 8)).toBe(12);
	// 8 kg × 12 stand for 11.2 kg once; 10 kg × 3 for 11.
	expect(repsAtSameEffort(8, 12, 10)).toBe(3);
	expect(repsAtSameEffort(8, 12, 12)).toBeLessThan(0);
});

describe('the profile of a person', () => {
	const known = { level: 'beginner', limits: [], answered: false } as const;
	it('takes a kit of which nothing was said for unknown, and one that was answered for empty', () => {
		expect(profileOf({ ...known, kit: [] }, 'trained').kit).toBeNull();
		const soft = { kind: 'item', item: 'mat', count: 1 };
		expect(profileOf({ ...known, kit: [], answered: true }, 'trained').kit).toEqual([soft]);
		expect(profileOf({ ...known, kit: kitOf('step') }, 'trained').kit).toEqual([...kitOf('step'), soft]);
	});
	it('goes by their level only once they have said so', () => {
		expect(profileOf({ ...known, kit: [] }, 'trained').planFor).toBeNull();
		expect(profileOf({ ...known, kit: [], answered: true }, 'trained').planFor).toBe('trained');
	});
});
