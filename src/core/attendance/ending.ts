/** Totals of a finished challenge. */
import type { PersonDay } from '../day';
import { adherence, together, type Adherence } from './adherence';

/** Days without a result at the end of a challenge after which a person counts as dropped out. Common practice, no source. */
export const DROPPED_AFTER = 7;

/** A person's last day with a result; null if there is none. */
export const lastActiveDay = (days: readonly Pick<PersonDay, 'day' | 'credit' | 'kind'>[]): number | null =>
	days.findLast(({ credit, kind }) => credit > 0 && kind !== 'rest')?.day ?? null;

interface EndingWeek {
	/** From 1. */
	week: number;
	/** Of all due days of all people in it. */
	adherence: Adherence;
	/** How many people had a result in it. */
	active: number;
}

export interface Ending<Person> {
	/** Of all people and days. */
	adherence: Adherence;
	/** People with a result in the last {@link DROPPED_AFTER} days. */
	finished: Person[];
	/** People with results, but none in those days. */
	dropped: Person[];
	/** Who never did anything. */
	neverBegan: Person[];
	weeks: EndingWeek[];
	/** People with a result on any day, highest adherence first; ties keep the order given. */
	most: Person[];
}

interface Row {
	days: readonly Pick<PersonDay, 'day' | 'credit' | 'kind' | 'state'>[];
	/** With what sessions beside the plan make up for. */
	adherence: Adherence;
}

/** @param days of the challenge */
export function endingOf<R extends Row>(rows: readonly R[], days: number): Ending<R> {
	const last = new Map(rows.map((row) => [row, lastActiveDay(row.days)]));
	const began = rows.filter((row) => last.get(row) !== null);
	const stayed = (row: R) => (last.get(row) ?? 0) > days - DROPPED_AFTER;
	return {
		adherence: together(rows.map((row) => row.adherence)),
		finished: began.filter(stayed),
		dropped: began.filter((row) => !stayed(row)),
		neverBegan: rows.filter((row) => last.get(row) === null),
		weeks: Array.from({ length: Math.ceil(days / 7) }, (_, i) => {
			const within = rows.map((row) => row.days.slice(7 * i, 7 * i + 7));
			return {
				week: i + 1,
				adherence: adherence(within.flat()),
				active: within.filter((own) => lastActiveDay(own) !== null).length
			};
		}),
		most: began.toSorted((a, b) => (b.adherence.rate ?? 0) - (a.adherence.rate ?? 0))
	};
}
