/** What may be asked of somebody is decided by data: no rule reads the name of an exercise or the text of a caution. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { demandsPage } from '$contracts/demands-page';
import { STANDARD } from '$core/exercise';
import { nodesOf, sourcesBelow } from './sources';

/** Where rules about exercises are: limits, substitutes, loads, checks. */
const FOLDERS = [
	'kit',
	'fit',
	'substitution',
	'analysis',
	'day',
	'health',
	'run',
	'people',
	'adapt',
	'plan'
].map((name) => join('src', 'core', name));
/** Reading words that people type is what these are for. */
const READERS = /read-kit|read-pain|roster|typed\//;

interface Found {
	where: string;
	what: string;
}

/** Regular expressions that are tried on a name, a cue or a caution, and names of exercises that a rule compares with. */
function rulesOnText(path: string, text: string): Found[] {
	const names = new Set(STANDARD.all.map(({ name }) => name));
	const found: Found[] = [];
	for (const { node, line } of nodesOf(path, text)) {
		const at = `${path}:${line}`;
		if (ts.isCallExpression(node) && ts.isPropertyAccessExpression(node.expression)) {
			const method = node.expression.name.text;
			const on = [node.expression.expression, ...node.arguments].map((one) => one.getText()).join(' ');
			const isPattern = ['test', 'exec', 'match', 'matchAll', 'search'].includes(method);
			const isPart = ['includes', 'startsWith', 'endsWith'].includes(method);
			if (
				isPattern &&
				/\b(name|item|exercise|cue|caution|text)\b/.test(on) &&
				/\/[^/]+\/[a-z]*|words|RegExp/.test(on)
			)
				found.push({ where: at, what: node.getText().slice(0, 80) });
			if (isPart && /\b(name|cautions?)\.(includes|startsWith|endsWith)$/.test(node.expression.getText()))
				found.push({ where: at, what: node.getText().slice(0, 80) });
		}
		if (
			ts.isBinaryExpression(node) &&
			[ts.SyntaxKind.EqualsEqualsEqualsToken, ts.SyntaxKind.ExclamationEqualsEqualsToken].includes(
				node.operatorToken.kind
			) &&
			[node.left, node.right].some((side) => ts.isStringLiteral(side) && names.has(side.text))
		)
			found.push({ where: at, what: node.getText().slice(0, 80) });
	}
	return found;
}

describe('a rule about exercises', () => {
	it('reads no name and no caution', () => {
		const found = FOLDERS.flatMap((folder) => sourcesBelow(folder, /\.ts$/))
			.filter(({ path }) => !READERS.test(path))
			.flatMap(({ path, text }) => rulesOnText(path, text))
			.map(({ where, what }) => `${where} ${what}`);
		expect(found).toEqual([]);
	});

	it('would be found if it did', () => {
		const bad = [
			'const a = (exercise) => /press/i.test(exercise.name);',
			'const b = (e) => e.cautions.some((caution) => words.test(caution));',
			'const c = (need) => /dumbbell/.test(need.item);',
			"const d = (e) => e.name === 'Squat';",
			"const e = (one) => one.name.includes('lunge');"
		];
		for (const text of bad) expect(rulesOnText('bad.ts', text), text).toHaveLength(1);
		expect(rulesOnText('good.ts', 'const a = (e) => e.demands.knee > 1;')).toEqual([]);
	});
});

it('docs/exercise-demands.md says what the data say; npm run schemas renews it', () => {
	const squeeze = (text: string) =>
		text
			.replace(/[ -]{2,}/g, ' ')
			.replace(/ \|/g, '|')
			.replace(/\| /g, '|');
	expect(squeeze(readFileSync('docs/exercise-demands.md', 'utf8'))).toBe(squeeze(demandsPage()));
});
