/** All files beside the database, and whether rows and files agree. */
import { DAY_MS } from '$core/calendar';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { PICTURE_FILES } from '../../people/body/pictures';
import { DOCUMENT_FILES } from '../../people/health/documents';
import { FORM_FILES } from '../../contact/messages/form-checks';
import type { Config } from '../../platform/config';
import { realClock } from '../../platform/clock';
import type { Context } from '../../platform/context';
import type { Job } from '../../platform/jobs';
import { SENT } from '../../platform/sent-file';
import { ageOf, anyKind, compareFiles, type AnyFileKind, type Comparison } from '../../platform/row-files';

export const FILE_KINDS: readonly AnyFileKind[] = [
	anyKind(DOCUMENT_FILES),
	anyKind(PICTURE_FILES),
	anyKind(FORM_FILES)
];

/** Files that are being sent: no row speaks of them until they are kept. */
const ON_THEIR_WAY: AnyFileKind = { folder: SENT, namesIn: () => Promise.resolve([]) };

type Sweeping = Pick<Context, 'db'> & { config: Pick<Config, 'dataDirectory'> };

/** A file that no row speaks of is let be for this long: one that is being sent has no row yet. Milliseconds. */
const LET_BE = DAY_MS;

/**
 * Removes files that no row has spoken of for a day, and those that were never written to their end.
 * @param now epoch milliseconds of the real clock, which files are dated by
 * @returns what it found; `unspoken` are those that it removed
 */
export async function sweepFiles(
	{ db, config }: Sweeping,
	now: number = realClock.now()
): Promise<Comparison> {
	const found = await compareFiles(db, config.dataDirectory, [...FILE_KINDS, ON_THEIR_WAY]);
	const removed: string[] = [];
	for (const path of found.unspoken) {
		const whole = join(config.dataDirectory, path);
		const age = await ageOf(whole, now);
		if (age === null || age < LET_BE) continue;
		await rm(whole, { force: true });
		removed.push(path);
	}
	return { ...found, unspoken: removed };
}

export const sweepJob = (context: Sweeping & { log: Pick<Logger, 'info' | 'error'> }): Job<object> => ({
	name: 'sweep-files',
	what: 'Removes files that no row speaks of, and reports rows without their file',
	every: '29 3 * * *',
	run: async () => {
		const { missing, unspoken } = await sweepFiles(context);
		if (unspoken.length > 0) context.log.info({ files: unspoken.length }, 'files without a row were removed');
		if (missing.length > 0) context.log.error({ files: missing }, 'rows have no file');
	}
});
