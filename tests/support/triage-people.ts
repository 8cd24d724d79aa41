/** People by their days, as triage sees them. */
import { DAY_MS } from '$core/calendar';
import type { DayState, PersonDay, Strip } from '$core/day';
import { packEntry } from '$core/day';
import type { CheckinSeen } from '$core/triage';

export const HOUR = 3_600_000;
/** Day 1 opens at this instant, every other one a day later; each is over when the next opens. */
const START = Date.UTC(2026, 4, 4, 4);
export const opens = (day: number): number => START + (day - 1) * DAY_MS;

const STATES: Record<string, DayState> = {
	d: 'done',
	p: 'partial',
	m: 'missed',
	n: 'missed',
	e: 'excused',
	r: 'rest',
	o: 'open',
	a: 'ahead'
};
/** What somebody told with a check-in; `hours` after the day had opened. */
export type Told = Partial<Omit<CheckinSeen, 'day'>> & { hours?: number };

/** Of somebody about whom nothing is on record but their days. */
export const NOTHING_TOLD = {
	stopped: null,
	followUp: null,
	losing: null,
	undecided: null,
	review: null,
	effortMost: null
} as const;

/**
 * Somebody by their days, as one letter each: d done, p half of it, n said not to be done, m missed, e excused, r rest,
 * o open, a ahead. Checks in two hours after a day opens, with effort 7.
 */
export function somebody(letters: string, told: Record<number, Told> = {}, holds: { from: number }[] = []) {
	const strip: Strip = {};
	const checkins: CheckinSeen[] = [];
	const days = [...letters].map((letter, i): PersonDay => {
		const day = i + 1;
		const window = { opens: opens(day), due: opens(day + 1), closes: opens(day + 1) };
		const credit = letter === 'd' ? 1 : letter === 'p' ? 0.5 : 0;
		if ('dpn'.includes(letter)) {
			const { hours = 2, ...more } = told[day] ?? {};
			const seen = {
				day,
				at: window.opens + hours * HOUR,
				credit,
				effort: 7,
				energy: null,
				mood: null,
				hurts: null,
				sides: [],
				best: null,
				...more
			};
			checkins.unshift(seen);
			strip[day] = packEntry({
				kind: 'check-in',
				credit,
				at: seen.at,
				pain: !!seen.hurts,
				standing: 'on time'
			});
		}
		const state = STATES[letter] ?? 'ahead';
		return {
			day,
			kind: letter === 'r' ? 'rest' : 'train',
			cancelled: null,
			state,
			credit,
			pain: false,
			window,
			theirs: true,
			open: state !== 'ahead',
			why: null
		};
	});
	return {
		days,
		strip,
		checkins: checkins.slice(0, 10),
		holds: holds.map(({ from }) => ({ from, until: null, reason: 'clearance' as const }))
	};
}
