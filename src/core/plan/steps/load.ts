import { PLAN_LIMITS } from '../limits';
import { withLoads } from '../../session';
import { loadOf, steppedPart, tenth, type StepDefinition } from './definition';

export const load: StepDefinition<{ kind: 'load'; kg: number }> = {
	kind: 'load',
	label: 'more load',
	fields: [{ key: 'kg', unit: 'kg', says: 'kilograms a step', most: PLAN_LIMITS.kg, step: 0.5 }],
	initial: { kind: 'load', kg: 1 },
	text: ({ kg }) => `+${kg} kg`,
	changePart: ({ kg }, times, part) =>
		part.kg === null
			? null
			: steppedPart(
					part,
					withLoads(part, (now) => tenth(now + times * kg)),
					'load',
					loadOf
				)
};
