import { describe, expect, it } from 'vitest';
import { nearest } from '../text/nearest';
import { levelNamed } from './levels';
import { checkRoster, matchColumns } from './roster';

const ZONES = ['Europe/Oslo', 'Europe/Lisbon', 'Asia/Seoul', 'America/Bogota'];
const about = {
	zones: ZONES,
	isZone: (zone: string) => ZONES.includes(zone),
	enrolled: new Set(['maarit@example.org'])
};
const match = { name: 0, mail: 1, zone: 2, level: 3, equipment: 4 };
const check = (...rows: string[][]) =>
	checkRoster(
		rows.map((cells, i) => ({ line: i + 2, cells })),
		match,
		about
	);
const says = (row: string[]) =>
	check(row)[0]
		?.faults.map((fault) => fault.message)
		.join('; ') ?? '';

describe('matchColumns', () => {
	it('finds the columns by their headings, whatever the order and case', () => {
		expect(matchColumns(['Time Zone', 'E-Mail', 'Full name', 'Kit', 'LEVEL'])).toEqual({
			name: 2,
			mail: 1,
			zone: 0,
			level: 4,
			equipment: 3
		});
	});

	it('takes no column twice and leaves the unknown open', () => {
		expect(matchColumns(['email name', 'foo'])).toEqual({
			name: null,
			mail: 0,
			zone: null,
			level: null,
			equipment: null
		});
	});
});

describe('checkRoster', () => {
	it('takes a good line as it is meant', () => {
		expect(
			check([
				' Oren Falkestad ',
				'Oren@Example.org',
				'Europe/Lisbon',
				'advanced',
				'mat; pair of dumbbells 12 kg'
			])[0]?.row
		).toEqual({
			name: 'Oren Falkestad',
			mail: 'oren@example.org',
			zone: 'Europe/Lisbon',
			level: 'trained',
			kit: [
				{ kind: 'item', item: 'mat', count: 1 },
				{ kind: 'dumbbell', kg: 12, count: 2 }
			],
			unread: []
		});
	});

	it('takes a missing level for a beginner', () => {
		expect(check(['Bao', 'bao@example.org', 'Asia/Seoul'])[0]?.row?.level).toBe('beginner');
	});

	it.each([
		[['', 'a@b.org', 'Asia/Seoul'], 'name is missing'],
		[['Bao', 'bao at example', 'Asia/Seoul'], 'not a mail address'],
		[['Bao', '', 'Asia/Seoul'], 'mail address is missing'],
		[['Bao', 'maarit@example.org', 'Asia/Seoul'], 'enrolled already'],
		[['Bao', 'b@c.org', 'Mars/Base'], 'there is no zone “Mars/Base”'],
		[['Bao', 'b@c.org', 'Europe/Olso'], 'the nearest is Europe/Oslo'],
		[['Bao', 'b@c.org', 'Lisbon'], 'the nearest is Europe/Lisbon'],
		[['Bao', 'b@c.org', ''], 'time zone is missing'],
		[['Bao', 'b@c.org', 'Asia/Seoul', 'superb'], 'not a level'],
		[['x'.repeat(81), 'b@c.org', 'Asia/Seoul'], 'at most 80 letters']
	])('%o: %s', (row, message) => {
		expect(says(row)).toContain(message);
	});

	it('names the line on which an address stood first', () => {
		const lines = check(
			['Bao', 'bao@example.org', 'Asia/Seoul'],
			['Bao Trinh', 'BAO@example.org', 'Asia/Seoul']
		);
		expect(lines[1]?.faults[0]?.message).toContain('line 2');
	});

	it('reports all faults of a line at once', () => {
		expect(check(['', 'nope', 'Mars/Base', 'superb'])[0]?.faults).toHaveLength(4);
	});
});

describe('nearest', () => {
	it('is null when nothing is near', () => {
		expect(nearest('zzzzzz', ZONES)).toBeNull();
	});
});

it('levelNamed understands the usual words', () => {
	expect(['Beginner', 'intermediate', 'ADVANCED', 'superb'].map(levelNamed)).toEqual([
		'beginner',
		'some experience',
		'trained',
		null
	]);
});
