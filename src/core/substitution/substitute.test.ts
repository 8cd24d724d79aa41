import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';
import { STANDARD } from '../exercise';
import { kitOfItems, LIMITATIONS, readKit, type Limitation } from '../kit';
import { canDo, obstacles, substitute } from './substitute';

const find = (name: string) => STANDARD.find(name)!;
const instead = (name: string, kit: string | null, limits: Limitation[] = []) =>
	substitute(find(name), { kit: kit === null ? null : readKit(kit).kit, limits }, PRACTICE);

describe('substitute', () => {
	it('leaves alone what can be done', () => {
		expect(instead('Goblet squat', 'dumbbell 8 kg')).toEqual({ exercise: find('Goblet squat'), why: [] });
		expect(instead('Pull-up', null)).toMatchObject({ exercise: { name: 'Pull-up' } });
	});

	it.each<[string, string | null, Limitation[], string, string[]]>([
		['Goblet squat', 'band', [], 'Band squat', ['not at hand', 'band variation']],
		['Goblet squat', 'mat', [], 'Backpack squat', ['not at hand', 'household variation']],
		['Push-up', null, ['no floor'], 'Incline push-up', ['no floor', 'an easier variation']],
		['Glute bridge', null, ['no lying on the back'], 'Wall hinge', ['no lying on the back', 'nearest']]
	])('%s with %s and %j: %s', (name, kit, limits, to, why) => {
		const found = instead(name, kit === 'mat' ? 'mat; backpack' : kit, limits);
		if (why.at(-1) === 'nearest')
			expect(found === null || canDo(found.exercise, { kit: null, limits })).toBe(true);
		else {
			expect(found?.exercise.name).toBe(to);
			expect(found?.why).toEqual(why);
		}
	});

	it('is null where nothing like it can be done', () => {
		expect(instead('Pull-up', '', ['seated only', 'no overhead'])).toBeNull();
	});

	it('takes a coach’s own exercise where hers is the nearest', () => {
		const own = { ...find('Band squat'), name: 'Strap squat', ownId: 'x', equipment: [], looksLike: null };
		const practice = practiceWith({ exercises: [own] });
		const found = substitute(find('Slow squat'), { kit: [], limits: ['no deep knee bend'] }, practice);
		expect(found?.exercise.name).not.toBe('Slow squat');
		expect(practice.library.find('Strap squat')).toMatchObject({ ownId: 'x' });
	});

	it('never offers what goes against a limit or is not at hand, and always answers the same', () => {
		const kits = [
			null,
			[],
			kitOfItems(['mat']),
			kitOfItems(['band', 'mat']),
			readKit('dumbbell 8 kg; step').kit
		];
		fc.assert(
			fc.property(
				fc.constantFrom(...STANDARD.all),
				fc.constantFrom(...kits),
				fc.subarray([...LIMITATIONS]),
				(exercise, kit, limits) => {
					const found = substitute(exercise, { kit, limits }, PRACTICE);
					if (found) {
						expect(canDo(found.exercise, { kit, limits })).toBe(true);
						expect(found.why.length === 0).toBe(found.exercise === exercise);
					} else expect(obstacles(exercise, { kit, limits })).not.toEqual([]);
					expect(substitute(exercise, { kit, limits }, PRACTICE)).toEqual(found);
				}
			),
			{ numRuns: 400 }
		);
	});
});
