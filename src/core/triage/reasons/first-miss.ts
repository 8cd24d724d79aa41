import { counted } from '../../text/words';
import { WITH_US, type ReasonDefinition } from '../definition';
import { missedDays } from '../history';

interface FirstMissFigures {
	day: number;
	/** Due days before it that were done. */
	doneBefore: number;
}

export const firstMiss: ReasonDefinition<'first miss', FirstMissFigures> = {
	kind: 'first miss',
	group: 'retention',
	title: 'First missed day',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find(facts, house, now) {
		const missed = missedDays(facts, house, now);
		return missed?.stage === 'first miss'
			? { since: missed.since, day: missed.day, doneBefore: missed.due - 1 }
			: null;
	},
	sentence: ({ day, doneBefore }) =>
		doneBefore === 0
			? `Day ${day} was missed, their first.`
			: `Day ${day} was missed, after ${counted(doneBefore, 'day')} without a miss.`,
	draft: ({ day }) => ({
		says: `You missed day ${day}, the first one. That happens.`,
		asks: 'Is everything all right, and does the next session fit into your day?',
		kindly: WITH_US
	})
};
