import { PLAN_LIMITS } from '../limits';
import { targetText, withAmounts, withLoads } from '../../session';
import { loadOf, steppedPart, tenth, type StepDefinition } from './definition';

/** Double progression: one more repetition up to `top`, then a heavier load and back to the first number. */
export const double: StepDefinition<{ kind: 'double'; top: number; kg: number }> = {
	kind: 'double',
	label: 'reps, then load',
	fields: [
		{ key: 'top', unit: 'reps at the top', says: 'repetitions at the top', most: PLAN_LIMITS.reps, step: 1 },
		{ key: 'kg', unit: 'kg then', says: 'kilograms a step', most: PLAN_LIMITS.kg, step: 0.5 }
	],
	initial: { kind: 'double', top: 12, kg: 2 },
	text: ({ top, kg }) => `+1 rep up to ${top}, then +${kg} kg`,
	changePart({ top, kg }, times, part) {
		if (part.target.kind !== 'reps') return null;
		const climb = Math.max(0, top - part.target.reps);
		const [heavier, more] =
			part.kg === null ? [0, Math.min(times, climb)] : [Math.floor(times / (climb + 1)), times % (climb + 1)];
		const next = withLoads(
			withAmounts(part, (reps) => reps + more),
			(now) => tenth(now + heavier * kg)
		);
		const stuck =
			part.kg === null && times > climb ? `${top} reps are reached, with no load to add` : undefined;
		return steppedPart(part, next, 'reps, then load', (one) => `${targetText(one)} at ${loadOf(one)}`, stuck);
	}
};
