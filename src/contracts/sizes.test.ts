import { describe, expect, it } from 'vitest';
import { array, lazy, number, object, string } from 'yup';
import { checkinSchema } from './check-in';
import { planSchema } from './plan';
import { MOST_FAULTS, readAs } from './read';
import { sessionSchema } from './session';
import { SIZES, sizeFault } from './sizes';

const many = <T>(count: number, of: T): T[] => Array.from({ length: count }, () => of);

describe('what is far larger than its contract takes', () => {
	const schema = object({
		name: string().max(5),
		list: array(object({ tags: array(string()).length(2) })).max(3),
		either: lazy((value: unknown) => (typeof value === 'string' ? string().max(2) : number())),
		bare: string(),
		published: array(number()).meta({ json: { maxItems: 4 } })
	});

	it.each([
		[{ name: 'x'.repeat(306) }, 'name', 'has 306 letters; 5 are taken at most'],
		[{ list: many(204, {}) }, 'list', 'has 204 entries; 3 are taken at most'],
		[{ list: [{}, { tags: many(203, 'a') }] }, 'list[1].tags', 'has 203 entries; 2 are taken at most'],
		[{ either: 'x'.repeat(303) }, 'either', 'has 303 letters; 2 are taken at most'],
		[{ bare: 'x'.repeat(100_301) }, 'bare', 'has 100,301 letters; 100,000 are taken at most'],
		[{ published: many(205, 1) }, 'published', 'has 205 entries; 4 are taken at most'],
		[
			Object.fromEntries(many(201, 0).map((_, i) => [`f${i}`, 1])),
			'',
			'has more than 200 fields, or one with a name as long'
		],
		[{ ['k'.repeat(201)]: 1 }, '', 'has more than 200 fields, or one with a name as long']
	])('is named by its place, and not repeated: %#', (value, field, message) => {
		expect(sizeFault(schema, value)).toEqual({ field, message });
	});

	it('is not what is a little too large: the contract says that in its own words; nor spaces that are taken off, nor what no contract speaks of', () => {
		const close = {
			name: 'x'.repeat(305),
			list: many(203, { tags: many(202, 'a') }),
			either: 'x'.repeat(302),
			published: many(204, 1)
		};
		expect(sizeFault(schema, close)).toBeNull();
		expect(sizeFault(schema, { name: `  1${' '.repeat(900)}` })).toBeNull();
		expect(sizeFault(schema, { either: 7, other: 'x'.repeat(100) })).toBeNull();
		expect(sizeFault(undefined, 'x')).toBeNull();
	});

	it('is of another make: a list in the place of a text, a text in that of a list', () => {
		expect(sizeFault(schema, { name: ['a'] })).toEqual({
			field: 'name',
			message: 'is a text, no list and no object'
		});
		expect(sizeFault(schema, { name: {} })?.field).toBe('name');
		expect(sizeFault(schema, { list: '[{"tags":["a","b"]}]' })).toEqual({
			field: 'list',
			message: 'is a list'
		});
		expect(sizeFault(schema, { list: ['{}'] })).toEqual({ field: 'list[0]', message: 'is an object' });
		expect(sizeFault(schema, '{"name":"a"}')).toEqual({ field: '', message: 'is an object' });
		expect(sizeFault(schema, [])).toEqual({ field: '', message: 'is an object' });
		// A number in the place of a text is one that was typed without quotes.
		expect(sizeFault(schema, { name: 5, list: null })).toBeNull();
	});

	it('may be nested only so deep', () => {
		const loop: { next: object } = { next: {} };
		loop.next = loop;
		const endless: object = lazy(() => object({ next: endless as never }));
		expect(sizeFault(endless, loop)?.message).toBe(`has more than ${SIZES.deep} levels, one within another`);
	});
});

describe('what is read', () => {
	it('has its faults told, fifty at most', () => {
		const read = readAs(checkinSchema, { sets: many(2000, {}) });
		expect(read.faults).toHaveLength(MOST_FAULTS);
		const few = readAs(checkinSchema, { id: 'x', day: 99, done: 'most' });
		expect(few.faults?.map(({ field }) => field).sort()).toEqual(['day', 'done', 'id']);
	});

	it.each([
		['a check-in', checkinSchema, { sets: many(100_000, {}) }, 'sets'],
		['a plan', planSchema, { days: many(100_000, {}) }, 'days'],
		['a session', sessionSchema, { blocks: many(100_000, {}) }, 'blocks'],
		[
			'a session with a block of many exercises',
			sessionSchema,
			{ blocks: [{ format: 'straight', parts: many(100_000, {}) }] },
			'blocks[0].parts'
		]
	])('%s: counted before it is looked into', (_, schema, input, field) => {
		const began = performance.now();
		const { faults } = readAs(schema as never, input);
		expect(faults).toEqual([expect.objectContaining({ field })]);
		// Looking into all of it takes seconds.
		expect(performance.now() - began).toBeLessThan(200);
	});
});
