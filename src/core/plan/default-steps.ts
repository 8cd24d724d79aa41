import type { Step, StepKind } from './model';

/** A step with the amounts that are usual (common practice, no source). */
export const DEFAULT_STEPS: Record<StepKind, Step> = {
	double: { kind: 'double', top: 12, kg: 2 },
	load: { kind: 'load', kg: 1 },
	reps: { kind: 'reps', reps: 1 },
	seconds: { kind: 'seconds', seconds: 5 },
	rounds: { kind: 'rounds', rounds: 1 },
	rest: { kind: 'rest', seconds: 5 },
	tempo: { kind: 'tempo', seconds: 1 },
	variation: { kind: 'variation' },
	restore: { kind: 'restore' }
};
