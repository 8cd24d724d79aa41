/** Nobody computes with another coach's library, rules or times by leaving an argument out. */
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { nodesOf, sourcesBelow } from './sources';

const PRACTICE_TYPES = /\b(Practice|Library|HouseRules|Timing)\b/;
/** What stands for “as usual”; only where it is made may it be named. */
const USUAL = new Set(['STANDARD', 'DEFAULT_HOUSE', 'DEFAULT_TIMING']);
const HOMES = /^src\/core\/(practice|exercise)\//;

/** Places of a text in which a practice may be left out. */
function gaps(path: string, text: string): string[] {
	const found: string[] = [];
	for (const { node, line } of nodesOf(path, text)) {
		const say = (what: string) => found.push(`${path}:${line} ${what}`);
		if (ts.isParameter(node) && node.type && PRACTICE_TYPES.test(node.type.getText()))
			if (node.initializer ?? node.questionToken) say(`${node.name.getText()} may be left out`);
		if (ts.isPropertySignature(node) && node.questionToken && node.type)
			if (PRACTICE_TYPES.test(node.type.getText())) say(`${node.name.getText()} may be left out`);
		if (ts.isIdentifier(node) && USUAL.has(node.text) && !HOMES.test(path)) say(`uses ${node.text}`);
	}
	return found;
}

describe('a practice', () => {
	it('is asked for by every function of the core that needs one', () => {
		const sources = sourcesBelow('src/core');
		expect(sources.length).toBeGreaterThan(80);
		expect(sources.flatMap(({ path, text }) => gaps(path, text))).toEqual([]);
	});

	it.each([
		['a default', 'function f(practice: Practice = USUAL) {}'],
		['a question mark', 'function f(library?: Library) {}'],
		['an optional field', 'interface Options { house?: HouseRules }'],
		['a default in a pattern', 'function f({ house = DEFAULT_HOUSE }: { house: unknown }) {}'],
		['the usual one within', 'const f = () => compile(STANDARD);']
	])('that could be left out by %s would be seen', (_, text) => {
		expect(gaps('src/core/session/x.ts', text)).toHaveLength(1);
	});
});
