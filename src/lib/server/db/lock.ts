import { mkdir } from 'node:fs/promises';
import { hostname } from 'node:os';
import { join } from 'node:path';
import lockfile from 'proper-lockfile';
import { object, number, string } from 'yup';
import { filesIn, type Files } from '../platform/files';

/** A directory is in use by another process; the sentence says by whom. */
export class DirectoryInUse extends Error {
	override name = 'DirectoryInUse';
}

const holderSchema = object({
	pid: number().integer().required(),
	host: string().required(),
	since: string().required()
});
const HOLDER = 'holder.json';

/** Who wrote down last that the directory is theirs; null when nobody did, or not in a way that can be read. */
async function holderOf(files: Files) {
	try {
		return holderSchema.validateSync(JSON.parse(String(await files.read(HOLDER))));
	} catch {
		return null;
	}
}

/**
 * Takes a data directory for this process alone: a second writer would lose what it acknowledged.
 *
 * The lock is a directory that its owner touches every two seconds. One whose recorded owner no longer runs is
 * waited for until it is five seconds old and then taken over; one whose owner runs has a minute, since a long
 * query may keep the owner from touching it.
 *
 * @returns gives the directory back
 * @throws DirectoryInUse
 */
export async function lockDirectory(directory: string): Promise<() => Promise<void>> {
	await mkdir(directory, { recursive: true });
	const files = filesIn(directory);
	try {
		const gone = await ownerIsGone(files);
		const release = await lockfile.lock(directory, {
			stale: gone ? 5000 : 60_000,
			update: 2000,
			retries: gone ? { retries: 16, minTimeout: 500, maxTimeout: 500 } : 0,
			lockfilePath: join(directory, 'in-use.lock'),
			// Raised when this process stood still for longer than its own limit. Nobody takes the directory from a
			// running process before a minute, so it is still ours; ending here would only lose the work at hand.
			onCompromised: () => undefined
		});
		const holder = { pid: process.pid, host: hostname(), since: new Date().toISOString() };
		await files.write(HOLDER, JSON.stringify(holder));
		return release;
	} catch (error) {
		if ((error as { code?: string }).code !== 'ELOCKED') throw error;
		const holder = await holderOf(files);
		const who = holder ? `process ${holder.pid} on ${holder.host}, since ${holder.since}` : 'another process';
		throw new DirectoryInUse(
			`The data directory ${directory} is in use by ${who}. ` +
				'Stop that one first, or give this one another directory with CADREX_DATA.'
		);
	}
}

/** Whether the recorded holder was a process of this machine that no longer runs. */
async function ownerIsGone(files: Files): Promise<boolean> {
	const holder = await holderOf(files);
	if (holder?.host !== hostname()) return false;
	try {
		process.kill(holder.pid, 0);
		return holder.pid === process.pid;
	} catch (error) {
		return (error as { code?: string }).code === 'ESRCH';
	}
}
