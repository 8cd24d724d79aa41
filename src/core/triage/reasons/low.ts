import { enumerated } from '../../text/words';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { LATELY, runOf } from '../history';

/** Of 5. Common practice, no source. */
const LOW_MOOD = 2;

interface LowFigures {
	/** 1…5, the newest first. */
	mood: number[];
}

export const low: ReasonDefinition<'low', LowFigures> = {
	kind: 'low',
	group: 'retention',
	title: 'Low mood',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find(facts) {
		const run = runOf(facts.checkins, 'mood', LATELY, (mood) => mood <= LOW_MOOD);
		return run && { since: run.since, mood: run.values };
	},
	sentence: ({ mood }) => `Mood ${enumerated(mood)} of 5 in the last ${mood.length} check-ins.`,
	draft: () => ({
		says: 'Your mood has been low in the last check-ins.',
		asks: 'How are you?',
		offers:
			'A short session or none is fine this week. If it stays like this, talk to somebody you trust, or to a doctor.',
		kindly: NO_HURRY
	})
};
