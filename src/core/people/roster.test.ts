import { describe, expect, it } from 'vitest';
import { isZone } from '../calendar';
import { nearest } from '../text/nearest';
import { levelNamed } from './levels';
import { zonesMeant } from './towns';
import { checkRoster, isHeadings, matchByContent, matchColumns } from './roster';

const ZONES = ['Europe/Oslo', 'Europe/Lisbon', 'Asia/Seoul', 'America/Bogota'];
const about = {
	headings: ['name', 'email', 'zone', 'level', 'equipment', 'country', 'note'],
	zones: ZONES,
	isZone: (zone: string) => ZONES.includes(zone),
	enrolled: new Set(['maarit@example.org'])
};
const match = { name: 0, email: 1, zone: 2, level: 3, equipment: 4, country: 5 };
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
			email: 1,
			zone: 0,
			level: 4,
			equipment: 3,
			country: null
		});
	});

	it('prefers a heading that is one of ours to one that only holds it', () => {
		expect(matchColumns(['Mail list', 'mail', 'time  zone', 'My_Level', 'level', 'Name'])).toEqual({
			name: 5,
			email: 1,
			zone: 2,
			level: 4,
			equipment: null,
			country: null
		});
		// The first column may be the exact one, and what is taken is not taken again.
		expect(matchColumns(['mail', 'email address', 'participant'])).toMatchObject({ email: 0, name: 2 });
		expect(matchColumns(['Time__Zone'])).toMatchObject({ zone: 0 });
		expect(matchColumns(['zone level', 'level'])).toMatchObject({ zone: 0, level: 1 });
	});

	it('takes no column twice and leaves the unknown open', () => {
		expect(matchColumns(['email name', 'foo'])).toEqual({
			name: null,
			email: 0,
			zone: null,
			level: null,
			equipment: null,
			country: null
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
			email: 'oren@example.org',
			zone: 'Europe/Lisbon',
			level: 'trained',
			kit: [
				{ kind: 'item', item: 'mat', count: 1 },
				{ kind: 'dumbbell', kg: 12, count: 2 }
			],
			unread: []
		});
	});

	it('takes a town that can mean one zone only, and says so', () => {
		const [line] = check(['Bao', 'bao@example.org', 'Lisbon']);
		expect(line).toMatchObject({
			row: { zone: 'Europe/Lisbon' },
			taken: ['“Lisbon” taken as Europe/Lisbon', 'no level given: beginner assumed']
		});
		expect(check(['Bao', 'bao@example.org', 'Europe/Lisbon', 'trained'])[0]).not.toHaveProperty('taken');
	});

	it('offers what would be right of a zone and of a level', () => {
		const [line] = check(['Bao', 'bao@example.org', 'Europe/Olso', 'traned']);
		expect(line?.faults.map(({ suggestion }) => suggestion)).toEqual(['Europe/Oslo', 'trained']);
		expect(check(['', 'bao@example.org', 'Asia/Seoul'])[0]?.faults).toMatchObject([{ suggestion: null }]);
	});

	it('takes a missing level for a beginner', () => {
		expect(check(['Bao', 'bao@example.org', 'Asia/Seoul'])[0]?.row?.level).toBe('beginner');
	});

	it.each([
		[['', 'a@b.org', 'Asia/Seoul'], 'name is missing'],
		[['Bao', 'bao at example', 'Asia/Seoul'], 'not an email address'],
		[['Bao', 'maarit@example.org', 'Asia/Seoul'], 'enrolled already'],
		[['Bao', 'b@c.org', 'Mars/Base'], '“Mars/Base” isn’t a time zone; one looks like Europe/Oslo'],
		[['Bao', 'b@c.org', 'Europe/Olso'], 'did you mean Europe/Oslo?'],
		[['Bao', 'b@c.org', ''], 'time zone is missing'],
		[['Bao', 'b@c.org', 'Asia/Seoul', 'superb'], 'not a level'],
		[['x'.repeat(81), 'b@c.org', 'Asia/Seoul'], 'at most 80 letters'],
		[['Bao', `${'b'.repeat(247)}@c.org.uk`, 'Asia/Seoul'], 'not an email address'],
		[['Bao', 'Bao <b@c.org', 'Asia/Seoul'], 'not an email address'],
		[['Bao', 'b@c.org, d@e.org', 'Asia/Seoul'], 'not an email address'],
		[['Bao', 'b@c.org', 'Asia/Seoul', '', 'mat;'.repeat(31)], '31 things; at most 30 are kept'],
		[['Bao', 'b@c.org', 'Asia/Seoul', '', `mat;${'anvil;'.repeat(30)}`], '31 things; at most 30 are kept']
	])('%o: %s', (row, message) => {
		expect(says(row)).toContain(message);
	});

	it('takes what is as long as may be', () => {
		const email = `${'b'.repeat(246)}@c.org.uk`.slice(0, 254);
		expect(email).toHaveLength(254);
		expect(says(['x'.repeat(80), email, 'Asia/Seoul', '', 'mat;'.repeat(30)])).toBe('');
		const kept = check(['Bao', 'b@c.org', ' Asia/Seoul ', ' NEW ', 'mat; anvil'])[0];
		expect(kept?.row).toMatchObject({ zone: 'Asia/Seoul', level: 'beginner', unread: ['anvil'] });
		expect(kept?.faults).toEqual([]);
	});

	it('does not give back more of a cell than one can look at', () => {
		const long = 'z'.repeat(500);
		const faults = check(['Bao', long, long, long])[0]?.faults ?? [];
		expect(faults.map(({ field }) => field)).toEqual(['email', 'zone', 'level']);
		for (const { value, message } of faults) {
			expect(value).toBe('z'.repeat(254));
			expect(message).toContain(`“${'z'.repeat(60)}”`);
		}
	});

	it('takes a zone with blanks in it, and leaves a column that is not there empty', () => {
		const zones = { ...about, isZone: (zone: string) => zone === 'America/New_York' };
		const line = (zone: string) =>
			checkRoster(
				[{ line: 2, cells: ['Bao', 'b@c.org', zone] }],
				{ ...match, level: null, equipment: null, country: null },
				zones
			)[0];
		expect(line('America/New   York')?.row).toMatchObject({ zone: 'America/New_York', kit: [], unread: [] });
	});

	it.each([
		['1. Oren', 'Oren'],
		['12) Bao Trinh', 'Bao Trinh'],
		['(3) Noor', 'Noor'],
		['- Maarit', 'Maarit'],
		['• Rui', 'Rui'],
		['7 Jiho', 'Jiho'],
		['Anne-Lise', 'Anne-Lise'],
		['O’Neal', 'O’Neal']
	])('takes the number or bullet off a name: %s', (cell, name) => {
		expect(check([cell, '', 'Asia/Seoul'])[0]?.row?.name).toBe(name);
	});

	it.each(['CST', 'IST', 'est', 'BST', 'CEST', 'PST8PDT', 'MSK'])(
		'never takes an abbreviation for a zone: %s',
		(zone) => {
			const all = { ...about, isZone: () => true };
			const [line] = checkRoster([{ line: 2, cells: ['Bao', '', zone] }], match, all);
			expect(line?.row).toBeNull();
			expect(line?.faults[0]?.message).toContain('stands for several time zones');
		}
	);

	it('asks about a place that there is more than once, and lets a country decide', () => {
		const zones = [
			...ZONES,
			'Europe/Madrid',
			'America/Argentina/Cordoba',
			'Pacific/Auckland',
			'Pacific/Chatham'
		];
		const of = (zone: string, country: string) =>
			checkRoster([{ line: 2, cells: ['Bao', '', zone, 'trained', '', country] }], match, {
				...about,
				zones,
				isZone: (one: string) => zones.includes(one)
			})[0];
		expect(of('Córdoba', '')?.faults[0]?.message).toMatch(/may be .*Cordoba.*Europe\/Madrid; which one\?/);
		expect(of('Cordoba', 'Spain')?.row?.zone).toBe('Europe/Madrid');
		expect(of('Cordoba', 'AR')?.row?.zone).toBe('America/Argentina/Cordoba');
		// A country of one zone needs no town; one of several is asked about.
		expect(of('', 'Norway')?.row?.zone).toBe('Europe/Oslo');
		expect(of('Tromsø', 'norway')?.row?.zone).toBe('Europe/Oslo');
		expect(of('', 'New Zealand')?.faults[0]?.message).toContain(
			'Pacific/Auckland or Pacific/Chatham; which one?'
		);
	});

	it.each([
		// The far larger town of a name is meant; of two large ones neither.
		['London', '', 'Europe/London'],
		['London', 'Canada', 'America/Toronto'],
		['Vancouver', '', null],
		['San José', '', null],
		['San José', 'Costa Rica', 'America/Costa_Rica'],
		// Towns that give no zone its name.
		['Bergen', '', 'Europe/Oslo'],
		['Seattle', '', 'America/Los_Angeles'],
		['Bengaluru', '', 'Asia/Kolkata'],
		// What follows a comma: a part of a country, then a country, never a code that no such town has.
		['Portland, Oregon', '', 'America/Los_Angeles'],
		['Portland, ME', '', 'America/New_York'],
		['Springfield, IL', '', 'America/Chicago'],
		['Atlanta, Georgia', '', 'America/New_York'],
		['Tbilisi, Georgia', '', 'Asia/Tbilisi'],
		['Oslo (Norway)', '', 'Europe/Oslo'],
		['Paris, Texas', '', null],
		['Smallville, CA', '', null],
		['Smallville, Norway', '', 'Europe/Oslo']
	])('the town %j with the country %j is %s', (town, country, zone) => {
		const [line] = checkRoster([{ line: 2, cells: ['Bao', '', town, 'trained', '', country] }], match, {
			...about,
			zones: Intl.supportedValuesOf('timeZone'),
			isZone
		});
		expect(line?.row?.zone ?? null).toBe(zone);
	});

	it('takes none of two towns whose size is not known', () => {
		const town = (zone: string) => ({ country: 'XX', zone, regions: [], people: 0 });
		expect(zonesMeant([town('Europe/Oslo'), town('Asia/Seoul')])).toHaveLength(2);
		expect(zonesMeant([town('Europe/Oslo')])).toEqual(['Europe/Oslo']);
	});

	it('takes headings by their words', () => {
		expect(matchColumns(['Name', 'Ethnicity', 'City of residence', 'Landline', 'Country']).zone).toBe(2);
		expect(matchColumns(['Name', 'Ethnicity', 'Landline'])).toMatchObject({ zone: null, country: null });
	});

	it('keeps what no field is taken from as a note, and marks what is about health', () => {
		const of = (note: string) =>
			checkRoster([{ line: 2, cells: ['Bao', '', 'Asia/Seoul', 'new', '', '', note] }], match, about)[0];
		expect(of('breastfeeding')).toMatchObject({ row: { note: 'note: breastfeeding', isHealth: true } });
		expect(of('high blood pressure')?.row?.isHealth).toBe(true);
		expect(of('plays the cello')?.row).toMatchObject({ note: 'note: plays the cello', isHealth: false });
		expect(of('')?.row).not.toHaveProperty('note');
		const bare = checkRoster(
			[{ line: 1, cells: ['Bao', '', 'Asia/Seoul', 'new', '', '', 'bad knee'] }],
			match,
			{
				...about,
				headings: []
			}
		)[0];
		expect(bare?.row).toMatchObject({ note: 'bad knee', isHealth: true });
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

describe('a list without headings', () => {
	it.each([
		[['Name', 'Email', 'Time zone'], true],
		[['Participant', 'City'], true],
		[['Oren Falkestad', 'oren@example.org', 'Europe/Oslo'], false],
		[['Oren Falkestad', 'Lisbon', 'trained'], false],
		[['Oren Falkestad', 'knee'], false],
		[['name', 'oren@example.org'], false]
	])('%o is headings: %s', (cells, is) => {
		expect(isHeadings(cells, about)).toBe(is);
	});
	it('finds its columns by what is in them', () => {
		const rows = [
			['1', 'Oren', 'Lisbon', 'trained', 'oren@example.org', 'mat'],
			['2', 'Bao', 'Seoul', 'new', 'bao@example.org', 'pair of dumbbells 8 kg']
		];
		expect(matchByContent(rows, about)).toEqual({
			name: 1,
			email: 4,
			zone: 2,
			level: 3,
			equipment: 5,
			country: null
		});
	});
});

describe('a list without headings that gives towns', () => {
	const world = { ...about, zones: Intl.supportedValuesOf('timeZone'), isZone };
	it.each<[string, string[][], Partial<ReturnType<typeof matchByContent>>]>([
		[
			'that have no zone of their own',
			[
				['Tove Ranvik', 'tove@example.org', 'Bergen'],
				['Wanda Qi', 'wanda@example.org', 'Portland'],
				['Ossian Lund', '', 'CST']
			],
			{ name: 0, email: 1, zone: 2 }
		],
		[
			'and people who are called like towns',
			[
				['Florence', 'Bergen'],
				['Sydney', 'Graz'],
				['Paris', 'Leeds']
			],
			{ name: 0, zone: 1 }
		],
		['and nobody but them', [['Florence'], ['Sydney']], { name: 0, zone: null }],
		[
			'beside countries',
			[
				['Tove Ranvik', 'Norway', 'Tromsø'],
				['Wanda Qi', 'Cuba', 'Camagüey']
			],
			{ name: 0, country: 1, zone: 2 }
		],
		[
			'and countries alone',
			[
				['Tove Ranvik', 'Norway'],
				['Wanda Qi', 'Cuba']
			],
			{ name: 0, country: 1, zone: null }
		],
		[
			'behind numbers, with words of every kind',
			[
				['1', 'Tove Ranvik', 'new', 'Bodø', 'likes mornings'],
				['2', 'Wanda Qi', 'trained', 'Leeds', 'knee']
			],
			{ name: 1, level: 2, zone: 3 }
		]
	])('%s', (_, rows, wanted) => {
		expect(matchByContent(rows, world)).toMatchObject(wanted);
	});
});

describe('nearest', () => {
	it('compares nothing that is too long or too short to be near', () => {
		expect(nearest('abcdef', ['abcd', 'abcdefgh'])).toBe('abcd');
		expect(nearest('abcdef', ['abc', 'abcdefghi'])).toBeNull();
		const began = performance.now();
		for (let i = 0; i < 100; i++) nearest('x'.repeat(20_000), Array(400).fill('Europe/Oslo') as string[]);
		expect(performance.now() - began).toBeLessThan(500);
	});
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
