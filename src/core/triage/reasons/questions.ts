import { holdAt } from '../../health';
import { WITH_US, type ReasonDefinition } from '../definition';

export const questions: ReasonDefinition<'questions', object> = {
	kind: 'questions',
	group: 'unanswered',
	title: 'Not answered yet',
	firstAction: 'wrote',
	isSettledByAnswer: false,
	find({ holds }, _, now) {
		const hold = holdAt(holds, now);
		return hold?.reason === 'questions' ? { since: hold.from } : null;
	},
	sentence: () => 'The health questions are open, so nothing is released.',
	draft: () => ({
		says: 'Your sessions open as soon as you have answered the questions about your health.',
		offers: 'It takes about four minutes.',
		asks: 'Is anything unclear?',
		kindly: WITH_US
	})
};
