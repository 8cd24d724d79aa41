import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** What is written in a PDF, a line a piece of text. */
export async function pdfText(pdf: Uint8Array): Promise<string> {
	// The reader takes the bytes for itself.
	const document = await getDocument({ data: pdf.slice(), verbosity: 0 }).promise;
	const lines: string[] = [];
	for (let n = 1; n <= document.numPages; n++) {
		const { items } = await (await document.getPage(n)).getTextContent();
		lines.push(items.map((item) => ('str' in item ? item.str + (item.hasEOL ? '\n' : '') : '')).join(''));
	}
	await document.destroy();
	return lines.join('\n');
}
