import { describe, expect, it } from 'vitest';
import { heartCsv, readHeartCsv } from './heart-file';

const T = Date.UTC(2026, 4, 13, 6, 0, 0);
const beats = [
	{ at: T, bpm: 92 },
	{ at: T + 1007, bpm: 120 }
];

describe('heart rates as a file', () => {
	it('are written as RFC 4180, and read back as they were', () => {
		expect(heartCsv(beats)).toBe(
			'time,bpm\r\n2026-05-13T06:00:00.000Z,92\r\n2026-05-13T06:00:01.007Z,120\r\n'
		);
		expect(readHeartCsv(heartCsv(beats))).toEqual({ beats, faults: [] });
		expect(heartCsv([])).toBe('time,bpm\r\n');
	});
	it('are read as another program may have written them', () => {
		const text =
			'\uFEFFBPM;"Time";cadence\n92;2026-05-13 08:00+02:00;80\n;2026-05-13T06:00:30Z;\n0;2026-05-13T06:00:31Z;\n120;2026-05-13T06:00:01.007Z;\n\n';
		expect(readHeartCsv(text)).toEqual({ beats, faults: [] });
	});
	it.each([
		['', 1, 'time and bpm'],
		['at,rate\n1,2', 1, 'time and bpm is missing'],
		['time,bpm\n', 2, 'no value'],
		['time,bpm\n2026-05-13T06:00:00Z,0', 2, 'no value'],
		['time,bpm\n2026-05-13T06:00:00Z,80\nyesterday,80', 3, '“yesterday” is no time'],
		// Without a zone nobody knows when that was.
		['time,bpm\n2026-05-13T06:00:00,80', 2, 'is no time'],
		['time,bpm\n2026-05-13T06:00:00Z,999', 2, '“999” is no rate from 20 to 260'],
		['time,bpm\n2026-05-13T06:00:00Z,fast', 2, '“fast” is no rate']
	])('are refused with the line: %j', (text, line, words) => {
		const { beats, faults } = readHeartCsv(text);
		expect(beats).toEqual([]);
		expect(faults[0]).toMatchObject({ line, message: expect.stringContaining(words) as string });
	});
	it('are so many and no more, and name ten lines at most', () => {
		const line = '\n2026-05-13T06:00:00Z,80';
		expect(readHeartCsv(`time,bpm${line.repeat(36_000)}`).beats).toHaveLength(36_000);
		expect(readHeartCsv(`time,bpm${line.repeat(36_001)}`).faults[0]?.message).toContain('36,000');
		expect(readHeartCsv(`time,bpm${'\nx,1'.repeat(50)}`).faults).toHaveLength(10);
	});
});
