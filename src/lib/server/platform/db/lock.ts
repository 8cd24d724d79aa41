import { closeSync, fstatSync, openSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { hostname } from 'node:os';
import { join } from 'node:path';
import lockfile from 'proper-lockfile';
import { object, number, string } from 'yup';
import { CannotStart } from '../cannot-start';
import { filesIn, type Files } from '../files';

/** A directory is in use by another process; the sentence says by whom. */
export class DirectoryInUse extends CannotStart {
	override name = 'DirectoryInUse';
}

/** A data directory that is this process's, as long as it holds on to it. */
export interface DirectoryLock {
	/** Whether nobody has taken the directory meanwhile; looks at the disk each time. */
	isOurs(): boolean;
	release(): Promise<void>;
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

/** Milliseconds without a touch after which a lock may be taken over. */
const STALE = { ownerGone: 5000, ownerRuns: 60_000 };

/**
 * Takes a data directory for this process alone: a second writer would lose what it acknowledged.
 *
 * The lock is a directory that its owner touches every two seconds. One whose recorded owner no longer runs is
 * waited for until it is five seconds old and then taken over; one whose owner runs has a minute, since a long
 * query may keep the owner from touching it. An owner that stood still for longer (a machine put to sleep) and wakes
 * finds another name in the directory, or its own and goes on.
 *
 * @param lost called when another process has taken the directory; the next write would be on its files
 * @throws DirectoryInUse
 */
export async function lockDirectory(directory: string, lost: () => void): Promise<DirectoryLock> {
	await mkdir(directory, { recursive: true });
	const files = filesIn(directory);
	const mine = { pid: process.pid, host: hostname(), since: new Date().toISOString() };
	/**
	 * Our name in the directory, kept open: whoever takes the directory puts another file in its place, and then this one
	 * has no name any more. Asked of the open file, the answer needs no other and cannot fail for want of one.
	 */
	let held: number | null = null;
	const isOurs = (): boolean => held === null || fstatSync(held).nlink > 0;
	const take = (gone: boolean): Promise<() => Promise<void>> =>
		lockfile.lock(directory, {
			stale: gone ? STALE.ownerGone : STALE.ownerRuns,
			update: 2000,
			retries: gone ? { retries: 16, minTimeout: 500, maxTimeout: 500 } : 0,
			lockfilePath: join(directory, 'in-use.lock'),
			onCompromised: () => void takeAgain()
		});
	let release: () => Promise<void>;
	/** Raised when this process stood still for longer than its own limit, or somebody else touched the lock. */
	async function takeAgain(): Promise<void> {
		try {
			if (isOurs()) release = await take(false);
			else lost();
		} catch {
			lost();
		}
	}
	try {
		release = await take(await ownerIsGone(files));
		await files.write(HOLDER, JSON.stringify(mine));
		const name = openSync(join(directory, HOLDER), 'r');
		held = name;
		return {
			isOurs,
			async release() {
				held = null;
				closeSync(name);
				await release();
			}
		};
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
