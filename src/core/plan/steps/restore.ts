import type { StepDefinition } from './definition';

/** Left out before the rule's first week, put back from then on. */
export const restore: StepDefinition<{ kind: 'restore' }> = {
	kind: 'restore',
	label: 'put back what is left out',
	fields: [],
	initial: { kind: 'restore' },
	text: () => 'put back',
	isPlacement: true
};
