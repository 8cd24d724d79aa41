import { array, object, string } from 'yup';
import { describe, expect, it } from 'vitest';
import { readAs } from './read';

const schema = object({ name: string().default('') }).shape({
	list: array(object({ a: string() })).default([])
});
/** Input as it comes: a name that an object has by itself is a field like any other. */
const read = (text: string) => readAs(schema, JSON.parse(text));

describe('input from outside', () => {
	it('is read by its contract', () => {
		expect(read('{"name":"a","list":[{"a":"b"}]}')).toEqual({
			value: { name: 'a', list: [{ a: 'b' }] },
			faults: null
		});
	});

	it('is refused where a field is called like something that every object has, at any depth', () => {
		for (const name of ['__proto__', 'constructor', 'toString', 'hasOwnProperty'])
			for (const text of [`{"${name}":"x"}`, `{"list":[{"a":"b"},{"${name}":{}}]}`])
				expect(read(text).faults).toEqual([{ field: name, message: `there is no field called ${name}` }]);
		const form = new FormData();
		form.set('__proto__', 'x');
		expect(readAs(schema, Object.fromEntries(form)).faults).toMatchObject([{ field: '__proto__' }]);
	});
});
