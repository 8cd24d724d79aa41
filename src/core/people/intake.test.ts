import { describe, expect, it } from 'vitest';
import { bodyContradictions, kitContradictions, trainingContradictions } from './intake';

describe('what somebody owns', () => {
	const mat = { kind: 'item', item: 'mat', count: 1 } as const;
	const kit = (more: object) => kitContradictions({ none: false, owned: [mat], other: '', ...more });

	it('is as it was said where nothing speaks against it', () => {
		expect(kit({})).toEqual([]);
		expect(kit({ owned: [], other: 'a sandbag' })).toEqual([]);
		expect(kit({ none: true, owned: [] })).toEqual([]);
		expect(kit({ owned: [{ kind: 'dumbbell', kg: 60, count: 2 }] })).toEqual([]);
		expect(kit({ owned: [{ kind: 'adjustable', from: 2, to: 24, step: 22, count: 2 }] })).toEqual([]);
		expect(kit({ owned: [{ kind: 'pack', item: 'loaded backpack', kg: null, count: 1 }] })).toEqual([]);
	});
	it('is asked about where nothing and something were said, or neither', () => {
		expect(kit({ none: true })).toEqual([
			{ field: 'none', message: 'You said that you have nothing, and listed mat. Which of the two is right?' }
		]);
		expect(kit({ none: true, owned: [], other: ' a sandbag ' })[0]?.message).toContain('listed “a sandbag”');
		expect(kit({ none: true, owned: [], other: '   ' })).toEqual([]);
		expect(kit({ owned: [] })).toMatchObject([
			{ field: 'none', message: expect.stringContaining('Add what you have') as string }
		]);
		expect(kit({ owned: [], other: '  ' })).toHaveLength(1);
	});
	it('is asked about where it weighs more than anybody lifts at home, each by its place', () => {
		expect(kit({ owned: [mat, { kind: 'dumbbell', kg: 412, count: 2 }] })).toEqual([
			{ field: 'owned[1]', message: '412 kg is more than anybody lifts at home. Did you mean 41.2 kg?' }
		]);
		expect(
			kit({ owned: [{ kind: 'adjustable', from: 2, to: 240, step: 2, count: 2 }] })[0]?.message
		).toContain('Did you mean 24 kg?');
	});
	it('is asked about where a range does not go up, or is shorter than its step', () => {
		const range = (from: number, to: number, step: number) =>
			kit({ owned: [{ kind: 'adjustable', from, to, step, count: 2 }] }).map(({ message }) => message);
		expect(range(24, 2, 2)).toEqual(['From 24 to 2 kg: the second weight is the heavier one.']);
		expect(range(10, 10, 2)).toHaveLength(1);
		expect(range(2, 10, 9)).toEqual(['Steps of 9 kg are more than there is between 2 and 10 kg.']);
		expect(range(2, 10, 8)).toEqual([]);
	});
});

describe('what somebody says of their body', () => {
	const body = (more: object) =>
		bodyContradictions({
			expecting: 'no',
			pregnantWeek: null,
			birthWeeks: null,
			age: '18 to 39',
			hurts: [],
			...more
		}).map(({ field }) => field);

	it('is as it was said where nothing speaks against it', () => {
		expect(body({})).toEqual([]);
		expect(body({ expecting: 'pregnant', pregnantWeek: 20 })).toEqual([]);
		expect(body({ expecting: 'born', birthWeeks: 8 })).toEqual([]);
		expect(body({ expecting: 'pregnant', pregnantWeek: 6, birthWeeks: 4 })).toEqual([]);
		expect(body({ age: '65 or over' })).toEqual([]);
	});
	it('is asked about where a week is missing, or one is there that was not asked for', () => {
		expect(body({ expecting: 'pregnant' })).toEqual(['pregnantWeek']);
		expect(body({ expecting: 'born' })).toEqual(['birthWeeks']);
		expect(body({ pregnantWeek: 12 })).toEqual(['expecting']);
		expect(body({ expecting: 'born', birthWeeks: 8, pregnantWeek: 12 })).toEqual(['expecting']);
	});
	it('is asked about where two things cannot both be', () => {
		expect(body({ expecting: 'pregnant', pregnantWeek: 6, birthWeeks: 3 })).toEqual(['birthWeeks']);
		expect(body({ expecting: 'pregnant', pregnantWeek: 20, age: '65 or over' })).toEqual(['age']);
		expect(body({ expecting: 'pregnant', pregnantWeek: 20, age: 'under 16' })).toEqual(['age']);
		const knee = (how: string) => ({ place: 'knee', how });
		expect(body({ hurts: [knee('now'), { place: 'hip', how: 'now' }] })).toEqual([]);
		expect(body({ hurts: [knee('now'), { place: 'hip', how: 'now' }, knee('before')] })).toEqual(['hurts']);
	});
	it('is asked about in words that name both', () => {
		const [found] = bodyContradictions({
			expecting: 'pregnant',
			pregnantWeek: 6,
			birthWeeks: 2,
			age: '18 to 39',
			hurts: []
		});
		expect(found?.message).toBe(
			'You said pregnant in week 6 and 2 weeks after a birth. Which of the two is right?'
		);
	});
});

describe('how somebody has trained', () => {
	const training = (level: 'beginner' | 'trained', weights: 'never' | 'some', active: boolean) =>
		trainingContradictions({ level, weights, active }).map(({ field }) => field);
	it('is asked about where trained, never with weights and not active go together', () => {
		expect(training('trained', 'never', false)).toEqual(['level']);
		expect(training('trained', 'never', true)).toEqual([]);
		expect(training('trained', 'some', false)).toEqual([]);
		expect(training('beginner', 'never', false)).toEqual([]);
	});
});
