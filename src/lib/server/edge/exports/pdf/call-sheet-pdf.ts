import type { Content } from 'pdfmake/interfaces';
import type { CallBlock } from '$core/analysis';
import { clockText } from '$core/session';
import type { CallSheet } from '../../../training/session/call-sheet';
import { pdfOf, QUIET } from './typesetter';

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
export const callSheetPdf = (sheet: Omit<CallSheet, 'id'>): Promise<Uint8Array<ArrayBuffer>> =>
	pdfOf(`Call sheet: ${sheet.name}`, `${sheet.name}, version ${sheet.version}`, {
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
							text: [{ text: 'Recovery after the session: ', bold: true }, sheet.recovery.join('; ')],
							margin: [0, 10, 0, 0]
						} as Content
					]
				: [])
		]
	});
