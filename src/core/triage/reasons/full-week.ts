import { DAY_MS } from '../../calendar';
import { PROUD, type ReasonDefinition } from '../definition';
import { NEWS_DAYS, ownWork } from '../history';

const weekOf = (day: number): number => Math.ceil(day / 7);

/** Training days below which a full week is no news. Common practice, no source. */
const FEWEST_DAYS = 3;

interface FullWeekFigures {
	/** Training days of the week. */
	due: number;
}

export const fullWeek: ReasonDefinition<'full week', FullWeekFigures> = {
	kind: 'full week',
	group: 'praise',
	title: 'Full week',
	firstAction: 'praised',
	isSettledByAnswer: true,
	find(facts, _, now) {
		const work = ownWork(facts, now);
		const last = work.findLast(({ doneAt }) => doneAt !== null);
		if (!last) return null;
		const week = weekOf(last.day.day);
		const prescribed = facts.days.filter(
			({ day, kind, state, theirs }) =>
				theirs && weekOf(day) === week && kind !== 'rest' && state !== 'cancelled' && state !== 'excused'
		);
		const since = Math.max(
			...work.flatMap(({ day, doneAt }) => (weekOf(day.day) === week ? (doneAt ?? []) : []))
		);
		return prescribed.length >= FEWEST_DAYS &&
			prescribed.every(({ state }) => state === 'done') &&
			since > now - NEWS_DAYS * DAY_MS
			? { since, due: prescribed.length }
			: null;
	},
	sentence: ({ due }) => `All ${due} training days of the week done.`,
	draft: ({ due }) => ({ says: `All ${due} training days of the week done. Nice work.`, kindly: PROUD })
};
