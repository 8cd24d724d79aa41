import { expect, it } from 'vitest';
import { wellWords } from './well-words';

it('says how somebody is in sentences, and nothing where nothing was said', () => {
	expect(wellWords({})).toBe('');
	expect(wellWords({ mood: 3, soreness: {}, waterLitres: null, fuelMet: null, win: null })).toBe('');
	expect(wellWords({ soreness: { calves: 2 }, waterLitres: 0, fuelMet: false, win: 'Ten press-ups.' })).toBe(
		'Win: “Ten press-ups.” Sore: calves (clearly). Water 0 l. Did not eat as planned.'
	);
	expect(wellWords({ fuelMet: true })).toBe('Ate as planned.');
});
