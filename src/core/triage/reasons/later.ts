import { median } from 'simple-statistics';
import { NO_HURRY, type ReasonDefinition } from '../definition';
import { HOUR, latelyAndBefore } from '../history';

interface LaterFigures {
	/** Median hours between the opening of a day and its check-in. */
	lately: number;
	before: number;
}

export const later: ReasonDefinition<'later', LaterFigures> = {
	kind: 'later',
	group: 'retention',
	title: 'Checks in later',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find({ checkins, days }, { laterBy }) {
		const hours = checkins.flatMap(({ day, at }) => {
			const opens = days[day - 1]?.window.opens;
			return opens === undefined ? [] : Math.max(0, at - opens) / HOUR;
		});
		const both = latelyAndBefore(hours);
		if (!both) return null;
		const lately = median(both.lately);
		const before = median(both.before);
		return lately - before >= laterBy ? { since: checkins[0]!.at, lately, before } : null;
	},
	sentence: ({ lately, before }) =>
		`The last three check-ins came ${Math.round(lately)} h after the day opened, those before ${Math.round(before)} h after it.`,
	draft: () => ({
		says: 'You train later in the day than you used to.',
		asks: 'Does the hour still fit?',
		offers: 'If another hour suits you better, tell me which.',
		kindly: NO_HURRY
	})
};
