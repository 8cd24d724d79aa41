import { DAY_MS } from '../../calendar';
import { counted } from '../../text/words';
import { PROUD, type ReasonDefinition } from '../definition';
import { NEWS_DAYS, ownWork } from '../history';

interface CameBackFigures {
	day: number;
	/** Training days before it without a check-in. */
	after: number;
}

export const cameBack: ReasonDefinition<'came back', CameBackFigures> = {
	kind: 'came back',
	group: 'praise',
	title: 'Back again',
	firstAction: 'praised',
	isSettledByAnswer: true,
	find(facts, { silentFrom }, now) {
		const work = ownWork(facts, now);
		const last = work.findLastIndex(({ doneAt }) => doneAt !== null);
		let first = last;
		while (first > 0 && work[first - 1]!.doneAt !== null) first--;
		const before = work.slice(0, Math.max(0, first)).findLastIndex(({ doneAt }) => doneAt !== null);
		const back = work[first];
		const after = first - before - 1;
		return back && before >= 0 && after >= silentFrom && back.doneAt! > now - NEWS_DAYS * DAY_MS
			? { since: back.doneAt!, day: back.day.day, after }
			: null;
	},
	sentence: ({ day, after }) => `Did day ${day} after ${counted(after, 'training day')} without a check-in.`,
	draft: ({ day, after }) => ({
		says: `Good to see you back on day ${day}.`,
		offers: `After ${after} days off, the first session back is the hardest one, and you’ve done it.`,
		kindly: PROUD
	})
};
