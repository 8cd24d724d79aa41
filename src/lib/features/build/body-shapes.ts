import type { Muscle } from '$core/exercise';

/** An ellipse of the drawing, which is 100 wide and 200 high; mirrored to the other side unless in the middle. */
type Oval = readonly [muscle: Muscle, x: number, y: number, rx: number, ry: number, turn?: number];

/** The right half of the body as one looks at it, drawn by hand. */
export const BODY: Record<'front' | 'back', readonly Oval[]> = {
	front: [
		['side shoulder', 28.5, 43, 3, 6, 12],
		['front shoulder', 34, 40.5, 4.5, 4.5],
		['chest', 42, 47, 7.4, 5.6],
		['biceps', 26.6, 58, 3.8, 8.5, 6],
		['forearms', 22.6, 79, 3.4, 11, 8],
		['obliques', 40.5, 69, 3, 11],
		['abs', 50, 68, 6, 14],
		['hip flexors', 43.5, 90, 3.6, 6, -14],
		['outer hip', 35, 93, 2.8, 7],
		['quads', 40, 119, 5.8, 20, 2],
		['inner thigh', 46.8, 111, 2.4, 13, -3],
		['shins', 40, 165, 3.2, 17]
	],
	back: [
		['rear shoulder', 32.5, 41.5, 5, 4.6],
		['upper back', 43.5, 45, 6, 9, 14],
		['lats', 41, 63, 5.2, 11, -8],
		['triceps', 26.6, 58, 3.8, 9, 6],
		['forearms', 22.6, 79, 3.4, 11, 8],
		['lower back', 50, 79, 6.5, 8],
		['outer hip', 34.4, 91, 2.6, 6.5],
		['glutes', 42.6, 99, 7, 8],
		['hamstrings', 40.4, 126, 5.8, 17, 2],
		['calves', 40, 162, 4.4, 14]
	]
};

export interface BodyOval {
	muscle: Muscle;
	x: number;
	y: number;
	rx: number;
	ry: number;
	turn: number;
}

/** Both halves. */
export function ovalsOf(side: 'front' | 'back'): BodyOval[] {
	return BODY[side].flatMap(([muscle, x, y, rx, ry, turn = 0]) => {
		const one = { muscle, x, y, rx, ry, turn };
		return x === 50 ? [one] : [one, { ...one, x: 100 - x, turn: -turn }];
	});
}

/** Upper ends of the steps in which sets are coloured. */
export const STEPS = [2, 4, 6] as const;
export const stepOf = (sets: number): number =>
	sets <= 0 ? 0 : 1 + STEPS.filter((end) => sets > end).length;
