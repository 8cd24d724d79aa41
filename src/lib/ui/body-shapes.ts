import type { Muscle } from '$core/exercise';

/** Places in a drawing 100 wide and 200 high; those of one half, mirrored at x = 50. */
type Points = readonly (readonly [x: number, y: number])[];

/** One line around the left half of the body as one looks at it, from the crown to the crotch. Nobody's in particular. */
// prettier-ignore
const OUTLINE: Points = [
	[50, 3], [44, 3.6], [40.6, 9], [40.8, 16], [43.6, 22.6], [46.6, 25.6], [45.6, 31.5], [42, 35], [35.5, 37.4], [28.6, 39],
	[24.6, 43], [23.2, 50], [22.4, 60], [20.6, 71], [17.8, 82], [14.6, 94], [12, 101], [10.8, 107], [12, 112], [15.4, 112.6],
	[17.8, 107], [19, 98.5], [22.4, 88], [26, 76.5], [28.8, 64], [31, 53], [32.6, 58], [34.2, 67], [35.4, 76], [34.8, 84],
	[32.8, 92], [31, 101], [30.8, 111], [32, 125], [34.4, 138], [35.2, 146], [34.2, 155], [34.4, 166], [37, 180], [36.8, 188],
	[33.6, 194], [35, 197.4], [41, 197.4], [44.2, 194], [44, 186], [44.2, 176], [46, 165], [46.6, 155], [45.6, 146],
	[47, 134], [48.8, 120], [49.6, 109], [50, 105]
];

/** Muscles as areas of the same half. */
// prettier-ignore
export const BODY: Readonly<Record<'front' | 'back', readonly (readonly [Muscle, Points])[]>> = {
	front: [
		['side shoulder', [[28.6, 40.4], [25.6, 43.4], [24.2, 49], [24.4, 55], [26.8, 52.5], [28, 46.5]]],
		['front shoulder', [[37, 38.4], [31, 39.8], [28.8, 43], [28, 49], [30.2, 51], [33, 47], [37.4, 42.8]]],
		['chest', [[49.2, 42], [43, 40.4], [38, 42.6], [33.6, 47.6], [32.8, 52.5], [36.4, 57], [43, 58.4], [49.2, 56.4]]],
		['biceps', [[30.2, 52], [26.8, 53.6], [24.4, 59], [23.2, 66], [23.6, 71], [26, 71.4], [28.2, 64], [30.4, 56.5]]],
		['forearms', [[22.8, 73], [20.6, 75], [17.6, 85], [14.8, 95.5], [17.8, 96.5], [21.2, 87], [24.8, 77], [25, 73.8]]],
		['obliques', [[34.2, 58], [37.4, 60.4], [41, 62.4], [41.2, 74], [42, 86], [38, 87.5], [35.8, 84], [36.4, 75], [35, 66]]],
		['abs', [[49.6, 59], [43.4, 60.6], [42.4, 68], [42.6, 80], [44.2, 92], [49.6, 99]]],
		['hip flexors', [[37, 89], [41.6, 88], [44.6, 94.4], [48, 102.4], [44.6, 101.6], [39.4, 97]]],
		['outer hip', [[35, 87.4], [36.2, 91], [36.6, 97], [34.4, 107], [32, 108], [32, 99]]],
		['quads', [[36.8, 98], [40.6, 99.6], [44.6, 106], [45.6, 120], [45, 134], [43.6, 143.4], [38, 144], [35, 135], [32.8, 122], [33.4, 109]]],
		['inner thigh', [[44.4, 103], [49, 106.6], [48.4, 117], [46.4, 131], [46.2, 118]]],
		['shins', [[36.8, 149.6], [41.4, 149], [42.2, 160], [41.6, 172], [40.2, 181.5], [38, 181], [35.8, 168], [35.4, 157]]]
	],
	back: [
		['rear shoulder', [[36, 39], [30, 39.8], [26.2, 43.4], [25, 49.6], [28.8, 51.6], [33, 48], [37, 43.4]]],
		['upper back', [[49.5, 27.5], [46.6, 31.6], [42.6, 36], [37.4, 38.6], [38, 44.4], [41, 53], [45, 61], [49.5, 67.5]]],
		['lats', [[34, 50], [38.4, 47.4], [41, 56], [45, 64], [48.8, 70], [46.6, 76.6], [41.4, 79.4], [37, 75], [35.6, 64]]],
		['triceps', [[30.2, 52.4], [26, 53], [23.8, 59], [22.4, 66.4], [23.4, 71.6], [26.2, 71], [28.6, 63]]],
		['forearms', [[22.8, 73], [20.6, 75], [17.6, 85], [14.8, 95.5], [17.8, 96.5], [21.2, 87], [24.8, 77], [25, 73.8]]],
		['lower back', [[49.5, 71], [46.8, 77.6], [42.6, 82], [42.4, 89], [46, 92.4], [49.5, 93.6]]],
		['outer hip', [[36, 83], [41.2, 85], [41, 90], [36.6, 95.4], [33, 102.4], [32.4, 97], [34.4, 89]]],
		['glutes', [[49.4, 95.4], [45, 93.4], [40.6, 93.6], [36, 98.6], [33, 106], [35, 112], [41.6, 114.4], [48, 112.4], [49.4, 107.4]]],
		['hamstrings', [[34, 114.6], [41, 117], [48, 115], [47.4, 126], [46, 137], [45, 145.6], [41.4, 142.4], [37.6, 145.6], [35, 135], [33, 124]]],
		['calves', [[36.4, 149], [41, 147.4], [45.2, 150], [46, 158], [44.8, 168.4], [42.6, 177], [39.4, 177], [36, 167], [35.2, 157]]]
	]
};

const at = (x: number, y: number): string => `${Math.round(x * 100) / 100} ${Math.round(y * 100) / 100}`;

/** A closed line that rounds the corners of its points. */
function rounded(points: Points): string {
	const between = (i: number): [number, number] => {
		const [a, b] = [points[i % points.length], points[(i + 1) % points.length]];
		return a && b ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : [0, 0];
	};
	const curves = points.map(([x, y], i) => `Q${at(x, y)} ${at(...between(i))}`);
	return `M${at(...between(points.length - 1))}${curves.join('')}Z`;
}

const mirrored = (points: Points): Points => points.map(([x, y]) => [100 - x, y] as const);

/** The whole outline as one closed path. */
export const BODY_OUTLINE = rounded([...OUTLINE, ...[...mirrored(OUTLINE)].reverse().slice(1, -1)]);

export interface MuscleArea {
	muscle: Muscle;
	/** Both halves, as one path. */
	path: string;
}

/** The muscles that are seen from a side, each on both halves. */
export const areasOf = (side: 'front' | 'back'): MuscleArea[] =>
	BODY[side].map(([muscle, points]) => ({ muscle, path: rounded(points) + rounded(mirrored(points)) }));

/** Upper ends of the steps in which sets are coloured. */
export const STEPS = [2, 4, 6] as const;
export const stepOf = (sets: number): number =>
	sets <= 0 ? 0 : 1 + STEPS.filter((end) => sets > end).length;
