import type { Part } from '../../session';
import { steppedPart, type StepDefinition } from './definition';

export const tempo: StepDefinition<{ kind: 'tempo'; seconds: number }> = {
	kind: 'tempo',
	label: 'slower',
	fields: [{ key: 'seconds', unit: 's slower down', says: 'seconds a step', most: 10, step: 1 }],
	initial: { kind: 'tempo', seconds: 1 },
	text: ({ seconds }) => `${seconds} s slower down`,
	changePart({ seconds }, times, part, practice) {
		if (part.target.kind !== 'reps') return null;
		const [down, ...others] =
			part.tempo ?? practice.library.find(part.exercise)?.tempo ?? practice.house.tempo;
		const text = (one: Part) => (one.tempo ?? [down, ...others]).join('-');
		return steppedPart(part, { ...part, tempo: [down + times * seconds, ...others] }, 'tempo', text);
	}
};
