import { DAY_MS } from '../../calendar';
import { PROUD, type ReasonDefinition } from '../definition';
import { NEWS_DAYS, ownWork } from '../history';

/** Sessions from one round number to the next. */
const EVERY = 10;

interface SessionsFigures {
	/** Sessions done. */
	count: number;
}

export const sessions: ReasonDefinition<'sessions', SessionsFigures> = {
	kind: 'sessions',
	group: 'praise',
	title: 'Round number',
	firstAction: 'praised',
	isSettledByAnswer: true,
	find(facts, _, now) {
		const done = ownWork(facts, now).flatMap(({ doneAt }) => doneAt ?? []);
		const since = Math.max(...done);
		return done.length > 0 && done.length % EVERY === 0 && since > now - NEWS_DAYS * DAY_MS
			? { since, count: done.length }
			: null;
	},
	sentence: ({ count }) => `${count} sessions done.`,
	draft: ({ count }) => ({
		says: `That was session number ${count}, and you did every one of them.`,
		kindly: PROUD
	})
};
