import { once } from 'node:events';
import { Worker } from 'node:worker_threads';

/** What is written in a PDF, a line a piece of text. */
export async function pdfText(pdf: Uint8Array): Promise<string> {
	const worker = new Worker(new URL('./pdf-reader.mjs', import.meta.url));
	try {
		worker.postMessage(pdf);
		const [said] = (await once(worker, 'message')) as [{ text: string } | { failed: string }];
		if ('failed' in said) throw new Error(said.failed);
		return said.text;
	} finally {
		await worker.terminate();
	}
}
