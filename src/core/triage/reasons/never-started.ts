import { counted } from '../../text/words';
import { WITH_US, type ReasonDefinition } from '../definition';
import { missedDays } from '../history';

interface NeverStartedFigures {
	/** Due days so far. */
	due: number;
}

export const neverStarted: ReasonDefinition<'never started', NeverStartedFigures> = {
	kind: 'never started',
	group: 'retention',
	title: 'Hasn’t started',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find(facts, house, now) {
		const missed = missedDays(facts, house, now);
		return missed?.stage === 'never started' ? { since: missed.since, due: missed.due } : null;
	},
	sentence: ({ due }) => `Nothing has come in, and ${counted(due, 'day')} ${due === 1 ? 'was' : 'were'} due.`,
	draft: () => ({
		says: 'We have begun, and I haven’t seen you yet.',
		asks: 'Is something in the way: the time, the equipment, the link?',
		offers: 'Half a session counts as half, so a short start is a start.',
		kindly: WITH_US
	})
};
