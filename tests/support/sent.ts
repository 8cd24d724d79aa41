import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { asSent, type SentFile } from '$lib/server/platform/sent-file';

/** Content as a file that somebody sent, for as long as the work takes; nothing at all is no file. */
export const sent = <T>(
	content: Uint8Array,
	work: (file: SentFile | null) => Promise<T>,
	name = 'file'
): Promise<T> =>
	content.length === 0 ? work(null) : asSent(join(tmpdir(), 'cadrex-sent'), name, content, work);

/** What is in a file that is read. */
export const bytesOf = async (content: Blob): Promise<Buffer> => Buffer.from(await content.arrayBuffer());
