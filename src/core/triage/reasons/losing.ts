import type { Losing } from '../../measures';
import { counted } from '../../text/words';
import { NO_HURRY, type ReasonDefinition } from '../definition';

export const losing: ReasonDefinition<'losing', Losing> = {
	kind: 'losing',
	group: 'safety',
	title: 'Losing weight fast',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find: ({ losing: found }) => found,
	sentence: ({ kgPerWeek, days, share }) =>
		`${Math.abs(kgPerWeek).toFixed(1)} kg a week over ${counted(Math.round(days), 'day')}, ${(share * 100).toFixed(1)} % of their weight; more than 1 % a week is too fast.`,
	draft: ({ kgPerWeek }) => ({
		says: `Your weight is down about ${Math.abs(kgPerWeek).toFixed(1)} kg a week, and that is faster than I’d like.`,
		advice:
			'Training needs food, so please don’t cut any further. If you didn’t mean to lose it, or it goes on, see a doctor or dietitian.',
		asks: 'How are you eating these days?',
		kindly: NO_HURRY
	})
};
