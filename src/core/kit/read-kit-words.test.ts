/** What people call what they own, and what looks like it and is not. */
import { describe, expect, it } from 'vitest';
import type { BandRank, Owned, PlainItem } from './kit';
import { ownedText, readKit } from './read-kit';

const one = (item: PlainItem): Owned => ({ kind: 'item', item, count: 1 });

describe('readKit knows other words', () => {
	it.each<[PlainItem, string[]]>([
		['mat', ['mat', 'mats', 'yoga mat', 'exercise mat', 'gym mat', 'training mats']],
		['chair', ['chair', 'kitchen chair', 'sturdy chair', 'office chairs']],
		['bench', ['bench', 'benches', 'weight bench', 'flat bench', 'incline bench', 'adjustable bench']],
		[
			'pull-up bar',
			[
				'bar',
				'bars',
				'pull-up bar',
				'pullup bar',
				'pull up bar',
				'chin-up bar',
				'door bar',
				'doorway pull-up bar'
			]
		],
		['rope', ['rope', 'ropes', 'skipping rope', 'jump rope']],
		['roller', ['roller', 'foam roller', 'foam rollers']],
		['step', ['step', 'steps', 'stepper', 'box', 'bench step', 'aerobic step', 'step-up box']],
		['low step', ['low step', 'low steps']],
		['stairs', ['stairs', 'stair', 'staircase']],
		['broomstick', ['broomstick', 'broom', 'brooms', 'stick']],
		['cushion', ['cushion', 'cushions', 'pillow', 'pillows']],
		['towel', ['towel', 'towels']],
		['table', ['table', 'tables']],
		['wall', ['wall', 'walls']]
	])('%s', (item, words) => {
		for (const word of words) expect(readKit(word), word).toEqual({ kit: [one(item)], unread: [] });
	});

	it.each([
		'mattress',
		'doormat',
		'chairlift',
		'wheelchair',
		'workbench',
		'bench press',
		'crowbar',
		'bar stool',
		'rope ladder',
		'tightrope',
		'roller skates',
		'paint roller',
		'stepdad',
		'footstep',
		'lowstep',
		'stairs lift',
		'downstairs',
		'stickers',
		'yardstick',
		'cushion cover',
		'pin cushion',
		'towel rail',
		'tablet',
		'turntable',
		'wallet',
		'drywall',
		'bandage',
		'rubber bands for mail',
		'backpack frame',
		'school backpack',
		'bottles of wine 1 kg',
		'wine bottle',
		'dumbbell rack 8 kg',
		'toy dumbbell 1 kg',
		'kettlebell stand 8 kg',
		'my kettlebell 8 kg',
		'kettlebell',
		'adjustable chairs 2-20 kg',
		'adjustable dumbbells',
		'adjustable dumbbells 20-2 kg',
		'heavy light bands',
		'nothing much'
	])('and does not take “%s” for any of it', (text) => {
		expect(readKit(text)).toEqual({ kit: [], unread: [text] });
	});

	it.each([
		'none',
		'nothing',
		'no equipment',
		'no',
		'-',
		'bodyweight',
		'body weight',
		'Body weight only',
		'Nothing.',
		' ; , '
	])('“%s” is nothing to own and nothing to ask about', (text) =>
		expect(readKit(text)).toEqual({ kit: [], unread: [] })
	);
});

describe('readKit counts', () => {
	it.each([
		['a dumbbell 4 kg', 1],
		['an 8 kg dumbbell', 1],
		['one dumbbell 4 kg', 1],
		['two dumbbells 4 kg', 2],
		['three dumbbells 4 kg', 3],
		['four dumbbells 4 kg', 4],
		['6 dumbbells 4 kg', 6],
		['3 x dumbbell 4 kg', 3],
		['3 × 4 kg dumbbell', 3],
		['3*4 kg dumbbell', 3],
		['pair dumbbells 4 kg', 2],
		['a pair of dumbbells 4 kg', 2],
		['two pairs of 4 kg dumbbells', 4],
		['3 pairs dumbbells 4 kg', 6],
		['dumbbells of 4 kg', 2],
		['dumbbells (4 kg each)', 2],
		['dumbbells @ 4 kg', 2],
		['dumbbells with 4 kg', 2],
		['dbs 4 kg', 2],
		['db 4 kg', 1],
		['light hand weights 4 kg', 2],
		['4 kg dumb-bell', 1],
		['4 kg dumb bells', 2]
	])('%s', (text, count) => {
		const [owned] = readKit(text).kit;
		expect(owned).toMatchObject({ kind: 'dumbbell', count });
		expect(owned).toHaveProperty('kg', text.startsWith('an 8') ? 8 : 4);
	});

	it.each([
		['kb 12 kilos', { kind: 'kettlebell', kg: 12, count: 1 }],
		['2 kettle-bells 12kg', { kind: 'kettlebell', kg: 12, count: 2 }],
		['kettle bell 26 lbs', { kind: 'kettlebell', kg: 11.79, count: 1 }],
		['kettlebell 10 pounds', { kind: 'kettlebell', kg: 4.54, count: 1 }],
		['rucksack', { kind: 'pack', item: 'loaded backpack', kg: null, count: 1 }],
		['back pack 7.5 kilo', { kind: 'pack', item: 'loaded backpack', kg: 7.5, count: 1 }],
		['2 heavy packs 12 kg', { kind: 'pack', item: 'loaded backpack', kg: 12, count: 2 }],
		['filled bottles', { kind: 'pack', item: 'water bottle', kg: null, count: 1 }],
		['water bottle 1.5 kg', { kind: 'pack', item: 'water bottle', kg: 1.5, count: 1 }]
	])('%s', (text, owned) => {
		expect(readKit(text)).toEqual({ kit: [owned], unread: [] });
	});

	// 1 lb is 0.45359237 kg by the international agreement of 1959.
	it.each([
		['adjustable dumbbells 5-25 kg', { from: 5, to: 25, step: 1, count: 2 }],
		['adjustable dumbbell 5 – 25 kg', { from: 5, to: 25, step: 1, count: 1 }],
		['dumbbells 5 to 25 kg, in steps of 2,5 kg', { from: 5, to: 25, step: 2.5, count: 2 }],
		['dumbbell 5kg-25kg (2.5 kg steps)', { from: 5, to: 25, step: 2.5, count: 1 }],
		['2 x adjustable dumbbell 5-25 kg, steps of 5', { from: 5, to: 25, step: 5, count: 2 }],
		['dbs adjustable 10-50 lb, steps of 5', { from: 4.54, to: 22.68, step: 2.27, count: 2 }]
	])('%s', (text, range) => {
		expect(readKit(text)).toEqual({ kit: [{ kind: 'adjustable', ...range }], unread: [] });
	});

	it.each<[string, BandRank | null, boolean, number]>([
		['band', null, false, 1],
		['resistance bands', null, false, 1],
		['3 exercise bands', null, false, 3],
		['extra light band', 'light', false, 1],
		['easy elastic band', 'light', false, 1],
		['middle band', 'medium', false, 1],
		['strong band', 'heavy', false, 1],
		['extra heavy long band', 'heavy', false, 1],
		['tube with handles (heavy)', 'heavy', false, 1],
		['mini bands', null, true, 1],
		['2 medium hip loops', 'medium', true, 2],
		['booty loop band', null, true, 1]
	])('%s', (text, rank, loop, count) => {
		expect(readKit(text)).toEqual({ kit: [{ kind: 'band', rank, loop, count }], unread: [] });
	});
});

describe('ownedText', () => {
	it.each<[Owned, string]>([
		[{ kind: 'dumbbell', kg: 8, count: 1 }, 'dumbbell 8 kg'],
		[{ kind: 'dumbbell', kg: 8, count: 2 }, 'pair of dumbbells 8 kg'],
		[{ kind: 'dumbbell', kg: 8, count: 3 }, '3 x dumbbell 8 kg'],
		[{ kind: 'kettlebell', kg: 12, count: 1 }, 'kettlebell 12 kg'],
		[{ kind: 'kettlebell', kg: 12, count: 2 }, '2 x kettlebell 12 kg'],
		[
			{ kind: 'adjustable', from: 2, to: 20, step: 2, count: 1 },
			'1 x adjustable dumbbell 2-20 kg, steps of 2 kg'
		],
		[{ kind: 'band', rank: 'light', loop: false, count: 1 }, 'light band'],
		[{ kind: 'band', rank: null, loop: true, count: 2 }, '2 loop bands'],
		[{ kind: 'pack', item: 'loaded backpack', kg: 10, count: 1 }, 'backpack 10 kg'],
		[{ kind: 'pack', item: 'water bottle', kg: null, count: 2 }, '2 water bottles'],
		[{ kind: 'item', item: 'mat', count: 1 }, 'mat'],
		[{ kind: 'item', item: 'chair', count: 2 }, '2 x chair']
	])('%o', (owned, text) => {
		expect(ownedText(owned)).toBe(text);
		expect(readKit(text).kit).toEqual([owned]);
	});
});

describe('readKit keeps within what somebody can own', () => {
	it.each([
		['dumbbell 200 kg', 1],
		['dumbbell 200.5 kg', 0],
		['20 mats', 1],
		['21 mats', 0],
		['1 mat', 1],
		['0 mats', 0],
		['adjustable dumbbell 2-2.5 kg', 1],
		['adjustable dumbbell 2-2 kg', 0],
		['adjustable dumbbell 0-20 kg', 0],
		['adjustable dumbbell 2-200 kg, steps of 0.5 kg', 1],
		['adjustable dumbbell 20-180 kg, steps of 0.4 kg', 1],
		['adjustable dumbbell 2-200 kg, steps of 0.4 kg', 0],
		['adjustable dumbbell 2-200.5 kg, steps of 2 kg', 0]
	])('%s: %d', (text, pieces) => {
		const read = readKit(text);
		expect(read.kit).toHaveLength(pieces);
		expect(read.unread).toEqual(pieces === 1 ? [] : [text]);
	});

	it('keeps forty pieces and gives back the rest', () => {
		const { kit, unread } = readKit(Array.from({ length: 42 }, () => 'mat').join('; '));
		expect(kit).toHaveLength(40);
		expect(unread).toEqual(['mat', 'mat']);
	});
});

describe('readKit parts a text', () => {
	it.each<[string, number, string[]]>([
		['mat, chair', 2, []],
		['mat,chair|rope\nwall/table', 5, []],
		['2 mats,3 chairs', 0, ['2 mats,3 chairs']],
		['adjustable dumbbells 2,5-20 kg,  in steps of 2,5 kg, mat', 2, []],
		['adjustable dumbbells 2-20 kg, 2 kg steps, mat', 2, []],
		['mat, 2 steps', 2, []],
		['dumbbell 8 kg, steps of 2 kg', 1, ['steps of 2 kg']],
		['adjustable dumbbells 2-20 kg, steps of wood', 1, ['steps of wood']],
		['adjustable dumbbells 2-20 kg, 2 steps', 2, []],
		['  Two   Mats  ', 1, []],
		['Sofa  with   springs!', 0, ['Sofa with springs!']]
	])('%s', (text, pieces, unread) => {
		const read = readKit(text);
		expect(read.kit).toHaveLength(pieces);
		expect(read.unread).toEqual(unread);
	});

	it('gives a step to the range that it stands beside, and to no other', () => {
		expect(readKit('adjustable dumbbells 2-20 kg, steps of 4 kg; adjustable dumbbell 5-50 lb').kit).toEqual([
			{ kind: 'adjustable', from: 2, to: 20, step: 4, count: 2 },
			{ kind: 'adjustable', from: 2.27, to: 22.68, step: 0.45, count: 1 }
		]);
		expect(readKit('adjustable dumbbell 10-50 lb in steps of 2 kg').kit).toMatchObject([{ step: 2 }]);
		expect(readKit('12 pairs of adjustable dumbbells 10-50 kg').unread).toHaveLength(1);
		expect(readKit('10 pairs of adjustable dumbbells 10.5-50 kg').kit).toMatchObject([
			{ count: 20, from: 10.5 }
		]);
		expect(readKit('11 x dumbbell 12.25 kg').kit).toEqual([{ kind: 'dumbbell', kg: 12.25, count: 11 }]);
	});
});
