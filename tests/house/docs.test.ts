import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/** A path of ours in a document: between backticks, from one of these folders. */
const PATH = /`((?:src|lib|server|core|contracts|platform|features|tests|docs|scripts)\/[\w./-]+)`/g;
/** The folders that a document may leave out in front of a path. */
const ROOTS = ['', 'src/', 'src/lib/', 'src/lib/server/'];

const missingPaths = (text: string): string[] =>
	[...text.matchAll(PATH)]
		.map(([, path]) => path!)
		.filter((path) => !ROOTS.some((root) => existsSync(root + path)));

const documents = readdirSync('docs')
	.filter((name) => name.endsWith('.md'))
	.map((name) => `docs/${name}`);

describe('documents', () => {
	// Decisions record the paths of their time.
	it.each(['README.md', 'CONTRIBUTING.md', ...documents])('%s names only paths that exist', (file) =>
		expect(missingPaths(readFileSync(file, 'utf8'))).toEqual([])
	);

	it('a path that does not exist is reported', () =>
		expect(missingPaths('see `core/day/` and `core/nowhere/x.ts`')).toEqual(['core/nowhere/x.ts']));
});
