import { describe, expect, it } from 'vitest';
import { FAMILIES, PROGRESSIONS } from './data/progressions';
import { DEMANDS } from './data/demands/read';
import { contradictionsIn } from './described';
import { ITEMS, MUSCLES, needText, needWords, readNeed, type Exercise } from './exercise';
import { libraryOf, STANDARD } from './library';

const own = (name: string, more: Partial<Exercise> = {}): Exercise => ({
	...STANDARD.find('Squat')!,
	name,
	ownId: 'own-1',
	...more
});

describe('the library that ships', () => {
	it('has at least 160 exercises under different names', () => {
		const names = STANDARD.names();
		expect(names.length).toBeGreaterThanOrEqual(160);
		expect(new Set(names.map((name) => name.toLowerCase())).size).toBe(names.length);
	});

	it('has no row with something missing or unknown', () => {
		const whole = (e: Exercise): boolean =>
			e.primary.length > 0 &&
			[...e.primary, ...e.assisting].every((muscle) => MUSCLES.includes(muscle)) &&
			!e.primary.some((muscle) => e.assisting.includes(muscle)) &&
			e.cues.length >= 2 &&
			e.cues.length <= 4 &&
			e.equipment.every((need) => ITEMS.includes(need.item)) &&
			!/[+/:,@\n]/.test(e.name) &&
			(e.tempo === null || e.tempo.length === 4);
		expect(STANDARD.all.filter((e) => !whole(e)).map((e) => e.name)).toEqual([]);
	});

	it('has at least 25 progressions, every step an exercise of no other', () => {
		const steps = Object.values(PROGRESSIONS).flat();
		expect(Object.keys(PROGRESSIONS).length).toBeGreaterThanOrEqual(25);
		expect(steps.filter((name) => STANDARD.find(name)?.name !== name)).toEqual([]);
		expect(steps.filter((name, i) => steps.indexOf(name) !== i)).toEqual([]);
	});

	it('has families of known exercises, each in one', () => {
		const members = FAMILIES.flat();
		expect(members.filter((name) => STANDARD.find(name)?.name !== name)).toEqual([]);
		expect(members.filter((name, i) => members.indexOf(name) !== i)).toEqual([]);
	});

	it('has families of one movement: every member works the first muscle of the others', () => {
		const strange = FAMILIES.flatMap((family) => {
			const [first = [], ...others] = family.map((name) => STANDARD.find(name)?.primary ?? []);
			return others.every((primary) => primary.some((muscle) => first.includes(muscle))) ? [] : [family];
		});
		expect(strange).toEqual([]);
	});

	it('rates every exercise once, and contradicts itself nowhere', () => {
		expect([...DEMANDS.keys()].sort()).toEqual(STANDARD.all.map(({ name }) => name).sort());
		const wrong = STANDARD.all.flatMap((e) => contradictionsIn(e).map((text) => `${e.name}: ${text}`));
		expect(wrong).toEqual([]);
	});

	it('has cues and cautions that name no condition which the ratings deny', () => {
		for (const { name, withheldCues, cues } of STANDARD.all)
			for (const { cue } of withheldCues) expect(cues, name).toContain(cue);
	});
});

describe('finding', () => {
	it.each([' goblet squat ', 'goblet squates', 'GOBLET SQUAT', 'goblet  squats', 'Goblet-squat'])(
		'%s is the goblet squat',
		(name) => {
			expect(STANDARD.find(name)?.name).toBe('Goblet squat');
		}
	);

	it('goes up and down a progression and stops at its ends', () => {
		expect(STANDARD.easier('Push-up')?.name).toBe('Knee push-up');
		expect(STANDARD.harder('push-ups')?.name).toBe('Slow push-up');
		expect(STANDARD.easier('Wall push-up')).toBeNull();
		expect(STANDARD.harder('Backpack push-up')).toBeNull();
		expect(STANDARD.easier('No such thing')).toBeNull();
	});

	it('knows the band form of a press', () => {
		const forms = STANDARD.alternatives('Push-up').map((a) => [a.form, a.exercise.name]);
		expect(forms).toEqual([
			['band', 'Band chest press'],
			['dumbbell', 'Floor press'],
			['dumbbell', 'One-arm floor press'],
			['household', 'Backpack push-up']
		]);
	});

	it('takes the coach’s own, under former names too, and leaves out the retired', () => {
		const library = libraryOf([
			own('Hut lift', { formerly: ['Beam lift'], easier: 'Squat' }),
			own('Old lift', { retired: true })
		]);
		expect(library.find('beam lift')?.name).toBe('Hut lift');
		expect(library.easier('Hut lift')?.name).toBe('Squat');
		expect(library.find('Old lift')?.name).toBe('Old lift');
		expect(library.names()).not.toContain('Old lift');
	});

	it('has the forms that she gave one of her own around it, as far as they exist', () => {
		const library = libraryOf([
			own('Hut lift', { easier: 'Squat', harder: 'Goblet squat' }),
			own('First lift', { harder: 'Squat' }),
			own('Lost lift', { easier: 'No such thing', harder: 'Squat' }),
			own('Lone lift'),
			own('Old lift', { retired: true }),
			own('New lift', { easier: 'Old lift' })
		]);
		expect(library.progressionOf('Hut lift')).toEqual({
			progression: 'Hut lift',
			steps: ['Squat', 'Hut lift', 'Goblet squat'],
			at: 1
		});
		expect(library.harder('hut lifts')?.name).toBe('Goblet squat');
		for (const name of ['First lift', 'Lost lift']) {
			expect(library.progressionOf(name)).toEqual({ progression: name, steps: [name, 'Squat'], at: 0 });
			expect(library.easier(name)).toBeNull();
			expect(library.harder(name)?.name).toBe('Squat');
		}
		expect(library.progressionOf('Lone lift')).toBeNull();
		// What she no longer offers is no step to go to.
		expect(library.easier('New lift')).toBeNull();
		expect(library.alternatives('No such thing')).toEqual([]);
		expect(library.alternatives('Hut lift')).toEqual([]);
	});

	it('keeps the order: what ships, then her own, without what she has replaced', () => {
		const library = libraryOf([own('Squat'), own('Aa lift')]);
		expect(library.all.slice(-2).map(({ name }) => name)).toEqual(['Squat', 'Aa lift']);
		expect(library.all).toHaveLength(STANDARD.all.length + 1);
		expect(library.all.slice(0, -2)).toEqual(STANDARD.all.filter(({ name }) => name !== 'Squat'));
		// A name that ships is not taken away by a former name of hers.
		expect(libraryOf([own('Hut lift', { formerly: ['Plank'] })]).find('plank')?.name).toBe('Plank');
	});

	it('lets one of her own take the place of a standard one', () => {
		const library = libraryOf([own('Squat')]);
		expect(library.find('squat')?.ownId).toBe('own-1');
		expect(library.all.filter((exercise) => exercise.name === 'Squat')).toHaveLength(1);
	});
});

describe('readNeed', () => {
	it.each([
		['2 dumbbells', { item: 'dumbbell', count: 2 }],
		['Mat', { item: 'mat', count: 1 }],
		['stairs', { item: 'stairs', count: 1 }],
		['  9   mats  ', { item: 'mat', count: 9 }],
		['1 loaded backpack', { item: 'loaded backpack', count: 1 }]
	])('%s', (text, need) => expect(readNeed(text)).toEqual(need));
	it.each(['', 'anvil', '0 mat', '10 mat', '12 mat', '-1 mat', 'my mat', '1.5 mat', 'two 2 mats'])(
		'refuses “%s”',
		(text) => expect(readNeed(text)).toBeNull()
	);
});

it('writes a need as tables and as people do', () => {
	const needs = [
		{ item: 'dumbbell', count: 2 },
		{ item: 'mat', count: 1 },
		{ item: 'loaded backpack', count: 2 },
		{ item: 'stairs', count: 2 }
	] as const;
	expect(needs.map(needText)).toEqual(['2 dumbbell', 'mat', '2 loaded backpack', '2 stairs']);
	expect(needs.map(needWords)).toEqual(['2 dumbbells', 'mat', '2 loaded backpacks', '2 stairs']);
	for (const need of needs) expect(readNeed(needText(need))).toEqual(need);
});
