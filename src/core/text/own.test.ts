import { describe, expect, it } from 'vitest';
import { levelNamed } from '../people/levels';
import { countryNamed } from '../people/country-zones';
import { ownOf } from './own';

const WORDS = ['constructor', 'valueOf', 'toString', 'hasOwnProperty', '__proto__'];

describe('words that every object has', () => {
	it.each(WORDS)('%s is a word like others', (word) => {
		expect(ownOf({ a: 1 }, word)).toBeUndefined();
		expect(levelNamed(word)).toBeNull();
		expect(countryNamed(word)).toBeNull();
	});
	it('a word that is there is found', () => {
		expect(ownOf<number>({ constructor: 1 }, 'constructor')).toBe(1);
	});
});
