import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

interface PdfMake {
	setFonts(fonts: Record<string, Record<string, string>>): void;
	setLocalAccessPolicy(allows: (path: string) => boolean): void;
	setUrlAccessPolicy(allows: (url: string) => boolean): void;
	createPdf(document: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
}

/** The typesetter, made ready once: its own fonts from its own folder, nothing else from disk and nothing from the net. */
let typesetter: PdfMake | null = null;
function pdfmake(): PdfMake {
	if (typesetter) return typesetter;
	const require = createRequire(import.meta.url);
	const folder = join(dirname(require.resolve('pdfmake/package.json')), 'fonts', 'Roboto');
	const font = (name: string) => join(folder, `Roboto-${name}.ttf`);
	const made = require('pdfmake') as PdfMake;
	made.setFonts({
		Roboto: {
			normal: font('Regular'),
			bold: font('Medium'),
			italics: font('Italic'),
			bolditalics: font('MediumItalic')
		}
	});
	made.setLocalAccessPolicy((path) => path.startsWith(folder));
	made.setUrlAccessPolicy(() => false);
	return (typesetter = made);
}

export const QUIET = '#5b5f66';
export const INK = '#22252b';
export const PINE = '#1f5d57';
export const LINE = '#c9c4b6';

/**
 * Sets a document on A4.
 * @param foot what stands at the foot of every page before its number
 */
export async function pdfOf(
	title: string,
	foot: string,
	document: Omit<TDocumentDefinitions, 'info' | 'footer' | 'pageSize'>
): Promise<Uint8Array<ArrayBuffer>> {
	const buffer = await pdfmake()
		.createPdf({
			pageMargins: [40, 40, 40, 48],
			...document,
			info: { title },
			pageSize: 'A4',
			defaultStyle: { font: 'Roboto', fontSize: 10.5, lineHeight: 1.1, color: INK, ...document.defaultStyle },
			styles: { head: { fontSize: 20, bold: true }, block: { fontSize: 13, bold: true }, ...document.styles },
			footer: (page, pages) => ({
				text: `${foot} · ${page} of ${pages}`,
				alignment: 'center',
				color: QUIET,
				fontSize: 8.5,
				margin: [0, 16, 0, 0]
			})
		})
		.getBuffer();
	return new Uint8Array(buffer);
}
