import { minutesIn } from '$core/calendar';
import { byName } from '$core/people';

export const ROLL_SORTS = [
	{ by: 'name', text: 'by name' },
	{ by: 'fading', text: 'fading first' },
	{ by: 'low', text: 'lowest adherence' },
	{ by: 'high', text: 'highest adherence' },
	{ by: 'hour', text: 'by local hour' },
	{ by: 'silent', text: 'silent longest' }
] as const;
export type RollSort = (typeof ROLL_SORTS)[number]['by'];

interface Row {
	name: string;
	zone: string;
	adherence: { rate: number | null };
	trend: number | null;
	silent: number;
}

/** Orders the rows of the roll; people with nothing to compare come last, ties go by name. */
export function sortRoll<R extends Row>(rows: R[], by: RollSort, now: number): R[] {
	const key: Record<RollSort, (row: R) => number> = {
		name: () => 0,
		fading: (row) => row.trend ?? Infinity,
		low: (row) => row.adherence.rate ?? Infinity,
		high: (row) => (row.adherence.rate === null ? Infinity : -row.adherence.rate),
		hour: (row) => minutesIn(row.zone, now),
		silent: (row) => -row.silent
	};
	// Keys first: a zone's clock is slow to read, and sorting would read it many times.
	return rows
		.map((row) => ({ row, value: key[by](row) }))
		.sort((a, b) => (a.value === b.value ? byName(a.row, b.row) : a.value - b.value))
		.map(({ row }) => row);
}
