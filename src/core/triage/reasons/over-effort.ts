import { DAY_MS } from '../../calendar';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { NEWS_DAYS, trainingOf } from '../history';

interface OverEffortFigures {
	day: number;
	/** Both 0…10. */
	effort: number;
	most: number;
}

/** The newest session was harder than suits the person; news for some days. */
export const overEffort: ReasonDefinition<'over effort', OverEffortFigures> = {
	kind: 'over effort',
	group: 'safety',
	title: 'Harder than is good for them',
	firstAction: 'wrote',
	isSettledByAnswer: true,
	find(facts, _, now) {
		const [last] = trainingOf(facts);
		const most = facts.effortMost;
		return last &&
			most !== null &&
			last.effort !== null &&
			last.effort > most &&
			last.at > now - NEWS_DAYS * DAY_MS
			? { since: last.at, day: last.day, effort: last.effort, most }
			: null;
	},
	sentence: ({ effort, day, most }) => `Effort ${effort} of 10 on day ${day}; ${most} is the most for them.`,
	draft: ({ effort, day, most }) => ({
		says: `Day ${day} felt like ${effort} of 10. For you ${most} is enough.`,
		advice: 'Slow down until you can talk in whole sentences, and leave out a round if you need to.',
		asks: 'How do you feel today?',
		kindly: NO_HURRY
	})
};
