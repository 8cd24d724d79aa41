/** A test with a clock of its own runs in a process of its own: files before it may have left work behind, which it would wind on. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

it('is named so', () => {
	const tests = ['src', 'tests'].flatMap((folder) =>
		readdirSync(folder, { recursive: true, encoding: 'utf8' })
			.filter((path) => path.endsWith('.test.ts'))
			.map((path) => join(folder, path))
	);
	expect(tests.length).toBeGreaterThan(100);
	const windsOn = (path: string) => /\.useFakeTimers\(/.test(readFileSync(path, 'utf8'));
	expect(tests.filter((path) => windsOn(path) !== path.endsWith('.clock.test.ts'))).toEqual([]);
});
