import { describe, expect, it } from 'vitest';
import { addedTo, type LoggedSet } from './credit';
import { arrivalIn, instantOfDevice, standingOfArrival } from './day-state';

const HOUR = 3_600_000;
const window = { opens: 5 * HOUR, due: 24 * HOUR, closes: 36 * HOUR };

describe('when something was done', () => {
	it('is what lies between doing and sending, by the clock of whoever takes it in', () => {
		expect(instantOfDevice(100, 400, 10_000)).toBe(9700);
		expect(instantOfDevice(9000, null, 10_000)).toBe(9000);
		// Never after it came in.
		expect(instantOfDevice(500, 400, 10_000)).toBe(10_000);
	});
});

describe('the standing of what a device kept', () => {
	const at = (doneAt: number | null, receivedAt: number) =>
		standingOfArrival(window, arrivalIn(window, doneAt, receivedAt));
	it('is that of when it was done, for two days', () => {
		expect(at(20 * HOUR, 68 * HOUR)).toEqual({ standing: 'on time', offered: false });
		expect(at(24 * HOUR, 30 * HOUR)).toEqual({ standing: 'late', offered: false });
		expect(at(5 * HOUR, 53 * HOUR)).toEqual({ standing: 'on time', offered: false });
	});
	it('is left to the coach after that', () => {
		expect(at(20 * HOUR, 68 * HOUR + 1)).toEqual({ standing: 'after close', offered: true });
	});
	it('is that of its coming where it was not done within its window', () => {
		expect(at(5 * HOUR - 1, 30 * HOUR)).toEqual({ standing: 'late', offered: false });
		expect(at(36 * HOUR, 37 * HOUR)).toEqual({ standing: 'after close', offered: false });
		expect(at(null, 37 * HOUR)).toEqual({ standing: 'after close', offered: false });
		expect(at(null, 10 * HOUR)).toEqual({ standing: 'on time', offered: false });
	});
});

describe('parts of a day', () => {
	const set = (part: number, n: number, amount: number, kg: number | null = null): LoggedSet => ({
		block: 0,
		part,
		set: n,
		amount,
		kg
	});
	it('are summed, set by set', () => {
		expect(addedTo([set(0, 1, 10), set(0, 2, 4)], [set(0, 2, 3, 8), set(1, 1, 6)])).toEqual([
			set(0, 1, 10),
			set(0, 2, 7, 8),
			set(1, 1, 6)
		]);
	});
	it('stay as they are where nothing more was done', () => {
		expect(addedTo([set(0, 1, 10, 12)], [set(0, 1, 0, 8)])).toEqual([set(0, 1, 10, 12)]);
		expect(addedTo([set(0, 1, 0, 12)], [set(0, 1, 5, 8)])).toEqual([set(0, 1, 5, 8)]);
		expect(addedTo([], [set(0, 1, 5)])).toEqual([set(0, 1, 5)]);
	});
});
