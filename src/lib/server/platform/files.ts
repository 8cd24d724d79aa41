import { mkdir, open, readFile, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { randomUUID } from 'node:crypto';

/** Files kept in the data directory, beside the database. Names are as in `notes/3f2a.pdf`. */
export interface Files {
	/** Writes a file whole: it is there with all of this or as it was before, whenever the power goes. */
	write(name: string, content: string | Uint8Array): Promise<void>;
	/** What is in a file; null when there is none. */
	read(name: string): Promise<Buffer | null>;
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
			const beside = `${path}.${randomUUID()}.part`;
			await mkdir(dirname(path), { recursive: true });
			try {
				const handle = await open(beside, 'w', 0o600);
				try {
					await handle.writeFile(content);
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
		async remove(name) {
			await rm(pathOf(name), { force: true });
		}
	};
}
