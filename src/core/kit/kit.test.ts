import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STANDARD } from '../exercise';
import {
	BAND_RANKS,
	canDoWith,
	countIn,
	heaviestIn,
	kitOfItems,
	missingIn,
	PLAIN_ITEMS,
	weightsIn,
	type Kit,
	type Owned
} from './kit';
import { brokenLimits, LIMITATIONS, withinLimits } from './limits';
import { kitText, readKit } from './read-kit';

const read = (text: string) => readKit(text).kit;
const find = (name: string) => STANDARD.find(name)!;

describe('readKit', () => {
	it.each<[string, Owned[]]>([
		['pair of dumbbells 8 kg', [{ kind: 'dumbbell', kg: 8, count: 2 }]],
		['2 x 8 kg dumbbell', [{ kind: 'dumbbell', kg: 8, count: 2 }]],
		['2x8kg dumbbells', [{ kind: 'dumbbell', kg: 8, count: 2 }]],
		['dumbbells 8 kg', [{ kind: 'dumbbell', kg: 8, count: 2 }]],
		['dumbbell 12 kg', [{ kind: 'dumbbell', kg: 12, count: 1 }]],
		['one 12 kg dumbbell', [{ kind: 'dumbbell', kg: 12, count: 1 }]],
		['two pairs of dumbbells 4 kg', [{ kind: 'dumbbell', kg: 4, count: 4 }]],
		['dumbbell 2,5 kg', [{ kind: 'dumbbell', kg: 2.5, count: 1 }]],
		['20 lb dumbbell', [{ kind: 'dumbbell', kg: 9.07, count: 1 }]],
		['kettlebell 16 kg', [{ kind: 'kettlebell', kg: 16, count: 1 }]],
		[
			'adjustable dumbbells 2-20 kg, steps of 2 kg',
			[{ kind: 'adjustable', from: 2, to: 20, step: 2, count: 2 }]
		],
		[
			'adjustable dumbbell 2.5 to 24 kg, 2.5 kg steps',
			[{ kind: 'adjustable', from: 2.5, to: 24, step: 2.5, count: 1 }]
		],
		['light band', [{ kind: 'band', rank: 'light', loop: false, count: 1 }]],
		['band medium', [{ kind: 'band', rank: 'medium', loop: false, count: 1 }]],
		['2 bands', [{ kind: 'band', rank: null, loop: false, count: 2 }]],
		['mini loop band, heavy', [{ kind: 'band', rank: null, loop: true, count: 1 }]],
		['heavy loop band', [{ kind: 'band', rank: 'heavy', loop: true, count: 1 }]],
		['backpack 10 kg', [{ kind: 'pack', item: 'loaded backpack', kg: 10, count: 1 }]],
		['2 water bottles 1,5 kg', [{ kind: 'pack', item: 'water bottle', kg: 1.5, count: 2 }]],
		['yoga mat', [{ kind: 'item', item: 'mat', count: 1 }]],
		['Door pull-up bar', [{ kind: 'item', item: 'pull-up bar', count: 1 }]],
		[
			'bench; 2 chairs',
			[
				{ kind: 'item', item: 'bench', count: 1 },
				{ kind: 'item', item: 'chair', count: 2 }
			]
		],
		['nothing', []],
		['', []]
	])('%s', (text, kit) => {
		const understood = readKit(text);
		expect(understood.kit).toEqual(kit);
		expect(understood.unread).toEqual(text.includes(', heavy') ? ['heavy'] : []);
	});

	it('gives back what it does not understand, as it was written', () => {
		expect(readKit('mat; Anvil of my Grandmother, dumbbell; 8 kg\nband')).toEqual({
			kit: [
				{ kind: 'item', item: 'mat', count: 1 },
				{ kind: 'band', rank: null, loop: false, count: 1 }
			],
			unread: ['Anvil of my Grandmother', 'dumbbell', '8 kg']
		});
	});

	it('refuses what nobody owns: no weight, a ton, a thousand of it', () => {
		for (const text of [
			'dumbbell 0 kg',
			'dumbbell 900 kg',
			'1000 x dumbbell 5 kg',
			'adjustable dumbbell 20-2 kg'
		])
			expect(readKit(text)).toMatchObject({ kit: [] });
	});

	it('reads what it writes', () => {
		const kg = fc.integer({ min: 1, max: 160 }).map((n) => n / 2);
		const count = fc.integer({ min: 1, max: 6 });
		const owned: fc.Arbitrary<Owned> = fc.oneof(
			fc.record({ kind: fc.constant('dumbbell' as const), kg, count }),
			fc.record({ kind: fc.constant('kettlebell' as const), kg, count }),
			fc.record({
				kind: fc.constant('adjustable' as const),
				from: fc.constantFrom(1, 2, 2.5),
				to: fc.constantFrom(10, 24, 32.5),
				step: fc.constantFrom(0.5, 1, 2.5),
				count
			}),
			fc.record({
				kind: fc.constant('band' as const),
				rank: fc.option(fc.constantFrom(...BAND_RANKS), { nil: null }),
				loop: fc.boolean(),
				count
			}),
			fc.record({
				kind: fc.constant('pack' as const),
				item: fc.constantFrom('loaded backpack' as const, 'water bottle' as const),
				kg: fc.option(kg, { nil: null }),
				count
			}),
			fc.record({ kind: fc.constant('item' as const), item: fc.constantFrom(...PLAIN_ITEMS), count })
		);
		fc.assert(
			fc.property(fc.array(owned, { maxLength: 8 }), (kit) => {
				expect(readKit(kitText(kit))).toEqual({ kit, unread: [] });
			})
		);
	});

	it('uses every letter or gives it back', () => {
		fc.assert(
			fc.property(fc.array(fc.string({ maxLength: 20 }), { maxLength: 6 }), (pieces) => {
				const text = pieces.join('; ');
				const { kit, unread } = readKit(text);
				const told = pieces
					.join(';')
					.split(/[;|,\n/]/)
					.filter((piece) => piece.trim()).length;
				expect(kit.length + unread.length).toBeLessThanOrEqual(told);
				for (const piece of unread) expect(text.replace(/\s+/g, ' ')).toContain(piece);
			})
		);
	});
});

describe('what can be done with a kit', () => {
	const HEAVY = read('pair of dumbbells 12 kg; dumbbell 16 kg; mat');

	it('wants two alike where two are needed', () => {
		const single = read('dumbbell 8 kg; dumbbell 12 kg');
		expect(countIn(single, 'dumbbell')).toBe(1);
		expect(countIn(HEAVY, 'dumbbell')).toBe(2);
		expect(missingIn(single, [{ item: 'dumbbell', count: 2 }])).toEqual([{ item: 'dumbbell', count: 2 }]);
		expect(canDoWith(single, find('Goblet squat'))).toBe(true);
		expect(canDoWith(single, find('Bent-over row'))).toBe(canDoWith(HEAVY, find('Bent-over row')) && false);
	});

	it('takes what every home has, a bench for a chair, a kettlebell for one dumbbell but not for two', () => {
		expect(canDoWith([], find('Sit to chair'))).toBe(true);
		expect(canDoWith(null, find('Pull-up'))).toBe(true);
		expect(canDoWith([], find('Pull-up'))).toBe(false);
		expect(countIn(read('bench'), 'step')).toBe(1);
		expect(countIn(read('step'), 'mat')).toBe(0);
		expect(weightsIn(read('2 x kettlebell 16 kg'), 2)).toEqual([]);
		expect(canDoWith(read('kettlebell 16 kg'), find('Goblet squat'))).toBe(true);
	});

	it('counts bands together and tells loops from the others', () => {
		const kit = read('light band; heavy band');
		expect([countIn(kit, 'band'), countIn(kit, 'loop band')]).toEqual([2, 0]);
	});

	it('knows the heaviest, and no dumbbell beyond what a group is taken to have', () => {
		expect(heaviestIn(HEAVY)).toBe(16);
		expect(heaviestIn(read('mat'))).toBeNull();
		expect(heaviestIn(kitOfItems(['dumbbell'], 12))).toBe(12);
		expect(canDoWith(kitOfItems(['mat']), find('Goblet squat'))).toBe(false);
	});

	it('what can be done with less can be done with more', () => {
		const kits: Kit[] = [
			'mat',
			'light band',
			'pair of dumbbells 8 kg',
			'step',
			'backpack',
			'pull-up bar'
		].map(read);
		fc.assert(
			fc.property(
				fc.subarray(kits),
				fc.subarray(kits),
				fc.constantFrom(...STANDARD.all),
				(less, more, exercise) => {
					if (canDoWith(less.flat(), exercise))
						expect(canDoWith([...less, ...more].flat(), exercise)).toBe(true);
				}
			)
		);
	});
});

describe('limits', () => {
	it.each<[string, (typeof LIMITATIONS)[number][]]>([
		[
			'Push-up',
			[
				'seated only',
				'no floor',
				'no lying on the front',
				'no weight on the wrists',
				'easy on the shoulders',
				'easy on the elbows',
				'low trunk pressure',
				'gentle all over'
			]
		],
		['Glute bridge', ['seated only', 'no floor', 'no lying on the back']],
		['Bottle press', ['seated only', 'no overhead', 'easy on the shoulders']],
		['Half squat', ['seated only', 'no squats or lunges']],
		['Seated march', []]
	])('%s goes against %j', (name, limits) => {
		expect(brokenLimits(find(name), LIMITATIONS)).toEqual(limits);
	});

	it('jumps are jumps, and deep knees are deep', () => {
		expect(withinLimits(find('Jump squat'), ['no jumps'])).toBe(false);
		expect(withinLimits(find('Goblet squat'), ['no deep knee bend'])).toBe(false);
		expect(withinLimits(find('Squat'), ['no jumps', 'no floor', 'no overhead'])).toBe(true);
	});
});

describe('kits that are counted', () => {
	const pieces = (text: string): Kit => readKit(text).kit;

	it('has of an item what serves as it, and nothing else', () => {
		const kit = pieces(
			'2 x roller; loop band; 3 bands; backpack 10 kg; 2 water bottles; 3 x dumbbell 4 kg; 2 x dumbbell 6 kg'
		);
		expect(countIn(kit, 'roller')).toBe(2);
		expect(countIn(kit, 'loop band')).toBe(1);
		expect(countIn(kit, 'band')).toBe(3);
		expect(countIn(kit, 'loaded backpack')).toBe(1);
		// Every home has one, whatever is written.
		expect(countIn(kit, 'water bottle')).toBe(Infinity);
		// Three of 4 kg and two of 6 kg are five dumbbells, but only three alike.
		expect(countIn(kit, 'dumbbell')).toBe(3);
		expect(countIn(kit, 'light dumbbell')).toBe(3);
		expect(countIn(kit, 'rope')).toBe(0);
	});

	it('names weights of which there are enough alike, the lightest first', () => {
		const kit = pieces('2 x dumbbell 12 kg; dumbbell 8 kg; 3 x dumbbell 4 kg');
		expect(weightsIn(kit)).toEqual([4, 8, 12]);
		expect(weightsIn(kit, 2)).toEqual([4, 12]);
		expect(weightsIn(kit, 3)).toEqual([4]);
	});

	it.each<[Parameters<typeof kitOfItems>[0][number], Owned]>([
		['dumbbell', { kind: 'adjustable', from: 0.5, to: 12, step: 0.5, count: 4 }],
		['light dumbbell', { kind: 'adjustable', from: 0.5, to: 12, step: 0.5, count: 4 }],
		['band', { kind: 'band', rank: null, loop: false, count: 9 }],
		['loop band', { kind: 'band', rank: null, loop: true, count: 9 }],
		['loaded backpack', { kind: 'pack', item: 'loaded backpack', kg: null, count: 9 }],
		['water bottle', { kind: 'pack', item: 'water bottle', kg: null, count: 9 }],
		['mat', { kind: 'item', item: 'mat', count: 9 }]
	])('takes people who have a %s to have it whenever it is asked for', (item, owned) => {
		expect(kitOfItems([item], 12)).toEqual([owned]);
	});
});
