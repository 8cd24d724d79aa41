import { substitutePart } from '../../substitution';
import { steppedPart, type StepDefinition } from './definition';

export const variation: StepDefinition<{ kind: 'variation' }> = {
	kind: 'variation',
	label: 'harder variation',
	fields: [],
	initial: { kind: 'variation' },
	text: () => 'next variation',
	changePart(_, times, part, practice) {
		let exercise = practice.library.find(part.exercise);
		if (!exercise) return null;
		let stepsTaken = 0;
		for (; stepsTaken < times; stepsTaken++) {
			const harder = practice.library.harder(exercise.name);
			if (!harder) break;
			exercise = harder;
		}
		const next = stepsTaken > 0 ? substitutePart(part, exercise, practice) : part;
		const stuck = stepsTaken < times ? `${exercise.name} is the hardest variation` : undefined;
		return steppedPart(part, next, 'variation', (one) => one.exercise, stuck);
	}
};
