import { describe, expect, it } from 'vitest';
import { libraryOf, STANDARD, type Exercise } from '$core/exercise';
import { ExerciseSearch } from './exercise-search';

const search = new ExerciseSearch(STANDARD);
const names = (wanted: Parameters<ExerciseSearch['find']>[0], most?: number) =>
	search.find(wanted, most).map((exercise) => exercise.name);

describe('by text', () => {
	it.each([
		['goblet', 'Goblet squat'],
		['gob', 'Goblet squat'],
		['sqat goblet', 'Goblet squat'],
		['push up', 'Push-up'],
		['romanian', 'Romanian deadlift'],
		['suitcase carry', 'Suitcase carry'],
		['flexor', 'Hip flexor stretch']
	])('%s finds %s among the first', (text, name) => expect(names({ text }, 6)).toContain(name));

	it('by muscle and by thing as well as by name', () => {
		expect(names({ text: 'hamstrings' })).toContain('Romanian deadlift');
		expect(names({ text: 'broomstick' })).toEqual(['Hip hinge with broomstick']);
	});

	it('narrows with each word and finds nothing for nonsense', () => {
		expect(names({ text: 'squat band' }).length).toBeLessThan(names({ text: 'squat' }).length);
		expect(names({ text: 'xyzzy' })).toEqual([]);
	});

	it('without text gives all, in the order of the library, no more than asked for', () => {
		expect(names({})).toEqual(STANDARD.names());
		expect(names({}, 3)).toEqual(STANDARD.names().slice(0, 3));
	});
});

describe('by what is known', () => {
	const all = STANDARD.all;
	it.each<[string, Parameters<ExerciseSearch['find']>[0], (e: Exercise) => boolean]>([
		['movement', { pattern: 'hinge' }, (e) => e.pattern === 'hinge'],
		['muscle', { muscle: 'calves' }, (e) => [...e.primary, ...e.assisting].includes('calves')],
		['equipment', { equipment: 'band' }, (e) => e.equipment.some((need) => need.item === 'band')],
		['no equipment', { equipment: 'none' }, (e) => e.equipment.length === 0],
		['position', { position: 'seated' }, (e) => e.position === 'seated'],
		['landing', { impact: 'high' }, (e) => e.demands.impact === 'high'],
		['one side', { sides: 'one' }, (e) => e.perSide],
		['balance', { balance: '2' }, (e) => e.demands.balance === 2],
		['no balance', { balance: '0' }, (e) => e.demands.balance === 0],
		['counted in', { countedIn: 'metres' }, (e) => e.countedIn === 'metres'],
		['both sides', { sides: 'both' }, (e) => !e.perSide]
	])('%s: exactly those', (_, wanted, is) => {
		expect(names(wanted)).toEqual(all.filter(is).map((e) => e.name));
		expect(names(wanted).length).toBeGreaterThan(0);
	});

	it('conditions together', () => {
		const found = search.find({ text: 'press', equipment: 'dumbbell', position: 'standing' });
		expect(found.map((e) => e.name)).toContain('Overhead press');
		expect(found.every((e) => e.position === 'standing')).toBe(true);
	});

	it('the coach’s own, and never the retired', () => {
		const own = (name: string, retired: boolean): Exercise => ({
			...STANDARD.find('Squat')!,
			name,
			ownId: name,
			retired,
			formerly: name === 'Beam squat' ? ['Log squat'] : []
		});
		const mine = new ExerciseSearch(libraryOf([own('Beam squat', false), own('Old squat', true)]));
		expect(mine.find({ own: true }).map((e) => e.name)).toEqual(['Beam squat']);
		expect(mine.find({ text: 'log' }).map((e) => e.name)).toContain('Beam squat');
		expect(mine.find({ text: 'old' }).map((e) => e.name)).not.toContain('Old squat');
	});
});
