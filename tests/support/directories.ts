import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll } from 'vitest';

/** A data directory with an empty, migrated database. */
export const PREPARED = join(process.cwd(), '.cache', 'prepared');
/** The same as the engine dumps it, for databases in memory. */
export const DUMP = `${PREPARED}.tar`;

/** A folder of this test file's own, which is gone at its end. @param name what it is for */
export function ownFolder(name: string): string {
	const folder = mkdtempSync(join(tmpdir(), `cadrex-${name}-`));
	afterAll(() => rmSync(folder, { recursive: true, force: true, maxRetries: 5 }));
	return folder;
}

/** Makes `path` a data directory with an empty, migrated database: a first start takes ten times as long. */
export function dataDirectory(path: string): string {
	cpSync(PREPARED, path, { recursive: true });
	return path;
}
