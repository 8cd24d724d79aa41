import { randomUUID } from 'node:crypto';
import { mkdir, open, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/** A file that somebody sent. It is on the disk for as long as it is looked into: who keeps it makes a copy. */
export interface SentFile {
	/** Where it is; its content may be changed there. */
	path: string;
	/** Bytes. */
	size: number;
	/** As whoever sent it calls it; no part of a path. */
	name: string;
}

/** The folder of such files, below the data directory. */
export const SENT = 'sent';

/** A path for a file that is being sent, in the data directory. What is found there at a start is of no use to anybody. */
export async function pathForSent(dataDirectory: string): Promise<string> {
	const directory = join(dataDirectory, SENT);
	await mkdir(directory, { recursive: true });
	return join(directory, randomUUID());
}

/** Deletes what a process that was ended left of files on their way. */
export const forgetSent = (dataDirectory: string): Promise<void> =>
	rm(join(dataDirectory, SENT), { recursive: true, force: true });

/** The first bytes of a file, by which its kind is known. */
export async function beginningOf(path: string): Promise<Uint8Array> {
	const handle = await open(path, 'r');
	try {
		const { buffer, bytesRead } = await handle.read(Buffer.alloc(16), 0, 16, 0);
		return buffer.subarray(0, bytesRead);
	} finally {
		await handle.close();
	}
}

/** Content as if it had been sent, for as long as the work takes. */
export async function asSent<T>(
	dataDirectory: string,
	name: string,
	content: Uint8Array,
	work: (file: SentFile) => Promise<T>
): Promise<T> {
	const path = await pathForSent(dataDirectory);
	await writeFile(path, content, { mode: 0o600 });
	try {
		return await work({ path, size: content.length, name });
	} finally {
		await rm(path, { force: true });
	}
}
