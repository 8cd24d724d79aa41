import fc from 'fast-check';
import { expect, it } from 'vitest';
import { parseSessionText } from '../../session';
import { PRACTICE } from '../../../../tests/support/practice';
import { runs } from '../../../../tests/support/runs';
import type { Form } from './forms';
import { nearestWay, type Aim, type Way } from './nearest-way';

const [block] = parseSessionText('3 x 10 squat', PRACTICE).session.blocks;
const form = (seconds: number, distance: number): Form => {
	if (!block) throw new Error('a block');
	return { block, seconds, distance, changes: [] };
};

/** Every choice there is, one after the other. */
function tried(
	forms: Form[][],
	times: number[],
	rest: number,
	{ low, high, closest }: Aim
): Omit<Way, 'forms'> | null {
	let sums = new Map([[Math.round(rest), 0]]);
	forms.forEach((own, b) => {
		const next = new Map<number, number>();
		for (const [sum, distance] of sums)
			for (const one of own) {
				const seconds = sum + Math.round(one.seconds * (times[b] ?? 1));
				next.set(seconds, Math.min(next.get(seconds) ?? Infinity, distance + one.distance));
			}
		sums = next;
	});
	const goal = (low + high) / 2;
	const found = [...sums]
		.filter(([seconds]) => seconds >= low && seconds <= high)
		.map(([seconds, distance]) => ({
			seconds,
			distance: closest ? Math.abs(seconds - goal) : distance + (seconds > goal ? 0.05 : 0)
		}))
		.sort((a, b) => a.distance - b.distance || a.seconds - b.seconds);
	return found[0] ?? null;
}

it('finds what trying every choice finds', () => {
	const one = fc.record({
		seconds: fc.integer({ min: 0, max: 30 }),
		distance: fc.constantFrom(0, 0.5, 1, 1.5, 2, 3)
	});
	const blocks = fc.array(fc.array(one, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 4 });
	fc.assert(
		fc.property(
			blocks,
			fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 4, maxLength: 4 }),
			fc.integer({ min: 0, max: 40 }),
			fc.integer({ min: 0, max: 200 }),
			fc.integer({ min: 0, max: 40 }),
			fc.boolean(),
			(plain, times, rest, low, width, closest) => {
				const forms = plain.map((own) => own.map(({ seconds, distance }) => form(seconds, distance)));
				const aim = { low, high: low + width, closest };
				const way = nearestWay(forms, times, rest, aim);
				const best = tried(forms, times, rest, aim);
				expect(way && { seconds: way.seconds, distance: way.distance }).toEqual(
					best && { ...best, distance: expect.closeTo(best.distance, 9) as number }
				);
				if (!way) return;
				expect(way.forms).toHaveLength(forms.length);
				way.forms.forEach((chosen, b) => expect(forms[b]).toContain(chosen));
				expect(rest + way.forms.reduce((sum, { seconds }, b) => sum + seconds * (times[b] ?? 1), 0)).toBe(
					way.seconds
				);
			}
		),
		{ numRuns: runs(1500) }
	);
});

it('keeps to the budget of two that are as near, and takes the smaller change', () => {
	const aim = { low: 90, high: 110, closest: false };
	expect(nearestWay([[form(95, 1), form(105, 1)]], [1], 0, aim)?.seconds).toBe(95);
	expect(nearestWay([[form(95, 1.04), form(105, 1)]], [1], 0, aim)?.seconds).toBe(95);
	expect(nearestWay([[form(95, 1.06), form(105, 1)]], [1], 0, aim)?.seconds).toBe(105);
	expect(nearestWay([[form(100, 1), form(95, 1)]], [1], 0, aim)?.distance).toBe(1);
	expect(nearestWay([[form(90, 1)]], [1], 0, aim)?.seconds).toBe(90);
	expect(nearestWay([[form(110, 1)]], [1], 0, aim)?.seconds).toBe(110);
	expect(nearestWay([[form(89, 1)], [form(0, 0)]], [1, 1], 0, aim)).toBeNull();
	expect(nearestWay([[form(111, 1)]], [1], 0, aim)).toBeNull();
	expect(nearestWay([[form(0, 1)]], [1], 111, aim)).toBeNull();
	expect(nearestWay([[form(0, 1)]], [1], 110, aim)?.seconds).toBe(110);
});
