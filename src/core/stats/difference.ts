import { wilson } from './wilson';

/** How many of how many. */
export interface Counted {
	n: number;
	/** Of those. */
	x: number;
}

/**
 * The difference of two shares with its 95 % interval: Newcombe 1998, Stat Med 17:873, method 10, of the two Wilson
 * intervals. Null where one of them is of nobody.
 */
export function differenceOf(
	a: Counted,
	b: Counted
): { difference: number; low: number; high: number } | null {
	if (a.n === 0 || b.n === 0) return null;
	const [p, q] = [a.x / a.n, b.x / b.n];
	const [one, other] = [wilson(a.x, a.n), wilson(b.x, b.n)];
	const difference = p - q;
	return {
		difference,
		low: difference - Math.hypot(p - one.low, other.high - q),
		high: difference + Math.hypot(one.high - p, q - other.low)
	};
}
