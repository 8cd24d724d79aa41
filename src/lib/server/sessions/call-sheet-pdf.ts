import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { CallBlock } from '$core/review';
import { clockText } from '$core/session';
import type { CallSheet } from './call-sheet';

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

const QUIET = '#5b5f66';
const STRONG = new Set(['start', 'change-side', 'round', 'last-round']);

function blockContent(block: CallBlock): Content[] {
	return [
		{
			columns: [
				{ text: block.title, style: 'block' },
				{
					text: `${clockText(block.start)} + ${clockText(block.seconds)}`,
					alignment: 'right',
					color: QUIET,
					margin: [0, 2, 0, 0]
				}
			],
			margin: [0, 10, 0, 2]
		},
		...(block.setup
			? [{ text: `Set up: ${block.setup}`, italics: true, margin: [0, 0, 0, 2] } as Content]
			: []),
		{
			layout: 'lightHorizontalLines',
			table: {
				widths: [42, '*'],
				dontBreakRows: true,
				body: block.calls.map((call) => [
					{ text: clockText(call.time), color: QUIET },
					{
						stack: [
							{ text: call.say, bold: call.kinds.some((kind) => STRONG.has(kind)) },
							...(call.detail ? [{ text: call.detail, color: QUIET, fontSize: 8.5 }] : [])
						]
					}
				])
			}
		}
	];
}

/** A call sheet to print: what to say when, page by page. */
export async function callSheetPdf(sheet: Omit<CallSheet, 'id'>): Promise<Uint8Array<ArrayBuffer>> {
	const buffer = await pdfmake()
		.createPdf({
			info: { title: `Call sheet: ${sheet.name}` },
			pageSize: 'A4',
			pageMargins: [40, 40, 40, 48],
			defaultStyle: { font: 'Roboto', fontSize: 10.5, lineHeight: 1.1 },
			styles: { head: { fontSize: 20, bold: true }, block: { fontSize: 13, bold: true } },
			footer: (page, pages) => ({
				text: `${sheet.name}, version ${sheet.version} · ${page} of ${pages}`,
				alignment: 'center',
				color: QUIET,
				fontSize: 8.5,
				margin: [0, 16, 0, 0]
			}),
			content: [
				{ text: sheet.name, style: 'head' },
				{ text: `${clockText(sheet.seconds)} in all`, color: QUIET, margin: [0, 0, 0, 6] },
				{ text: [{ text: 'Have ready: ', bold: true }, sheet.ready.join('; ')] },
				{ text: sheet.counting, color: QUIET },
				...(sheet.note ? [{ text: sheet.note, margin: [0, 4, 0, 0] } as Content] : []),
				...sheet.blocks.filter((block) => block.calls.length > 0).flatMap(blockContent),
				...(sheet.recovery.length > 0
					? [
							{
								text: [{ text: 'Afterwards: ', bold: true }, sheet.recovery.join('; ')],
								margin: [0, 10, 0, 0]
							} as Content
						]
					: [])
			]
		})
		.getBuffer();
	return new Uint8Array(buffer);
}
