import { holdAt } from '../../health';
import type { ReasonDefinition } from '../definition';

interface StoppedFigures {
	/** In the person's words. */
	said: string;
}

/** A warning sign holds the person; an answer does not end that, only what is recorded about it. */
export const stopped: ReasonDefinition<'stopped', StoppedFigures> = {
	kind: 'stopped',
	group: 'safety',
	title: 'Stopped at a warning sign',
	firstAction: 'called',
	isSettledByAnswer: false,
	find({ holds, stopped: said }, _, now) {
		const hold = holdAt(holds, now);
		return hold?.reason === 'stopped' ? { since: hold.from, said: said ?? '' } : null;
	},
	sentence: ({ said, since }, { when }) =>
		`“${said}”, ${when(since)}. Nothing is released until you have on record that somebody qualified said yes.`,
	draft: () => ({
		says: 'You stopped because of a warning sign.',
		advice:
			'Please don’t train until a doctor has looked at it. If it is there now or comes back, call your emergency number. Your sessions are held until I know more.',
		asks: 'How are you now, and have you been able to see somebody?'
	})
};
