import type { DayResult, DayState } from '../day';

const LETTERS: Record<DayState, string> = {
	ahead: 'a',
	open: 'o',
	done: 'd',
	partial: 'p',
	late: 'l',
	missed: 'm',
	excused: 'e',
	held: 'w',
	rest: 'r',
	cancelled: 'h'
};
const STATES = new Map(Object.entries(LETTERS).map(([state, letter]) => [letter, state as DayState]));

/**
 * Days as a short text, for a roll of a thousand people on its way to the browser: a letter a day, credit in whole
 * per cent where it is neither 0 nor all of a done day, `!` for pain. `ddp61l75!r` are five days.
 */
export function packDays(days: DayResult[]): string {
	return days
		.map(({ state, credit, pain }) => {
			const per = Math.round(credit * 100);
			return LETTERS[state] + (per === (state === 'done' ? 100 : 0) ? '' : String(per)) + (pain ? '!' : '');
		})
		.join('');
}

/** Days without what follows from somebody’s health: pain is not said, and who is held is like somebody who is excused. */
export const withoutHealth = (days: readonly DayResult[]): DayResult[] =>
	days.map((day) => ({ ...day, pain: false, state: day.state === 'held' ? 'excused' : day.state }));

/** The days of a packed text; credit to the per cent. */
export function unpackDays(text: string): DayResult[] {
	return [...text.matchAll(/([a-z])(\d*)(!?)/g)].map(([, letter = '', per, pain]) => {
		const state = STATES.get(letter) ?? 'ahead';
		return { state, credit: per ? Number(per) / 100 : state === 'done' ? 1 : 0, pain: pain === '!' };
	});
}
