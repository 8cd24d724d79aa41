import { NO_HURRY, type ReasonDefinition } from '../definition';

interface ReviewFigures {
	/** In the person's words. */
	said: string;
}

export const review: ReasonDefinition<'review', ReviewFigures> = {
	kind: 'review',
	group: 'safety',
	title: 'Review before day one',
	firstAction: 'wrote',
	isSettledByAnswer: true,
	find: ({ review: remark }) => remark && { since: remark.at, said: remark.said },
	sentence: ({ said }) =>
		`In their own words: “${said}”. Places that were understood are spared; read it before they begin.`,
	draft: ({ said }) => ({
		says: `You wrote about your health: “${said}”.`,
		asks: 'Can you tell me more: since when, and what makes it worse?',
		advice: 'If a doctor or physiotherapist treats it, please ask them what to leave out.',
		kindly: NO_HURRY
	})
};
