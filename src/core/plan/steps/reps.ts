import { PLAN_LIMITS } from '../limits';
import { targetText, withAmounts } from '../../session';
import { steppedPart, type StepDefinition } from './definition';

export const reps: StepDefinition<{ kind: 'reps'; reps: number }> = {
	kind: 'reps',
	label: 'more reps',
	fields: [{ key: 'reps', unit: 'reps', says: 'repetitions a step', most: PLAN_LIMITS.reps, step: 1 }],
	initial: { kind: 'reps', reps: 1 },
	text: (step) => `+${step.reps} ${step.reps === 1 ? 'rep' : 'reps'}`,
	changePart: (step, times, part) =>
		part.target.kind === 'reps'
			? steppedPart(
					part,
					withAmounts(part, (now) => now + times * step.reps),
					'reps',
					targetText
				)
			: null
};
