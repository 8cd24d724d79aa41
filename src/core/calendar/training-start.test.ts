import { describe, expect, it } from 'vitest';
import { trainingStart } from './training-start';
import { dueWindow } from './window';
import { offsetsOf } from './zone';

const POLICY = { startsOn: '2026-03-28', zone: null, opensAt: 330, lateHours: 24 };
const at = (text: string) => Date.parse(text);
const iso = (ms: number) => new Date(ms).toISOString();

describe('trainingStart', () => {
	const window = dueWindow(1, { zone: 'Europe/Oslo', shiftDays: 0 }, POLICY);

	it.each([
		['no hour', null, '2026-03-28T04:30:00.000Z'],
		['an hour after it opens', 18 * 60, '2026-03-28T17:00:00.000Z'],
		['an hour before it opens: the day opens first', 4 * 60, '2026-03-28T04:30:00.000Z'],
		['midnight', 0, '2026-03-28T04:30:00.000Z'],
		['the minute in which it opens', 330, '2026-03-28T04:30:00.000Z']
	])('with %s', (_, trainsAt, start) => {
		expect(iso(trainingStart(window, 'Europe/Oslo', trainsAt))).toBe(start);
	});

	it('takes the hour by the own clock where one zone opens the day for all', () => {
		// Opens 05:30 in Oslo, 18:30 of the day in Auckland, due at 13:00 of the next there.
		const shared = dueWindow(
			1,
			{ zone: 'Pacific/Auckland', shiftDays: 0 },
			{ ...POLICY, zone: 'Europe/Oslo' }
		);
		expect(iso(trainingStart(shared, 'Pacific/Auckland', 7 * 60))).toBe('2026-03-28T18:00:00.000Z');
		expect(iso(trainingStart(shared, 'Pacific/Auckland', 15 * 60))).toBe('2026-03-28T04:30:00.000Z');
	});

	it('does not begin when it is due already', () => {
		// Noon in Oslo is the next midnight in Kiritimati; an hour that is the closing one opens with the day.
		const shared = dueWindow(
			1,
			{ zone: 'Pacific/Kiritimati', shiftDays: 0 },
			{ ...POLICY, zone: 'Europe/Oslo' }
		);
		const due = new Date(shared.due + 14 * 3_600_000);
		const hour = due.getUTCHours() * 60 + due.getUTCMinutes();
		expect(trainingStart(shared, 'Pacific/Kiritimati', hour)).toBe(shared.opens);
		expect(trainingStart(shared, 'Pacific/Kiritimati', hour - 1)).toBe(shared.due - 60_000);
	});

	it('begins after a gap that swallows the hour', () => {
		const early = dueWindow(2, { zone: 'Europe/Oslo', shiftDays: 0 }, { ...POLICY, opensAt: 60 });
		// On 29 March 2026 the clocks of Oslo go from 02:00 to 03:00.
		expect(iso(trainingStart(early, 'Europe/Oslo', 150))).toBe('2026-03-29T01:00:00.000Z');
	});
});

describe('offsetsOf', () => {
	it('finds both changes of a year', () => {
		const { first, changes } = offsetsOf('Europe/Oslo', at('2026-01-01T00:00Z'), at('2026-12-31T00:00Z'));
		expect(first).toBe(3600);
		expect(changes).toEqual([
			{ at: at('2026-03-29T01:00Z'), before: 3600, after: 7200 },
			{ at: at('2026-10-25T01:00Z'), before: 7200, after: 3600 }
		]);
	});

	it('counts a change at the very end of the span, and none after it', () => {
		const change = at('2026-03-29T01:00Z');
		expect(offsetsOf('Europe/Oslo', at('2026-01-01T00:00Z'), change).changes).toHaveLength(1);
		expect(offsetsOf('Europe/Oslo', at('2026-01-01T00:00Z'), change - 1).changes).toEqual([]);
	});

	it('knows half hours and zones that never change', () => {
		expect(
			offsetsOf('Australia/Lord_Howe', at('2026-03-01T00:00Z'), at('2026-06-01T00:00Z')).changes
		).toEqual([{ at: at('2026-04-04T15:00Z'), before: 39600, after: 37800 }]);
		expect(offsetsOf('Asia/Kathmandu', at('2026-01-01T00:00Z'), at('2027-01-01T00:00Z'))).toEqual({
			first: 20700,
			changes: []
		});
	});
});
