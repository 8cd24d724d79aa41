import { holdAt, type HoldReason } from '../../health';
import { NO_HURRY, type ReasonDefinition } from '../definition';

const SENTENCES: Record<HeldFigures['why'], string> = {
	clearance: 'A professional has to say yes first, so nothing is released.',
	'clearance over': 'The clearance has run out, so nothing is released.',
	pain: 'You hold them because of pain, so nothing is released until you say that it is over.'
};

interface HeldFigures {
	why: Exclude<HoldReason, 'stopped' | 'questions'>;
}

export const held: ReasonDefinition<'held', HeldFigures> = {
	kind: 'held',
	group: 'safety',
	title: 'On hold',
	firstAction: 'asked',
	isSettledByAnswer: false,
	find({ holds }, _, now) {
		const hold = holdAt(holds, now);
		if (hold === null || hold.reason === 'stopped' || hold.reason === 'questions') return null;
		return { since: hold.from, why: hold.reason };
	},
	sentence: ({ why }) => SENTENCES[why],
	draft: ({ why }) =>
		why === 'pain'
			? {
					says: 'Your sessions are on hold until we have talked about what hurts.',
					asks: 'How is it today?',
					advice: 'If it is sharp or lasts, please let a doctor or physiotherapist look at it.',
					kindly: NO_HURRY
				}
			: {
					says: 'Before you train I need an OK from a doctor or whoever treats you: your answers ask for one.',
					asks: 'Have you been able to ask?',
					advice: 'Please tell me who gave it, and when.',
					kindly: NO_HURRY
				}
};
