import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** Files below a folder that are no tests, by path. */
export function sourcesBelow(folder: string, endings = /\.(ts|svelte)$/): { path: string; text: string }[] {
	return readdirSync(folder, { recursive: true, encoding: 'utf8' })
		.map((name) => join(folder, name))
		.filter((path) => endings.test(path) && !/\.test\.ts$/.test(path))
		.map((path) => ({ path, text: readFileSync(path, 'utf8') }));
}

/** Every node of a TypeScript text, the outermost first. */
export function* nodesOf(path: string, text: string): Generator<{ node: ts.Node; line: number }> {
	const file = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
	const queue: ts.Node[] = [file];
	for (let node = queue.shift(); node; node = queue.shift()) {
		yield { node, line: file.getLineAndCharacterOfPosition(node.getStart(file)).line + 1 };
		queue.push(...node.getChildren(file));
	}
}
