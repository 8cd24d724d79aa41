import { counted } from '../../text/words';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { missedDays } from '../history';

interface MissingFigures {
	/** Due days in a row without a check-in. */
	due: number;
	/** Epoch milliseconds. */
	lastSeen: number;
}

export const missing: ReasonDefinition<'missing', MissingFigures> = {
	kind: 'missing',
	group: 'retention',
	title: 'Missing days',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find(facts, house, now) {
		const missed = missedDays(facts, house, now);
		if (missed?.stage !== 'missing') return null;
		return { since: missed.since, due: missed.due, lastSeen: missed.lastSeen ?? missed.since };
	},
	sentence: ({ due, lastSeen }, { when }) =>
		`No check-in for ${counted(due, 'due day')}, last seen ${when(lastSeen)}.`,
	draft: () => ({
		says: 'I haven’t heard from you for a few days.',
		asks: 'How are you?',
		offers: 'If the sessions are too long or come at the wrong time, tell me. Half of one counts as half.',
		kindly: NO_HURRY
	})
};
