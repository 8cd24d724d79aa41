import { once } from 'node:events';
import { Worker } from 'node:worker_threads';

/** One for all: to load the reader takes longer than to read. It does not keep the process from ending. */
let reader: Worker | undefined;
let before: Promise<unknown> = Promise.resolve();

async function read(pdf: Uint8Array): Promise<string> {
	if (!reader) {
		reader = new Worker(new URL('./pdf-reader.mjs', import.meta.url));
		reader.unref();
	}
	reader.ref();
	reader.postMessage(pdf);
	const [said] = (await once(reader, 'message')) as [{ text: string } | { failed: string }];
	reader.unref();
	if ('failed' in said) throw new Error(said.failed);
	return said.text;
}

/** What is written in a PDF, a line a piece of text. */
export function pdfText(pdf: Uint8Array): Promise<string> {
	const text = before.then(() => read(pdf));
	before = text.catch(() => undefined);
	return text;
}
