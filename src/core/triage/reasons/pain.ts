import { readPain } from '../../health';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { CHECKINS_SEEN } from '../facts';

interface PainFigures {
	/** Null if it was reported beside the plan. */
	day: number | null;
	/** In the person's words. */
	hurts: string;
	/** Reports in the check-ins that triage reads. */
	times: number;
	isSharp: boolean;
}

/** Pain remains a reason until it is dealt with, however long ago it was reported. */
export const pain: ReasonDefinition<'pain', PainFigures> = {
	kind: 'pain',
	group: 'safety',
	title: 'Pain reported',
	firstAction: 'wrote',
	isSettledByAnswer: true,
	find({ checkins, undecided }) {
		const hurting = checkins.filter(({ hurts }) => hurts);
		const [last] = hurting;
		if (undecided?.beside && (!last || undecided.at > last.at))
			return {
				since: undecided.at,
				day: undecided.day,
				hurts: undecided.said,
				times: hurting.length + 1,
				isSharp: undecided.isSharp
			};
		return last
			? {
					since: last.at,
					day: last.day,
					hurts: last.hurts!,
					times: hurting.length,
					isSharp: readPain(last.hurts!).isSharp || (undecided?.day === last.day && undecided.isSharp)
				}
			: null;
	},
	sentence({ day, hurts, times, isSharp, since }, { when }) {
		const again =
			times > 1
				? `, told ${times === 2 ? 'twice' : `${times} times`} in the last ${CHECKINS_SEEN} check-ins`
				: '';
		const on = day === null ? ', beside the plan' : ` on day ${day}`;
		return `${isSharp ? 'Sharp: ' : ''}“${hurts}”${on}, ${when(since)}${again}.`;
	},
	draft: ({ hurts, isSharp }) => ({
		says: `You wrote that something hurts: “${hurts}”.`,
		advice: isSharp
			? 'Your next sessions spare what hurts. Sharp pain is a reason to stop: please let a doctor or physiotherapist look at it before you go on.'
			: 'Your next sessions spare what hurts. If it turns sharp, or is still there when you rest, please let a doctor or physiotherapist look at it.',
		asks: 'How is it today?',
		kindly: NO_HURRY
	})
};
