/** Each limit by its threshold, with exercises made for it, so that every reason stands alone. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../tests/support/runs';
import { JOINTS, STANDARD, type Demands, type Exercise } from '../exercise';
import {
	brokenLimits,
	cautionsFor,
	cuesWithin,
	holdsOn,
	LIMITATIONS,
	LIMITS,
	loadShareOf,
	type Limitation
} from './limits';

/** Standing, quiet, arms down, nothing rated: it breaks no limit but the one for those who sit. */
const HARMLESS: Exercise = {
	...STANDARD.find('Curl')!,
	name: 'Something',
	demands: {
		...(Object.fromEntries([...JOINTS, 'trunkPressure'].map((field) => [field, 0])) as unknown as Demands),
		arms: 'down',
		balance: 0,
		canHoldOn: true,
		impact: 'none',
		floorTransfer: false,
		space: 'spot',
		lever: 'short',
		relativeLoad: null
	}
};
type Change = Partial<Omit<Exercise, 'demands'>> & { demands?: Partial<Demands> };
const made = ({ demands, ...more }: Change): Exercise => ({
	...HARMLESS,
	...more,
	demands: { ...HARMLESS.demands, ...demands }
});

describe('a limit is broken', () => {
	it.each<[Limitation, Change]>([
		['seated only', {}],
		['seated only', { position: 'supported' }],
		['no floor', { demands: { floorTransfer: true } }],
		['no lying on the back', { position: 'back lying' }],
		['no lying on the front', { position: 'front lying' }],
		['no jumps', { demands: { impact: 'high' } }],
		['no jumps', { pattern: 'jump' }],
		['no overhead', { demands: { arms: 'overhead' } }],
		['no balance without support', { demands: { balance: 1, canHoldOn: false } }],
		['no balance without support', { demands: { balance: 3 } }],
		['support for hard balance', { demands: { balance: 3, canHoldOn: false } }],
		['no weight on the wrists', { demands: { wrist: 2 } }],
		['no deep knee bend', { demands: { knee: 2 } }],
		['no squats or lunges', { pattern: 'squat' }],
		['no squats or lunges', { pattern: 'combination', primary: ['quads', 'biceps'] }],
		['no squats or lunges', { pattern: 'mobility', demands: { knee: 2 } }],
		['no kneeling', { position: 'all fours' }],
		['no kneeling', { position: 'front lying', demands: { knee: 2 } }],
		['no crunches', { demands: { trunkPressure: 3 } }],
		['low trunk pressure', { demands: { trunkPressure: 2 } }],
		['easy on the back', { demands: { back: 2 } }],
		['easy on the shoulders', { demands: { shoulder: 2 } }],
		['easy on the shoulders', { demands: { arms: 'overhead' } }],
		['easy on the hips', { demands: { hip: 2 } }],
		['easy on the hips', { demands: { impact: 'high' } }],
		['easy on the neck', { demands: { neck: 2 } }],
		['easy on the elbows', { demands: { elbow: 2 } }],
		['easy on the ankles', { demands: { ankle: 2 } }],
		['easy on the ankles', { demands: { impact: 'low' } }],
		['gentle all over', { demands: { elbow: 3 } }]
	])('%s by %o', (limit, change) => {
		expect(brokenLimits(made(change), [limit])).toEqual([limit]);
	});

	it.each<[Limitation, Change]>([
		['seated only', { position: 'seated' }],
		['no floor', { position: 'hanging' }],
		['no jumps', { demands: { impact: 'low' } }],
		['no overhead', { demands: { arms: 'shoulder', shoulder: 3 } }],
		['no balance without support', { demands: { balance: 2 } }],
		['support for hard balance', { demands: { balance: 2, canHoldOn: false } }],
		['support for hard balance', { demands: { balance: 3 } }],
		['no weight on the wrists', { demands: { wrist: 1 } }],
		['no deep knee bend', { demands: { knee: 1 }, pattern: 'squat' }],
		['no squats or lunges', { pattern: 'squat', position: 'seated' }],
		['no squats or lunges', { pattern: 'hinge', demands: { knee: 1 } }],
		['no kneeling', { position: 'front lying', demands: { knee: 1 } }],
		['no crunches', { demands: { trunkPressure: 2 } }],
		['easy on the back', { demands: { back: 1 } }],
		['gentle all over', { demands: { knee: 2 } }],
		['lighter loads', { demands: { knee: 3 } }]
	])('but %s not by %o', (limit, change) => {
		expect(brokenLimits(made(change), [limit])).toEqual([]);
	});

	it('by no name and no caution: an exercise called otherwise, without its cautions, breaks the same', () => {
		for (const exercise of STANDARD.all) {
			const nameless = { ...exercise, name: 'Own one', cautions: [], cues: ['Do it'] };
			expect(brokenLimits(nameless, LIMITATIONS), exercise.name).toEqual(brokenLimits(exercise, LIMITATIONS));
		}
	});

	it('by whatever demands more than what breaks it', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...STANDARD.all),
				fc.constantFrom(...JOINTS, 'trunkPressure' as const),
				(exercise, field) => {
					const more = { ...exercise, demands: { ...exercise.demands, [field]: 3 as const } };
					const before = brokenLimits(exercise, LIMITATIONS);
					expect(brokenLimits(more, LIMITATIONS)).toEqual(expect.arrayContaining(before));
				}
			),
			{ numRuns: runs(400) }
		);
	});

	it('names where each rule is from', () => {
		for (const limit of LIMITATIONS) expect(LIMITS[limit].source.length, limit).toBeGreaterThan(10);
	});
});

it('the lightest share of a load counts, and none is the whole', () => {
	expect(loadShareOf([])).toBe(1);
	expect(loadShareOf(['no jumps', 'lighter loads'])).toBe(0.8);
});

describe('what is said', () => {
	const step = STANDARD.find('Step touch')!;
	const squat = STANDARD.find('Goblet squat')!;

	it('cautions go to those whom they concern, and those for everyone to everyone', () => {
		expect(cautionsFor(squat, [])).toEqual([]);
		expect(cautionsFor(squat, ['no deep knee bend'])).toEqual([
			'Sore knee: a smaller range, hands on a support'
		]);
		expect(cautionsFor(squat, ['easy on the back'])).toEqual([]);
		expect(cautionsFor(STANDARD.find('Pull-up')!, [])).toEqual(['A bar that holds your weight']);
	});

	it('a cue that contradicts a limit is kept from those who have it', () => {
		expect(step.cues).toContain('Arms swing along');
		expect(cuesWithin(step.cues, step, ['no balance without support'])).toEqual(['Side to side, soft knees']);
		expect(cuesWithin(step.cues, step, ['easy on the back'])).toEqual(step.cues);
	});

	it('a hand on a support is asked of those who need one, where the exercise is not done on one', () => {
		expect(holdsOn(step, ['no balance without support'])).toBe(true);
		expect(holdsOn(step, ['no floor'])).toBe(false);
		expect(holdsOn(STANDARD.find('Supported split squat')!, ['no balance without support'])).toBe(false);
		expect(holdsOn(STANDARD.find('Squat')!, ['no balance without support'])).toBe(false);
	});
});
