import { enumerated } from '../../text/words';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { runOf, trainingOf } from '../history';

interface HardFigures {
	/** 0…10, the newest first. */
	effort: number[];
}

export const hard: ReasonDefinition<'hard', HardFigures> = {
	kind: 'hard',
	group: 'adaptation',
	title: 'Too hard',
	firstAction: 'adjusted',
	isSettledByAnswer: false,
	find(facts, { hardEffort }) {
		const run = runOf(trainingOf(facts), 'effort', 2, (effort) => effort >= hardEffort);
		return run && { since: run.since, effort: run.values };
	},
	sentence: ({ effort }) => `Effort ${enumerated(effort)} of 10 in the last ${effort.length} sessions.`,
	draft: ({ effort }) => ({
		says: `The last ${effort.length} sessions were close to your limit.`,
		asks: 'Which exercise was it, and would a little less be right?',
		kindly: NO_HURRY
	})
};
