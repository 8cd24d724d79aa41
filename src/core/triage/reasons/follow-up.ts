import { NO_HURRY, type ReasonDefinition } from '../definition';

interface FollowUpFigures {
	/** What the coach wanted to ask after. */
	about: string;
}

export const followUp: ReasonDefinition<'follow up', FollowUpFigures> = {
	kind: 'follow up',
	group: 'safety',
	title: 'Ask after it',
	firstAction: 'wrote',
	isSettledByAnswer: true,
	find: ({ followUp: due }) => due && { since: due.at, about: due.said },
	sentence: ({ about }) => `You wanted to ask after “${about}” by today.`,
	draft: ({ about }) => ({
		says: `I wanted to ask after “${about}”.`,
		asks: 'How is it now?',
		advice: 'If it still hurts, please let a doctor or physiotherapist look at it before you go on.',
		kindly: NO_HURRY
	})
};
