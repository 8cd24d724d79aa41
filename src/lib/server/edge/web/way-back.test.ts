import { expect, it } from 'vitest';
import { wayBack } from './way-back';

const HERE = 'https://hut.example';
const back = (text: unknown) => wayBack(text, HERE, '/challenges');

it('leads to pages of ours', () => {
	expect(back('/c/0b5f/roll?sort=name')).toBe('/c/0b5f/roll?sort=name');
	expect(back('/account')).toBe('/account');
	expect(back('/me/day/3')).toBe('/me/day/3');
});

it.each([
	'//elsewhere.example',
	'/\t/elsewhere.example',
	'/\n/elsewhere.example',
	'/\\elsewhere.example',
	'\\\\elsewhere.example',
	'https://elsewhere.example/c/1',
	'javascript:alert(1)',
	'/\t\\elsewhere.example/c/1',
	'/api/demo/clock',
	'/sign-in?then=/c',
	'/cx',
	'//hut.example@elsewhere.example/c/',
	'/c/../../sign-in',
	'',
	null,
	7
])('leads nowhere else: %j', (text) => expect(back(text)).toBe('/challenges'));
