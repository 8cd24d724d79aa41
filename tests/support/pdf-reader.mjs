// Reads what is written in PDFs, one a message. In a thread of its own: the reader brings its own JSON and others along.
import { parentPort } from 'node:worker_threads';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** @param {Uint8Array} data */
async function textOf(data) {
	const document = await getDocument({ data, verbosity: 0 }).promise;
	const pages = [];
	for (let n = 1; n <= document.numPages; n++) {
		const { items } = await (await document.getPage(n)).getTextContent();
		pages.push(items.map((item) => ('str' in item ? item.str + (item.hasEOL ? '\n' : '') : '')).join(''));
	}
	await document.destroy();
	return pages.join('\n');
}

parentPort?.on('message', (/** @type {Uint8Array} */ data) => {
	textOf(data).then(
		(text) => parentPort?.postMessage({ text }),
		(cause) => parentPort?.postMessage({ failed: String(cause) })
	);
});
