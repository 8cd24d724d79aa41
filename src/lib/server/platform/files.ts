import { openAsBlob } from 'node:fs';
import { access, copyFile, mkdir, open, readFile, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { randomUUID } from 'node:crypto';

/** Ending of a file that is not written to its end. */
export const PART = '.part';

/** Files kept in the data directory, beside the database. Names are as in `notes/3f2a.pdf`. */
export interface Files {
	/** Writes a file whole: it is there with all of this or as it was before, whenever the power goes. */
	write(name: string, content: string | Uint8Array | { path: string }): Promise<void>;
	/** What is in a file; null when there is none. */
	read(name: string): Promise<Buffer | null>;
	/** What is in a file, read as it is asked for; null when there is none. */
	open(name: string): Promise<Blob | null>;
	/** Deletes a file; one that is not there is no fault. */
	remove(name: string): Promise<void>;
}

/** Words of letters, digits, dot and dash, none of which begins with a dot: no name leads out of the directory. */
const NAME = /^[a-z0-9][a-z0-9.-]*(\/[a-z0-9][a-z0-9.-]*)*$/i;

/** Waits until what a directory lists, or a file holds, is on the disk. */
async function settle(path: string): Promise<void> {
	const handle = await open(path, 'r');
	try {
		await handle.sync();
	} finally {
		await handle.close();
	}
}

const exists = (path: string): Promise<boolean> =>
	access(path).then(
		() => true,
		() => false
	);

/**
 * The files below a directory, which is made when the first is written.
 * @throws RangeError from each method, for a name that is none
 */
export function filesIn(directory: string): Files {
	const pathOf = (name: string): string => {
		if (!NAME.test(name)) throw new RangeError(`“${name}” is no name of a file in the data directory`);
		return join(directory, ...name.split('/'));
	};
	return {
		async write(name, content) {
			const path = pathOf(name);
			const beside = `${path}.${randomUUID()}${PART}`;
			await mkdir(dirname(path), { recursive: true });
			try {
				const isCopy = typeof content === 'object' && 'path' in content;
				if (isCopy) await copyFile(content.path, beside);
				const handle = await open(beside, isCopy ? 'r+' : 'w', 0o600);
				try {
					if (!isCopy) await handle.writeFile(content);
					await handle.sync();
				} finally {
					await handle.close();
				}
				await rename(beside, path);
			} catch (error) {
				await rm(beside, { force: true });
				throw error;
			}
			await settle(dirname(path));
		},
		async read(name) {
			try {
				return await readFile(pathOf(name));
			} catch (error) {
				if (error instanceof Error && 'code' in error && error.code === 'ENOENT') return null;
				throw error;
			}
		},
		async open(name) {
			const path = pathOf(name);
			return (await exists(path)) ? openAsBlob(path) : null;
		},
		async remove(name) {
			await rm(pathOf(name), { force: true });
		}
	};
}
