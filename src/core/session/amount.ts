import { loadText } from './loads';
import type { Part, Target } from './parts';

/** The bare number of a target, in its own unit; the lower end of one that leaves a choice. */
export function amountOf(target: Target): number {
	if (target.kind === 'reps') return target.reps;
	return target.kind === 'seconds' ? target.seconds : target.metres;
}

/** The upper end of a target; its number where it leaves no choice. */
export const upperOf = (target: Target): number => target.to ?? amountOf(target);

/** What is expected of somebody who may choose: the middle. */
export const expectedOf = (target: Target): number => (amountOf(target) + upperOf(target)) / 2;

/** A target of a kind with an amount. */
export function targetOf(kind: Target['kind'], amount: number): Target {
	if (kind === 'seconds') return { kind, seconds: amount };
	return kind === 'metres' ? { kind, metres: amount } : { kind, reps: amount };
}

/** What a set asks for, counted from 1: its own amount where sets differ. */
export function targetOfSet({ target, each }: Pick<Part, 'target' | 'each'>, set: number): Target {
	const amount = each?.[Math.min(set, each.length) - 1];
	return amount === undefined ? target : targetOf(target.kind, amount);
}

const UNITS = { reps: 'reps', seconds: 's', metres: 'm' } as const;
export const unitOf = (target: Target): string => UNITS[target.kind];

const numbersText = (target: Target, each?: readonly number[]): string =>
	each ? each.join('/') : `${amountOf(target)}${target.to === undefined ? '' : `-${target.to}`}`;

/** An amount with its unit: `10 reps`, `20-30 s`, `12/10/8 reps`. */
export const amountsText = (target: Target, each?: readonly number[]): string =>
	`${numbersText(target, each)} ${unitOf(target)}`;

/** A target in words: `10 reps`, `30 s per side`, `10 or 30 s`, `40 m`. */
export function targetText(
	part: Pick<Part, 'target' | 'perSide' | 'or' | 'partial' | 'each' | 'eachWay'>
): string {
	const bare = part.target.kind === 'reps' && (part.perSide || part.or || part.partial);
	return [
		bare ? numbersText(part.target, part.each) : amountsText(part.target, part.each),
		part.or ? `or ${amountsText(part.or)}` : '',
		part.partial ?? '',
		part.eachWay ? 'each way' : '',
		part.perSide ? 'per side' : ''
	]
		.filter(Boolean)
		.join(' ');
}

/** A part with each of its amounts changed in the same way: of one set, of all, and of what may be done instead of them. */
export function withAmounts(part: Part, change: (amount: number, kind: Target['kind']) => number): Part {
	const { kind, to } = part.target;
	const low = change(amountOf(part.target), kind);
	const high = to === undefined ? low : change(to, kind);
	return {
		...part,
		target: high > low ? { ...targetOf(kind, low), to: high } : targetOf(kind, low),
		...(part.each && { each: part.each.map((amount) => change(amount, kind)) })
	};
}

/** A part whose amounts of single sets are as many as there are sets: the last one goes on. */
export function withSets(part: Part, sets: number): Part {
	if (!part.each) return part;
	const each = Array.from({ length: sets }, (_, i) => amountOf(targetOfSet(part, i + 1)));
	if (each.length > 1) return { ...part, each };
	const { each: _, ...bare } = part;
	return bare;
}

/** A pace as runners say it: `6:00/km`; null where none is given. */
export const paceText = ({ pace }: Pick<Part, 'pace'>): string | null =>
	pace === undefined ? null : `${Math.floor(pace / 60)}:${String(Math.round(pace % 60)).padStart(2, '0')}/km`;

/** With what, how fast and how hard: `12 kg, effort 7-9`; null where nothing is said of any. */
export const howText = (
	part: Pick<Part, 'kg' | 'kgByLevel' | 'weights' | 'resistance' | 'pace' | 'effort'>
): string | null => [loadText(part), paceText(part), effortText(part)].filter(Boolean).join(', ') || null;

/** How hard a part should be: `effort 8`, `effort 7-9`; null where nothing is said of it. */
export function effortText({ effort }: Pick<Part, 'effort'>): string | null {
	if (!effort) return null;
	return `effort ${effort.low}${effort.high > effort.low ? `-${effort.high}` : ''}`;
}
