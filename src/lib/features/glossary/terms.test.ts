import { expect, it } from 'vitest';
import { formatNamed, formatNames } from '$core/session';
import { GLOSSARY, glossaryLink } from './terms';

it('terms stand in order, each once, with a sentence', () => {
	const names = GLOSSARY.map(({ term }) => term);
	expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b, 'en')));
	expect(new Set(GLOSSARY.map(({ id }) => id)).size).toBe(GLOSSARY.length);
	for (const { means } of GLOSSARY) expect(means).toMatch(/^[A-Z].*\.$/);
});

it('every format is explained', () => {
	expect(formatNames().filter((name) => glossaryLink(formatNamed(name).label) === null)).toEqual([]);
	expect(glossaryLink('Interval circuit')).toBe('/glossary#circuit');
	expect(glossaryLink('Anvil')).toBeNull();
});
