import { describe, expect, it } from 'vitest';
import { checkRoster, matchColumns } from '$core/people/roster';
import { readRosterText } from '$lib/server/people/roster-file';
import { decodeText } from '$lib/server/platform/text-file';

const HEAD = 'name,mail,time zone\n';
const refusal = (work: () => unknown): { status: number; message: string } => {
	try {
		work();
	} catch (error) {
		return error as { status: number; message: string };
	}
	throw new Error('was not refused');
};

describe('files that no coach should have to think about', () => {
	it('a CSV of 5 MB and 100,000 lines is refused by its count, quickly', () => {
		const text = HEAD + 'Somebody of Somewhere,somebody@example.org,Europe/Oslo\n'.repeat(100_000);
		expect(text.length).toBeGreaterThan(5_000_000);
		const began = performance.now();
		expect(refusal(() => readRosterText(text))).toMatchObject({
			status: 413,
			message: expect.stringContaining('100,000 people') as string
		});
		expect(performance.now() - began).toBeLessThan(5000);
	});

	it('a CSV of 5 MB in few lines is read, and its giant cells are faults that stay small', () => {
		const text =
			HEAD + `${'x'.repeat(2_500_000)},a@example.org,Europe/Oslo\nBao,${'y'.repeat(2_500_000)},Asia/Seoul\n`;
		const file = readRosterText(text);
		const lines = checkRoster(file.lines, matchColumns(file.headings), {
			headings: file.headings,
			zones: ['Europe/Oslo'],
			isZone: () => true,
			enrolled: new Set()
		});
		expect(lines.map((line) => line.faults.length)).toEqual([1, 1]);
		expect(JSON.stringify(lines).length).toBeLessThan(1000);
	});

	it('more than 6 MB are not even decoded', () => {
		expect(refusal(() => decodeText(new Uint8Array(6 * 1024 * 1024 + 1)))).toMatchObject({ status: 413 });
	});

	it('a quote that is never closed is named by its line', () => {
		const { status, message } = refusal(() =>
			readRosterText(`${HEAD}Oren,o@example.org,UTC\n"Bao,b@example.org,UTC\nSefa,s@example.org,UTC`)
		);
		expect([status, message]).toEqual([
			400,
			expect.stringContaining('Line 3: a quotation mark opens and is never closed')
		]);
	});

	it('something after a closing quote is named by its line', () => {
		expect(refusal(() => readRosterText(`${HEAD}"Bao"x,b@example.org,UTC\n`)).message).toContain('Line 2');
	});

	it.each([
		[
			'a picture',
			Buffer.from([
				0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52, 1, 2, 3, 4
			])
		],
		[
			'a zipped spreadsheet',
			Buffer.from([
				0x50, 0x4b, 3, 4, 0x14, 0, 6, 0, 8, 0, 0, 0, 0x21, 0x41, 0x42, 0x43, 0x44, 0x45, 0x46, 0x47
			])
		]
	])('%s is no list', (_, bytes) => {
		expect(refusal(() => decodeText(bytes)).message).toContain('no text');
	});

	it.each(['', '   \n \n', 'name,mail,zone'])('an empty list says what is expected: %j', (text) => {
		expect(refusal(() => readRosterText(text)).status).toBe(400);
	});

	it('formulas, markup and control signs are taken as text, or as faults', () => {
		const file = readRosterText(
			`${HEAD}"=HYPERLINK(""http://x"")",a@example.org,UTC\n<script>alert(1)</script>,b@example.org,UTC\n`
		);
		const lines = checkRoster(file.lines, matchColumns(file.headings), {
			headings: file.headings,
			zones: [],
			isZone: () => true,
			enrolled: new Set()
		});
		expect(lines.map((line) => line.row?.name)).toEqual([
			'=HYPERLINK("http://x")',
			'<script>alert(1)</script>'
		]);
	});

	it('a line with too few cells is a fault of its own', () => {
		const file = readRosterText(`${HEAD}Bao\n`);
		const [line] = checkRoster(file.lines, matchColumns(file.headings), {
			headings: file.headings,
			zones: [],
			isZone: () => true,
			enrolled: new Set()
		});
		expect(line?.faults.map((fault) => fault.field)).toEqual(['zone']);
	});
});
