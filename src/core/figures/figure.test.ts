import { describe, expect, it } from 'vitest';
import { drawFigure, type Figure, type Prop } from './figure';
import type { Pose } from './pose';
import { figureMarkup, figureSvg } from './svg';

const UPRIGHT: Pose = { torso: 90, arm: [-90, -90], leg: [-90, -90] };
const figure = (props: Prop[], more: Partial<Figure> = {}): Figure => ({
	view: 'side',
	anchor: 'ankle1',
	start: UPRIGHT,
	end: UPRIGHT,
	props,
	...more
});
const round = (n: number) => Math.round(n * 10) / 10 + 0;
/** A drawing line by line: kind, tone, width and places. */
const drawn = (of: Figure, t = 0) =>
	drawFigure(of, t).shapes.map((shape) => {
		const places = (points: readonly (readonly [number, number])[]) =>
			points.map((p) => p.map(round).join(',')).join(' ');
		if (shape.kind === 'line') return `line ${shape.tone} ${round(shape.width)}: ${places(shape.points)}`;
		if (shape.kind === 'circle') return `circle ${shape.tone} ${shape.r}: ${places([shape.at])}`;
		return `box ${shape.tone}: ${places([shape.from, shape.to])}`;
	});

/** From the back to the front; the joints of an upright body are worked out in pose.test.ts. */
const BODY = [
	'line far 4: 0,78 0,62 0,46',
	'line far 5: 0,48 0,24 0,0 7,0',
	'line near 7: 0,48 0,63 0,78',
	'circle near 6.5: 0,89.5',
	'line halo 7.4: 0,48 0,24 0,0 7,0',
	'line near 5: 0,48 0,24 0,0 7,0',
	'line near 7: 0,48 0,63',
	'line halo 6.4: 0,78 0,62 0,46',
	'line near 4: 0,78 0,62 0,46'
];

describe('drawFigure', () => {
	it('draws the far side, the body, the near side', () => {
		expect(drawn(figure([]))).toEqual(BODY);
	});

	it('from the front draws both sides near, with hips and shoulders between them', () => {
		// The toes point down by 20°: 1.2 under the ankles.
		const lines = drawn(figure([], { view: 'front' }));
		expect(lines).toHaveLength(13);
		expect(lines.filter((line) => line.includes('far'))).toEqual([]);
		expect(lines.slice(0, 4)).toEqual([
			'line near 4: 12.5,79.2 12.5,63.2 12.5,47.2',
			'line near 5: 9,49.2 9,25.2 9,1.2 12.3,0',
			'line near 5: 0,49.2 9,49.2',
			'line near 4.5: -3.5,79.2 12.5,79.2'
		]);
		expect(lines.slice(-2)).toEqual([
			'line halo 6.4: 12.5,79.2 12.5,63.2 12.5,47.2',
			'line near 4: 12.5,79.2 12.5,63.2 12.5,47.2'
		]);
	});

	it.each<[Prop, string[]]>([
		[
			{ kind: 'chair', x: -10, faces: 'right' },
			['line prop 2.2: -10,0 -10,50', 'line prop 2.2: -10,25 10,25 10,0']
		],
		[
			{ kind: 'chair', x: -10, faces: 'left' },
			['line prop 2.2: 10,0 10,50', 'line prop 2.2: 10,25 -10,25 -10,0']
		],
		[{ kind: 'table', x: 5 }, ['line prop 2.2: 5,0 5,44 31,44 31,0']],
		[{ kind: 'table', x: 5, width: 10 }, ['line prop 2.2: 5,0 5,44 15,44 15,0']],
		[{ kind: 'step', x: -5, width: 20, height: 12 }, ['box prop: -5,0 15,12']],
		[{ kind: 'wall', x: 12 }, ['line prop 2.6: 12,0 12,104']],
		[{ kind: 'bar', x: 2, y: 110 }, ['line prop 2.6: -12,110 16,110']],
		[{ kind: 'mat' }, ['line prop 2.2: -4,-1.5 11,-1.5']],
		[{ kind: 'band', from: [30, 5], to: 'hand1' }, ['line thin 1.4: 30,5 0,46']],
		[{ kind: 'band', from: 'ankle1', to: 'hand1' }, ['line thin 1.4: 0,0 0,46']]
	])('stands behind the figure: %o', (prop, lines) => {
		expect(drawn(figure([prop]))).toEqual([...lines, ...BODY]);
	});

	it.each<[Prop, string[]]>([
		[{ kind: 'loop', from: 'knee1', to: 'toe1' }, ['line prop 2.4: 0,24 7,0']],
		[{ kind: 'pack', at: 'hand1' }, ['box solid: -5,33 5,45']],
		// Beside the middle of the back, a fifth of its length up: 63 + 6, and 8 to the left; to the right on the chest.
		[{ kind: 'pack', at: 'back' }, ['box solid: -13,61 -3,77']],
		[{ kind: 'pack', at: 'chest' }, ['box solid: 3,61 13,77']]
	])('is held before the body and behind the near arm: %o', (prop, lines) => {
		expect(drawn(figure([prop]))).toEqual([...BODY.slice(0, 7), ...lines, ...BODY.slice(7)]);
	});

	it.each<[Prop, string[]]>([
		[{ kind: 'dumbbell', at: 'hand1' }, ['circle prop 4.6: 0,46']],
		[
			{ kind: 'dumbbell', at: 'hand1', along: true },
			['line prop 2: -5,46 5,46', 'line prop 3: -5,43 -5,49', 'line prop 3: 5,43 5,49']
		],
		[{ kind: 'bottle', at: 'hand1' }, ['box solid: -2,41 2,49']]
	])('is in the hand, before everything: %o', (prop, lines) => {
		expect(drawn(figure([prop]))).toEqual([...BODY, ...lines]);
	});

	it('puts a pack behind a back that leans', () => {
		// Bent forward by 90°: the hip 48 high, the middle of the back 15 on, the pack 8 above it.
		const bent = { ...UPRIGHT, torso: 0 };
		const [pack] = drawn(figure([{ kind: 'pack', at: 'back' }], { start: bent })).filter((line) =>
			line.startsWith('box')
		);
		expect(pack).toBe('box solid: 16,48 26,64');
		const [chest] = drawn(figure([{ kind: 'pack', at: 'chest' }], { start: bent })).filter((line) =>
			line.startsWith('box')
		);
		expect(chest).toBe('box solid: 16,32 26,48');
	});

	it('moves from start to end and stays there', () => {
		const lift = figure([], { end: { ...UPRIGHT, arm: [0, 0] } });
		const hand = (t: number) => drawn(lift, t).at(-1);
		expect([-1, 0].map(hand)).toEqual(Array(2).fill('line near 4: 0,78 0,62 0,46'));
		expect([1, 2].map(hand)).toEqual(Array(2).fill('line near 4: 0,78 16,78 32,78'));
		expect(hand(0.5)).toBe('line near 4: 0,78 11.3,66.7 22.6,55.4');
	});

	it('goes by way of the middle where there is one', () => {
		const press = figure([], { end: { ...UPRIGHT, arm: [90, 90] }, middle: { ...UPRIGHT, arm: [-90, 30] } });
		const hand = (t: number) => drawn(press, t).at(-1);
		expect(hand(0.5)).toBe('line near 4: 0,78 0,62 13.9,70');
		// Half of half: the forearm half as bent.
		expect(hand(0.25)).toBe('line near 4: 0,78 0,62 13.9,54');
		expect(hand(1)).toBe('line near 4: 0,78 0,94 0,110');
	});

	it('has one frame for the whole way, around what is beside the figure as well', () => {
		const lift = figure([{ kind: 'bar', x: 20, y: 110 }], { end: { ...UPRIGHT, arm: [0, 0] } });
		for (const t of [0, 0.5, 1]) expect(drawFigure(lift, t).bounds.map(round)).toEqual([-7, -5, 41, 117]);
		const low = figure(
			[
				{ kind: 'step', x: -30, width: 5, height: 4 },
				{ kind: 'dumbbell', at: 'hand1' }
			],
			{ start: { ...UPRIGHT, base: -8 } }
		);
		expect(drawFigure(low, 0).bounds.map(round)).toEqual([-37, -10, 14, 96.5]);
	});
});

describe('figureSvg', () => {
	it('draws with y downwards, in colours for paper', () => {
		const svg = figureSvg(
			figure([
				{ kind: 'step', x: -5, width: 20, height: 12 },
				{ kind: 'bottle', at: 'hand1' },
				{ kind: 'dumbbell', at: 'head' }
			]),
			0
		);
		expect(svg).toMatch(
			/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg" viewBox="-12 -96\.5 34 101\.5">.*<\/svg>$/
		);
		expect(svg).toContain(
			'<rect x="-5.0" y="-12.0" width="20.0" height="12.0" fill="#f3e3c0" stroke="#c98a12" stroke-width="1.6"/>'
		);
		expect(svg).toContain('<rect x="-2.0" y="-49.0" width="4.0" height="8.0" fill="#c98a12"/>');
		expect(svg).toMatch(/<circle cx="-?0\.0" cy="-89\.5" r="4\.6" fill="#c98a12"\/>/);
		expect(svg).toMatch(
			/<polyline points="-?0\.0,-78\.0 -?0\.0,-62\.0 -?0\.0,-46\.0" fill="none" stroke="#8b8e93" stroke-width="4" stroke-linecap="round" stroke-linejoin="round"\/>/
		);
	});

	it('shows the end unless it is asked for another moment', () => {
		const lift = figure([], { end: { ...UPRIGHT, arm: [0, 0] } });
		expect(figureSvg(lift)).toBe(figureSvg(lift, 1));
		expect(figureSvg(lift)).not.toBe(figureSvg(lift, 0));
	});
});

describe('figureMarkup', () => {
	const lift = figure(
		[
			{ kind: 'step', x: -5, width: 20, height: 12 },
			{ kind: 'dumbbell', at: 'hand1' }
		],
		{
			end: { ...UPRIGHT, arm: [0, 0] }
		}
	);

	it('has the tones as classes, and what is drawn on paper in the same places', () => {
		const { viewBox, shapes } = figureMarkup(lift, 1);
		expect(figureSvg(lift, 1)).toContain(`viewBox="${viewBox}"`);
		expect(shapes).toContain('<rect x="-5.0" y="-12.0" width="20.0" height="12.0" class="prop"/>');
		expect(shapes).toContain('r="4.6" class="prop"/>');
		expect(shapes).toMatch(/<polyline points="[^"]+" class="far" stroke-width="4"\/>/);
		const places = (text: string) => text.match(/ (?:points|cx|cy|x|y)="[^"]*"/g);
		expect(places(shapes)).toEqual(places(figureSvg(lift, 1)));
	});

	it('is made once for each end, and anew on the way', () => {
		expect(figureMarkup(lift, 1)).toBe(figureMarkup(lift, 2));
		expect(figureMarkup(lift, 0)).toBe(figureMarkup(lift, -1));
		expect(figureMarkup(lift, 0)).not.toEqual(figureMarkup(lift, 1));
		expect(figureMarkup(lift, 0.5)).not.toBe(figureMarkup(lift, 0.5));
		expect(figureMarkup(lift, 0.5)).toEqual(figureMarkup(lift, 0.5));
	});
});
