import type { Content, TableCell } from 'pdfmake/interfaces';
import type { OutlineBlock, OutlinePart } from '$core/analysis';
import type { PrescribedExercise } from '$core/session';
import { longDayText, minutesText } from '$lib/format';
import { STOP_SIGNS, STOP_SIGNS_PREGNANT } from '$lib/stop-signs';
import type { Packet, PacketDay } from '../packet';
import { INK, LINE, pdfOf, QUIET } from './typesetter';

/** As many boxes in a row as a page has room for. */
const MOST_BOXES = 6;
const BOX = { width: 26, height: 18, gap: 4 };

/** Empty boxes to write the result of each set in. */
function boxes(sets: number): Content {
	const shown = Math.min(sets, MOST_BOXES);
	const drawn: Content = {
		canvas: Array.from({ length: shown }, (_, i) => ({
			type: 'rect',
			x: i * (BOX.width + BOX.gap),
			y: 0,
			w: BOX.width,
			h: BOX.height,
			lineWidth: 0.7,
			lineColor: INK
		}))
	};
	if (sets <= MOST_BOXES) return drawn;
	return { stack: [drawn, { text: `${sets} times in all`, color: QUIET, fontSize: 8 }] };
}

/** Whole minutes, a range where the pace is the person’s own. */
function lasts({ lower, upper }: { lower: number; upper: number }): string {
	const [least, most] = [Math.round(lower / 60), Math.round(upper / 60)];
	return least === most ? String(least) : `${least} to ${most}`;
}

/** What a part asks for, as far as its block does not say it: how much, how heavy, how slow. */
const asks = (part: OutlinePart): string => [part.much, part.load, part.tempo].filter(Boolean).join(', ');

function partRow(part: OutlinePart, sets: number | null, figures: Packet['figures']): TableCell[] {
	const svg = figures.get(part.exercise);
	const caution = part.cautions[0];
	return [
		svg ? { svg, fit: [34, 34] } : '',
		{
			stack: [
				{
					text: [
						{ text: `${part.mark}  `, color: QUIET },
						{ text: part.exercise, bold: true }
					]
				},
				{
					text: [
						part.cues[0],
						caution,
						...part.instead.map(({ text }) => text),
						part.easier === null ? '' : `Easier: ${part.easier}`
					]
						.filter(Boolean)
						.join('. '),
					color: QUIET,
					fontSize: 8
				}
			]
		},
		{ text: asks(part) },
		sets === null ? '' : boxes(sets)
	];
}

const FLAT = {
	hLineWidth: (i: number) => (i === 0 ? 0.8 : 0.4),
	vLineWidth: () => 0,
	hLineColor: () => LINE,
	paddingTop: () => 3,
	paddingBottom: () => 3,
	paddingLeft: () => 2,
	paddingRight: () => 4
};

function blockContent(
	block: OutlineBlock,
	b: number,
	asked: readonly PrescribedExercise[],
	figures: Packet['figures']
): Content {
	const setsOf = (p: number) =>
		block.role === 'main'
			? (asked.find(({ block: at, part }) => at === b && part === p)?.sets ?? null)
			: null;
	return {
		unbreakable: block.parts.length <= 8,
		margin: [0, 7, 0, 0],
		stack: [
			...(block.dayPart
				? [{ text: block.dayPart, bold: true, fontSize: 13, margin: [0, 4, 0, 4] } as Content]
				: []),
			{
				text: [
					{ text: block.title, bold: true, fontSize: 11 },
					{
						text: `  ${[block.summary, minutesText(block.seconds), block.repeat, block.setup && `set up: ${block.setup}`].filter(Boolean).join('; ')}`,
						color: QUIET
					}
				],
				margin: [0, 0, 0, 2]
			},
			{
				layout: FLAT,
				table: {
					dontBreakRows: true,
					widths: [36, '*', 78, MOST_BOXES * (BOX.width + BOX.gap)],
					body: block.parts.map((part, p) => partRow(part, setsOf(p), figures))
				}
			}
		]
	};
}

/** A row of numbers to ring one of. */
const scale = (from: number, to: number): string =>
	Array.from({ length: to - from + 1 }, (_, i) => String(from + i)).join('   ');

/** The check-in, to be written down and sent in later; anew for each day, since setting a page marks what it set. */
const checkIn = (): Content => ({
	unbreakable: true,
	margin: [0, 12, 0, 0],
	layout: { ...FLAT, hLineWidth: () => 0.6, paddingTop: () => 5, paddingBottom: () => 5 },
	table: {
		widths: [92, '*'],
		body: [
			['Done (ring one)', 'all     part     not'],
			['How hard', `${scale(0, 10)}     0 nothing, 10 all you have`],
			['Energy', `${scale(1, 5)}     1 none, 5 full`],
			['Sleep', '__________ hours'],
			[
				{ text: 'Hurts', bold: true },
				'where, since when: ______________________________________________________'
			],
			['Note', '_____________________________________________________________________']
		]
	}
});

function dayContent(day: PacketDay, figures: Packet['figures']): Content {
	const { session } = day;
	const head: Content[] = [
		{
			text: [
				{ text: `Day ${day.day}`, bold: true, fontSize: 18 },
				{ text: `   ${longDayText(day.date)}`, color: QUIET }
			]
		},
		...(day.cancelled
			? [{ text: `Cancelled for everyone: ${day.cancelled}.`, italics: true } as Content]
			: [])
	];
	const breaks = { pageBreak: 'before' } as const;
	if (!session)
		return {
			stack: [...head, { text: 'There is no session on this day yet.', color: QUIET }],
			...breaks
		};
	const { outline, asked, name } = session;
	return {
		...breaks,
		stack: [
			...head,
			{ text: name, bold: true, fontSize: 13, margin: [0, 2, 0, 0] },
			{
				text: `${lasts(outline)} min. ${outline.counting}`,
				color: QUIET
			},
			...(outline.ready.length > 0
				? [{ text: [{ text: 'Have ready: ', bold: true }, outline.ready.join('; ')] } as Content]
				: []),
			...(day.tests.length > 0
				? [{ text: [{ text: 'Tests: ', bold: true }, `${day.tests.join('; ')}.`] } as Content]
				: []),
			...(outline.note ? [{ text: outline.note, margin: [0, 2, 0, 0] } as Content] : []),
			...outline.blocks.map((block, b) => blockContent(block, b, asked, figures)),
			...(outline.recovery.length > 0
				? [
						{
							text: [{ text: 'Recovery after the session: ', bold: true }, outline.recovery.join('; ')],
							margin: [0, 6, 0, 0]
						} as Content
					]
				: []),
			checkIn()
		]
	};
}

/** What is in the packet, with room to tick off what is done. */
const contents = (days: readonly PacketDay[]): Content => ({
	layout: FLAT,
	table: {
		headerRows: 1,
		widths: [40, 130, '*', 60, 40],
		body: [
			['Day', 'Date', 'Session', 'Minutes', 'Done'].map((text): TableCell => ({ text, color: QUIET })),
			...days.map(({ day, date, session, cancelled }): TableCell[] => [
				String(day),
				longDayText(date),
				cancelled ? `cancelled: ${cancelled}` : (session?.name ?? 'none yet'),
				session ? lasts(session.outline) : '',
				boxes(1)
			])
		]
	}
});

/** Sessions to take along: each with its pictures, room for results, and the check-in. */
export function packetPdf({
	challenge,
	goal,
	person,
	days,
	figures
}: Packet): Promise<Uint8Array<ArrayBuffer>> {
	const title = person === null ? challenge : `${challenge}, ${person}`;
	return pdfOf(`Printed sessions: ${title}`, title, {
		pageMargins: [36, 34, 36, 44],
		defaultStyle: { fontSize: 9.5 },
		content: [
			{ text: challenge, style: 'head' },
			{ text: person ?? 'Name: ______________________________', margin: [0, 2, 0, 2] },
			{ text: `Goal: ${goal}`, color: QUIET },
			{
				margin: [0, 8, 0, 10],
				table: {
					widths: ['*'],
					body: [
						[
							{
								text: [
									{ text: 'Stop, and get medical help: ', bold: true },
									`${STOP_SIGNS} ${STOP_SIGNS_PREGNANT} Pain is not soreness: leave out what hurts and write it down. This paper gives no medical advice.`
								],
								margin: [4, 3, 4, 3]
							}
						]
					]
				}
			},
			days.length === 0
				? { text: 'No day is released yet.', italics: true }
				: {
						text: 'Write each set into its box: repetitions, seconds or metres, and the load if it was another; of two sides the lower count. Send the check-in as soon as you can.',
						margin: [0, 0, 0, 10]
					},
			...(days.length > 0 ? [contents(days)] : []),
			...days.map((day) => dayContent(day, figures))
		]
	});
}
