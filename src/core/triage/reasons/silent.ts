import { counted } from '../../text/words';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { missedDays } from '../history';

interface SilentFigures {
	/** Due days in a row without a check-in. */
	due: number;
	/** Epoch milliseconds. */
	lastSeen: number;
	/** Calendar days since then. */
	days: number;
}

export const silent: ReasonDefinition<'silent', SilentFigures> = {
	kind: 'silent',
	group: 'retention',
	title: 'Silent',
	firstAction: 'called',
	isSettledByAnswer: false,
	find(facts, house, now) {
		const missed = missedDays(facts, house, now);
		if (missed?.stage !== 'silent') return null;
		const { since, due, days } = missed;
		return { since, due, lastSeen: missed.lastSeen ?? since, days };
	},
	sentence: ({ days, due, lastSeen }, { when }) =>
		`No check-in for ${counted(days, 'day')}, ${due} of them due. Last seen ${when(lastSeen)}.`,
	draft: ({ days }) => ({
		says: `I haven’t heard from you for ${days} days.`,
		offers:
			'If you’d like to come back, half of the next session is enough, and nothing has to be made up. If you’d rather stop, tell me, and that’s fine too.',
		asks: 'How are you?',
		kindly: NO_HURRY
	})
};
