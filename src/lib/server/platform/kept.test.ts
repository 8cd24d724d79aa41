import { beforeEach, describe, expect, it } from 'vitest';
import type { Queries } from './db/database';
import { kept } from './kept';

const someDatabase = (): Queries => ({ query: () => Promise.resolve([]), script: () => Promise.resolve() });
let database: Queries;
beforeEach(() => (database = someDatabase()));

describe('kept', () => {
	const answer = (value: number) => () => Promise.resolve(value);

	it('gives what was kept under the same revision, and nothing older', async () => {
		expect(await kept(database, 'x', 3, answer(1))).toBe(1);
		expect(await kept(database, 'x', 3, answer(2))).toBe(1);
		expect(await kept(database, 'x', 4, answer(3))).toBe(3);
	});

	it('is not set back by somebody who read the revision before', async () => {
		await kept(database, 'x', 4, answer(3));
		expect(await kept(database, 'x', 3, answer(2))).toBe(2);
		expect(await kept(database, 'x', 4, answer(5))).toBe(3);
	});

	it('keeps no failure', async () => {
		await expect(kept(database, 'x', 1, () => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
		expect(await kept(database, 'x', 1, answer(7))).toBe(7);
	});

	it('keeps each database apart', async () => {
		const second = someDatabase();
		await kept(database, 'x', 1, answer(1));
		expect(await kept(second, 'x', 1, answer(2))).toBe(2);
	});
});
