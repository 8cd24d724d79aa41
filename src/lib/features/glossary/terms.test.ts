import { describe, expect, it } from 'vitest';
import { formatNames, formatNamed } from '$core/session';
import { GLOSSARY } from './terms';

describe('the glossary', () => {
	it('is in order of the alphabet, each place once', () => {
		const terms = GLOSSARY.map(({ term }) => term);
		expect(terms).toEqual([...terms].sort((a, b) => a.localeCompare(b, 'en')));
		expect(new Set(GLOSSARY.map(({ id }) => id)).size).toBe(terms.length);
	});

	it('explains what formats are called that have a name of their own', () => {
		const plain = ['Straight sets', 'Holds', 'Rounds', 'Interval circuit'];
		const terms = GLOSSARY.map(({ term }) => term);
		for (const label of formatNames().map((name) => formatNamed(name).label))
			if (!plain.includes(label)) expect(terms, label).toContain(label);
	});

	it('says things in whole sentences', () => {
		for (const { term, means } of GLOSSARY) expect(means, term).toMatch(/^[A-Z].*[.)]$/);
	});
});
