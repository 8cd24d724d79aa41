import { enumerated } from '../../text/words';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { LATELY, runOf } from '../history';

/** Of 5. Common practice, no source. */
const LOW_ENERGY = 2;

interface TiredFigures {
	/** 1…5, the newest first. */
	energy: number[];
}

export const tired: ReasonDefinition<'tired', TiredFigures> = {
	kind: 'tired',
	group: 'retention',
	title: 'Low energy',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find(facts) {
		const run = runOf(facts.checkins, 'energy', LATELY, (energy) => energy <= LOW_ENERGY);
		return run && { since: run.since, energy: run.values };
	},
	sentence: ({ energy }) => `Energy ${enumerated(energy)} of 5 in the last ${energy.length} check-ins.`,
	draft: () => ({
		says: 'Your energy has been low in the last check-ins.',
		asks: 'How do you sleep?',
		offers: 'A lighter session, or a day off, is no step back.',
		kindly: NO_HURRY
	})
};
