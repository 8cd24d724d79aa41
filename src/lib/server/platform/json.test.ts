import { expect, it } from 'vitest';
import { parseJson } from './json';

it('reads what JSON.parse reads, and refuses a field with the name of something inherited', () => {
	expect(parseJson('{"a":[1,{"b":null}]}')).toEqual({ a: [1, { b: null }] });
	for (const hostile of [
		'{"__proto__":0}',
		'{"a":{"__proto__":{"admin":true}}}',
		'[{"__proto__":[]}]',
		'{"valueOf":null}'
	])
		expect(() => parseJson(hostile)).toThrow(SyntaxError);
	expect(() => parseJson('{')).toThrow(SyntaxError);
	expect(({} as { admin?: boolean }).admin).toBeUndefined();
});
