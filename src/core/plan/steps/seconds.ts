import { PLAN_LIMITS } from '../limits';
import { targetText, withAmounts } from '../../session';
import { MINUTE, steppedPart, type StepDefinition } from './definition';

/** Longer work: of the block in a circuit, steady cardio and hard intervals, else of the exercise. */
export const seconds: StepDefinition<{ kind: 'seconds'; seconds: number }> = {
	kind: 'seconds',
	label: 'longer',
	fields: [{ key: 'seconds', unit: 's', says: 'seconds a step', most: PLAN_LIMITS.seconds, step: 5 }],
	initial: { kind: 'seconds', seconds: 5 },
	text: (step) => `+${step.seconds} s`,
	changeBlock: (step, times, block) =>
		block.has('work')
			? block.turn('work', (field, now) =>
					field.label === 'minutes'
						? now + Math.round((times * step.seconds) / MINUTE)
						: now + times * step.seconds
				)
			: null,
	changePart: (step, times, part) =>
		part.target.kind === 'seconds'
			? steppedPart(
					part,
					withAmounts(part, (now) => now + times * step.seconds),
					'seconds',
					targetText
				)
			: null
};
