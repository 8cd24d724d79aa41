import type { DayResult, DayState } from '../day';
import { wilson } from '../stats';

export interface Adherence {
	/** Sum of credits over the days that were due. */
	credit: number;
	due: number;
	/** credit / due; null while nothing was due. */
	rate: number | null;
	/** 95 % Wilson interval of the rate; null while nothing was due. */
	low: number | null;
	high: number | null;
}

const DUE: ReadonlySet<DayState> = new Set(['done', 'partial', 'late', 'missed']);

/** Whether a day counts: excused, future, resting and still open days do not. */
export const isDue = (state: DayState): boolean => DUE.has(state);

/** The share of due work that was done, with what it is out of. */
export function adherence(days: Iterable<Pick<DayResult, 'state' | 'credit'>>): Adherence {
	let credit = 0;
	let due = 0;
	for (const day of days) {
		if (!isDue(day.state)) continue;
		due++;
		credit += day.credit;
	}
	return rated(credit, due);
}

function rated(credit: number, due: number): Adherence {
	if (due === 0) return { credit: 0, due: 0, rate: null, low: null, high: null };
	return { credit, due, rate: credit / due, ...wilson(Math.min(credit, due), due) };
}

/** Adherence with what was done beside the plan: it makes up for what is missing, and never for more than was due. */
export const madeUp = ({ credit, due }: Adherence, extra: number): Adherence =>
	rated(Math.max(credit, Math.min(due, credit + extra)), due);

/** How many due days were done, in whole days, as a person counts them. */
export interface DayTally {
	due: number;
	/** All of the work. */
	done: number;
	/** Some of it. */
	partly: number;
	/** Days’ worth of missing work that sessions beside the plan make up for, to a tenth. */
	madeUp: number;
}

/** @param extra credit of what was done beside the plan, in days */
export function dayTally(days: readonly Pick<DayResult, 'state' | 'credit'>[], extra: number): DayTally {
	const due = days.filter(({ state }) => isDue(state));
	const done = due.filter(({ state }) => state === 'done' || state === 'late').length;
	const missing = due.reduce((sum, { credit }) => sum + Math.max(0, 1 - credit), 0);
	return {
		due: due.length,
		done,
		partly: due.filter(({ state }) => state === 'partial').length,
		madeUp: Math.round(10 * Math.min(missing, extra)) / 10
	};
}

/** The adherence of several people together. */
export const together = (all: readonly Adherence[]): Adherence =>
	rated(
		all.reduce((sum, { credit }) => sum + credit, 0),
		all.reduce((sum, { due }) => sum + due, 0)
	);
