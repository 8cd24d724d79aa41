import type { Content, TableCell } from 'pdfmake/interfaces';
import type { SheetDay } from '$core/plan';
import { counted, dayText, WEEKDAYS } from '$lib/format';
import { weekdayOf } from '$core/calendar';
import type { ChallengeSheet } from '../plan-sheet';
import { LINE, PINE, pdfOf, QUIET } from './typesetter';

const KIND: Record<SheetDay['kind'], string> = {
	train: 'Train',
	cardio: 'Cardio',
	test: 'Test',
	'active-rest': 'Active rest',
	rest: 'Rest'
};

/** So much of a text as there is room for. */
const cut = (text: string, most: number): string =>
	text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`;

/** As many of a list as there is room for, and how many more there are. */
const some = (list: readonly string[], most: number): string[] =>
	list.length <= most ? [...list] : [...list.slice(0, most - 1), `and ${list.length - most + 1} more`];

/** Widths on a landscape page: the head of a week, then its days. */
const HEAD = 62;
const DAY = 98;

function dayCell(day: SheetDay, size: number, dense: boolean): TableCell {
	const rest = day.kind === 'rest' && !day.cancelled;
	const marks = [
		day.halfway ? 'halfway' : '',
		day.tests.length > 0 ? cut(`tests: ${day.tests.join(', ')}`, dense ? 16 : 60) : ''
	].filter(Boolean);
	return {
		stack: [
			{
				text: [
					{ text: `Day ${day.day}`, bold: true },
					{ text: ` · ${dayText(day.date).slice(4)}`, color: QUIET },
					{ text: `  ${KIND[day.kind]}`, color: rest ? QUIET : PINE, bold: !rest }
				]
			},
			...(day.cancelled
				? [{ text: cut(`Cancelled: ${day.cancelled}`, dense ? 28 : 50), italics: true } as Content]
				: []),
			...(day.session && !day.cancelled
				? [
						{ text: cut(day.session, dense ? 28 : 40), bold: true } as Content,
						{
							text: `${day.minutes} min, effort ${day.effort}${marks.length > 0 ? `; ${marks.join('; ')}` : ''}`,
							color: QUIET,
							fontSize: size - 0.5
						} as Content,
						{
							canvas: [
								{ type: 'rect', x: 0, y: 1.5, w: (DAY - 10) * day.load, h: 2, color: PINE, lineWidth: 0 }
							]
						} as Content
					]
				: [])
		],
		fillColor: rest ? '#f3f1ea' : undefined
	};
}

/** The whole plan on two pages at most: the weeks on the first, what they are made of on the second. */
export function planSheetPdf(sheet: ChallengeSheet): Promise<Uint8Array<ArrayBuffer>> {
	const count = sheet.weeks.length;
	const size = count <= 4 ? 9.5 : count <= 6 ? 8.5 : count <= 8 ? 7.3 : 6.3;
	const dense = count > 8;
	const stepsShown = dense ? 4 : 6;
	const rows = sheet.weeks.flatMap(({ week, light, minutes, days, steps }): TableCell[][] => [
		[
			{
				stack: [
					{ text: `Week ${week}`, bold: true },
					{ text: `${minutes} min`, color: QUIET },
					...(light ? [{ text: 'lighter', italics: true } as Content] : [])
				]
			},
			...days.map((day) => dayCell(day, size, dense)),
			...Array.from({ length: 7 - days.length }, (): TableCell => '')
		],
		...(steps.length > 0
			? [
					[
						{ text: 'new', color: QUIET, fontSize: size - 0.5 },
						{
							text: cut(some(steps, stepsShown).join(' · '), 250),
							colSpan: 7,
							color: QUIET,
							fontSize: size - 0.5
						},
						...Array.from({ length: 6 }, (): TableCell => '')
					]
				]
			: [])
	]);
	const first = sheet.weeks[0]?.days[0]?.date ?? sheet.startsOn;
	const names = Array.from({ length: 7 }, (_, i) => WEEKDAYS[(weekdayOf(first) - 1 + i) % 7] ?? '');
	const second: Content[] = [
		{
			columns: [
				{
					width: '*',
					stack: [
						{ text: 'Sessions', style: 'block', margin: [0, 0, 0, 3] },
						...(sheet.sessions.length === 0
							? [{ text: 'There are no sessions in the plan yet.', color: QUIET } as Content]
							: []),
						...sheet.sessions
							.slice(0, 24)
							.map(({ name, minutes: [least, most], times, exercises }): Content => ({
								margin: [0, 0, 0, 4],
								text: [
									{ text: cut(name, 50), bold: true },
									{
										text: `  ${least === most ? least : `${least} to ${most}`} min, ${counted(times, 'time')}\n`,
										color: QUIET
									},
									{
										text: some(exercises, 8)
											.map((exercise) => cut(exercise, 32))
											.join(', ')
									}
								]
							})),
						...(sheet.sessions.length > 16
							? [{ text: `and ${sheet.sessions.length - 16} more` } as Content]
							: [])
					]
				},
				{
					width: '*',
					stack: [...listed('Tests', sheet.tests, 12, 88), ...listed('Progression', sheet.rules, 15, 130)]
				}
			],
			columnGap: 24
		}
	];
	return pdfOf(`Plan: ${sheet.name}`, cut(sheet.name, 70), {
		pageOrientation: 'landscape',
		pageMargins: [28, 26, 28, 36],
		defaultStyle: { fontSize: size, lineHeight: 1.05 },
		content: [
			{
				columns: [
					{ text: cut(sheet.name, 48), fontSize: 16, bold: true },
					{
						text: `${dayText(sheet.startsOn)} to ${dayText(sheet.endsOn)} · ${counted(sheet.days, 'day')}, ${sheet.works} with work · up to ${sheet.budgetMinutes} min`,
						alignment: 'right',
						color: QUIET,
						fontSize: 9,
						margin: [0, 5, 0, 0]
					}
				]
			},
			{ text: cut(`Goal: ${sheet.goal}`, 150), fontSize: 9, margin: [0, 0, 0, 4] },
			{
				table: {
					headerRows: 1,
					dontBreakRows: true,
					widths: [HEAD, ...Array.from({ length: 7 }, () => DAY)],
					body: [['', ...names.map((text): TableCell => ({ text, bold: true, color: QUIET }))], ...rows]
				},
				layout: {
					hLineWidth: () => 0.5,
					vLineWidth: () => 0.5,
					hLineColor: () => LINE,
					vLineColor: () => LINE,
					paddingTop: () => 1.5,
					paddingBottom: () => 1.5,
					paddingLeft: () => 3,
					paddingRight: () => 3
				}
			},
			{ stack: second, pageBreak: 'before', fontSize: 9 }
		]
	});
}

/** A heading and as many lines as there is room for. */
function listed(title: string, lines: readonly string[], most: number, letters: number): Content[] {
	if (lines.length === 0) return [];
	return [
		{ text: title, style: 'block', margin: [0, 0, 0, 3] },
		{ ul: some(lines, most).map((line) => cut(line, letters)), margin: [0, 0, 0, 10] }
	];
}
