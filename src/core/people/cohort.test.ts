import { describe, expect, it } from 'vitest';
import { readKit, type Limitation } from '../kit';
import { cohortOf, suggestedAudience, type Member } from './cohort';
import type { Level } from './levels';

const member = (level: Level, kit: string | null, ...limits: Limitation[]): Member => ({
	level,
	kit: kit === null ? null : readKit(kit).kit,
	limits
});

const GROUP: Member[] = [
	member('beginner', 'mat; light band'),
	member('some experience', 'mat; pair of dumbbells 8 kg', 'no weight on the wrists'),
	member('some experience', 'mat; pair of dumbbells 12 kg; medium band'),
	member('trained', 'mat; dumbbell 16 kg; heavy band', 'no jumps', 'no weight on the wrists'),
	member('trained', null)
];

describe('a group', () => {
	it('is counted by level, equipment and limits, the most common first', () => {
		const { people, levels, withKit, items, limits } = cohortOf(GROUP);
		expect([people, withKit]).toEqual([5, 4]);
		expect(levels).toEqual({ beginner: 1, 'some experience': 2, trained: 2 });
		expect(items.slice(0, 2)).toEqual([
			{ item: 'mat', people: 4 },
			{ item: 'dumbbell', people: 3 }
		]);
		expect(items.find(({ item }) => item === 'band')?.people).toBe(3);
		expect(items.map(({ item }) => item)).not.toContain('chair');
		expect(limits).toEqual([
			{ limit: 'no weight on the wrists', people: 2 },
			{ limit: 'no jumps', people: 1 }
		]);
	});

	it('has the weight that nine of ten who own any have', () => {
		expect(cohortOf(GROUP).heaviestKg).toBe(8);
		const twenty = Array.from({ length: 20 }, (_, i) => member('trained', `dumbbell ${i + 1} kg`));
		expect(cohortOf(twenty).heaviestKg).toBe(3);
		expect(cohortOf([member('trained', 'mat')]).heaviestKg).toBeNull();
	});

	it('of nobody is empty', () => {
		expect(cohortOf([])).toMatchObject({ people: 0, items: [], limits: [], heaviestKg: null });
		expect(suggestedAudience([])).toBeNull();
	});
});

describe('the audience for a group', () => {
	it('is the level that half of them reach, and what four of five have', () => {
		// Four of five have some experience or more, two of five are trained.
		expect(suggestedAudience(GROUP)).toEqual({
			level: 'some experience',
			items: ['mat'],
			heaviestKg: 8,
			conditions: ['sore wrist']
		});
		expect(suggestedAudience([...GROUP, member('trained', null)])?.level).toBe('trained');
		expect(suggestedAudience([member('beginner', null), member('beginner', null)])?.items).toEqual([]);
	});

	it('has what holds for a quarter, and leaves the rest to be fitted to each', () => {
		const others = Array.from({ length: 3 }, () => member('trained', 'mat'));
		const one = member('trained', 'mat', 'easy on the back');
		expect(suggestedAudience([one, ...others])?.conditions).toEqual(['sore back']);
		expect(suggestedAudience([one, ...others, member('trained', 'mat')])?.conditions).toEqual([]);
		// What many conditions leave out tells of none of them.
		expect(suggestedAudience([member('trained', 'mat', 'no jumps')])?.conditions).toEqual([]);
	});
});
