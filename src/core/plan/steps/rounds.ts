import { PLAN_LIMITS } from '../limits';
import { roundOf, type StepDefinition } from './definition';

export const rounds: StepDefinition<{ kind: 'rounds'; rounds: number }> = {
	kind: 'rounds',
	label: 'more rounds or sets',
	fields: [{ key: 'rounds', unit: 'rounds', says: 'rounds a step', most: PLAN_LIMITS.rounds, step: 1 }],
	initial: { kind: 'rounds', rounds: 1 },
	text: (step) => `+${step.rounds} ${step.rounds === 1 ? 'round' : 'rounds'}`,
	changeBlock: (step, times, turn) =>
		turn.turn('often', (field, now) => now + times * step.rounds * roundOf(turn.block, field))
};
