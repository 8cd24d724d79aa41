/** Heart rates as a file: RFC 4180, a line a value. */
import Papa from 'papaparse';
import type { Beat } from '$core/heart';

const COLUMNS = ['time', 'bpm'] as const;
/** What a file may have at most: ten hours of a value a second. */
const MOST_LINES = 36_000;
/** Rates that a body has, beats a minute. */
const RATES = { low: 20, high: 260 } as const;

/** `time` in ISO 8601 and UTC, to the millisecond; `bpm` whole. */
export const heartCsv = (beats: readonly Beat[]): string =>
	`${Papa.unparse(
		beats.map(({ at, bpm }) => ({ time: new Date(at).toISOString(), bpm: Math.round(bpm) })),
		{ columns: [...COLUMNS], newline: '\r\n' }
	)}\r\n`;

export interface HeartFile {
	beats: Beat[];
	/** What is wrong, with its line from 1; nothing is taken where there is any. */
	faults: { line: number; message: string }[];
}

const refused = (line: number, message: string): HeartFile => ({ beats: [], faults: [{ line, message }] });

/** Milliseconds since 1970 of an instant with its zone; NaN for what is none. */
const instantOf = (text: string): number =>
	/^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:?\d{2})$/.test(text)
		? Date.parse(text)
		: NaN;

/** Reads such a file; other columns are left aside. All that is wrong is said, up to ten lines of it. */
export function readHeartCsv(text: string): HeartFile {
	const { data, meta } = Papa.parse<Partial<Record<string, string>>>(text.replace(/^\uFEFF/, ''), {
		header: true,
		skipEmptyLines: 'greedy',
		preview: MOST_LINES + 1,
		transformHeader: (header) => header.trim().toLowerCase()
	});
	const missing = COLUMNS.filter((column) => !meta.fields?.includes(column));
	if (missing.length > 0)
		return refused(1, `the first line names the columns time and bpm; ${missing.join(' and ')} is missing`);
	if (data.length === 0) return refused(2, 'there is no value in it');
	if (data.length > MOST_LINES)
		return refused(
			MOST_LINES + 2,
			`more than ${MOST_LINES.toLocaleString('en')} lines; as many are read at most`
		);
	const read: HeartFile = { beats: [], faults: [] };
	data.forEach((row, i) => {
		const [time, rate] = [(row.time ?? '').trim(), (row.bpm ?? '').trim()];
		// A strap without contact has no rate.
		if (rate === '' || rate === '0') return;
		const [at, bpm] = [instantOf(time), Number(rate)];
		const wrong = Number.isNaN(at)
			? `“${time.slice(0, 40)}” is no time such as 2026-05-13T06:00:00Z`
			: !(bpm >= RATES.low && bpm <= RATES.high)
				? `“${rate.slice(0, 40)}” is no rate from ${RATES.low} to ${RATES.high}`
				: null;
		if (wrong === null) read.beats.push({ at, bpm });
		else if (read.faults.length < 10) read.faults.push({ line: i + 2, message: wrong });
	});
	if (read.faults.length > 0) return { beats: [], faults: read.faults };
	return read.beats.length > 0 ? read : refused(2, 'there is no value in it');
}
