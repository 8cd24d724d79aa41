/** Common Format and MIME Type for CSV Files, RFC 4180 section 2: the seven rules, one test each. */
import { describe, expect, it } from 'vitest';
import { readRosterText } from '$lib/server/people/roster-file';
import { decodeText } from '$lib/server/platform/text-file';

const cells = (text: string) => readRosterText(text).lines.map((line) => line.cells);
const HEAD = 'aaa,bbb,ccc\r\n';

describe('RFC 4180, section 2', () => {
	it('1. records stand on lines of their own, ended by CRLF', () => {
		expect(cells(`${HEAD}a,b,c\r\nzzz,yyy,xxx\r\n`)).toEqual([
			['a', 'b', 'c'],
			['zzz', 'yyy', 'xxx']
		]);
	});

	it('2. the last record may have no line break', () => {
		expect(cells(`${HEAD}a,b,c\r\nzzz,yyy,xxx`)).toHaveLength(2);
	});

	it('3. a header line comes first', () => {
		expect(readRosterText('field_name,field_name,field_name\r\naaa,bbb,ccc').headings).toEqual([
			'field_name',
			'field_name',
			'field_name'
		]);
	});

	it('4. spaces are part of a field', () => {
		expect(cells(`${HEAD} a , b,c`)).toEqual([[' a ', ' b', 'c']]);
	});

	it('5. fields may be quoted', () => {
		expect(cells(`${HEAD}"aaa","bbb","ccc"\r\nzzz,yyy,xxx`)).toEqual([
			['aaa', 'bbb', 'ccc'],
			['zzz', 'yyy', 'xxx']
		]);
	});

	it('6. quoted fields hold line breaks, quotes and commas', () => {
		expect(cells(`${HEAD}"aaa","b \r\nbb","c,c"\r\nzzz,yyy,xxx`)).toEqual([
			['aaa', 'b \r\nbb', 'c,c'],
			['zzz', 'yyy', 'xxx']
		]);
	});

	it('7. a quote within a quoted field is written twice', () => {
		expect(cells(`${HEAD}"aaa","b""bb","ccc"`)).toEqual([['aaa', 'b"bb', 'ccc']]);
	});

	it('counts lines as an editor does, over quoted line breaks and empty lines', () => {
		const file = readRosterText(`${HEAD}"a\r\na",b,c\r\n\r\nz,y,x\r\n`);
		expect(file.lines.map((line) => line.line)).toEqual([2, 5]);
	});
});

describe('beyond the RFC, as spreadsheets write it', () => {
	it('semicolons, tabs, bare line feeds and a byte-order mark', () => {
		expect(cells('\uFEFFaaa;bbb\na;b\n')).toEqual([['a', 'b']]);
		expect(cells('aaa\tbbb\na\tb\n')).toEqual([['a', 'b']]);
		expect(readRosterText('\uFEFFname;mail\na;b').headings[0]).toBe('name');
	});

	it('UTF-16 of both byte orders, with mark and without, and Windows-1252', () => {
		const text = 'name,mail\nMaarit Salonkylä,m@example.org\n';
		const little = Buffer.from(text, 'utf16le');
		const big = Buffer.from(little).swap16();
		for (const bytes of [
			Buffer.concat([Buffer.from([0xff, 0xfe]), little]),
			little,
			Buffer.concat([Buffer.from([0xfe, 0xff]), big]),
			big
		])
			expect(decodeText(bytes).text.replace('\uFEFF', '')).toBe(text);
		expect(decodeText(Buffer.from(text, 'latin1')).text).toBe(text);
		expect(decodeText(Buffer.from(text, 'utf8'))).toEqual({ text, notes: [] });
	});
});
