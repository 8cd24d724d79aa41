import type { Part, Target } from './parts';

/** The bare number of a target, in its own unit. */
export function amountOf(target: Target): number {
	if (target.kind === 'reps') return target.reps;
	return target.kind === 'seconds' ? target.seconds : target.metres;
}

/** A target of a kind with an amount. */
export function targetOf(kind: Target['kind'], amount: number): Target {
	if (kind === 'seconds') return { kind, seconds: amount };
	return kind === 'metres' ? { kind, metres: amount } : { kind, reps: amount };
}

const UNITS = { reps: 'reps', seconds: 's', metres: 'm' } as const;
export const unitOf = (target: Target): string => UNITS[target.kind];

const amountWords = (target: Target): string => `${amountOf(target)} ${unitOf(target)}`;

/** A target in words: `10 reps`, `30 s per side`, `10 or 30 s`, `40 m`. */
export function targetText(part: Pick<Part, 'target' | 'perSide' | 'or' | 'partial'>): string {
	const bare = part.target.kind === 'reps' && (part.perSide || part.or || part.partial);
	return [
		bare ? String(amountOf(part.target)) : amountWords(part.target),
		part.or ? `or ${amountWords(part.or)}` : '',
		part.partial ?? '',
		part.perSide ? 'per side' : ''
	]
		.filter(Boolean)
		.join(' ');
}
