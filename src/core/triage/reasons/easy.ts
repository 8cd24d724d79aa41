import { enumerated, listed } from '../../text/words';
import { PROUD, type ReasonDefinition } from '../definition';
import { LATELY, runOf, trainingOf } from '../history';

/** Of 10. Common practice, no source. */
const EASY_EFFORT = 6;

interface EasyFigures {
	/** 0…10, the newest first. */
	effort: number[];
}

export const easy: ReasonDefinition<'easy', EasyFigures> = {
	kind: 'easy',
	group: 'adaptation',
	title: 'Ready for more',
	firstAction: 'adjusted',
	isSettledByAnswer: false,
	find(facts) {
		const run = runOf(
			trainingOf(facts),
			'effort',
			LATELY,
			(effort, { credit }) => effort <= EASY_EFFORT && credit >= 1
		);
		return run && { since: run.since, effort: run.values };
	},
	sentence: ({ effort }) =>
		`All done at effort ${enumerated(effort)} of 10, ${effort.length} sessions running.`,
	draft: ({ effort }) => ({
		says: `You rated your last sessions ${listed(effort)} of 10 and finished all of them.`,
		asks: 'Shall we make it harder: a little more weight, slower, or one more round?',
		kindly: PROUD
	})
};
