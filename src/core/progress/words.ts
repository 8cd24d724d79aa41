/** What was done, as one says it. */
import { weightIn, type Units } from '../kit';
import { amountWords } from '../run';
import type { Performance, SetDone } from './done-day';
import type { Gain } from './gains';

type How = Pick<Performance, 'unit' | 'perSide' | 'means'>;

/** `with 12 kg`, `with 2 × 12 kg`, `with light band`; empty for the body alone. */
function withWords(kg: number | null, { means }: How, units: Units): string {
	if (kg === null) return means ? ` with ${means}` : '';
	return ` with ${means ? `${means} ` : ''}${weightIn(kg, units)} ${units}`;
}

/** `8 reps per side with 12 kg`. */
export const setWords = ({ amount, kg }: SetDone, how: How, units: Units): string =>
	`${amountWords(amount, how.unit)}${how.perSide ? ' per side' : ''}${withWords(kg, how, units)}`;

/** `8, 8, 7 reps with 12 kg`; sets with another load by themselves: `8 reps with 12 kg, 6 reps with 14 kg`. */
export function setsWords({ sets, ...how }: How & { sets: readonly SetDone[] }, units: Units): string {
	const [first] = sets;
	if (!first) return 'none';
	if (sets.some(({ kg }) => kg !== first.kg)) return sets.map((set) => setWords(set, how, units)).join(', ');
	const amounts = sets.map(({ amount }) => amount);
	if (amounts.length > 1 && amounts.every((amount) => amount === first.amount))
		return `${amounts.length} × ${setWords(first, how, units)}`;
	const before = amounts.slice(0, -1).map((amount) => `${amount}, `);
	return `${before.join('')}${setWords({ amount: amounts.at(-1) ?? 0, kg: first.kg }, how, units)}`;
}

/** The figures of a gain: what it is now, and what it was. */
export function gainWords(gain: Gain, units: Units): { what: string; now: string; before: string } {
	if (gain.kind === 'total') {
		const total = (amount: number) => `${setWords({ amount, kg: gain.kg }, gain, units)} in all`;
		return { what: 'more in all', now: total(gain.now), before: total(gain.before) };
	}
	const longer = gain.unit === 's' ? 'longer' : 'further';
	const more = gain.unit === 'reps' ? 'more in a set' : longer;
	return {
		what: gain.kind === 'load' ? 'heavier' : more,
		now: setWords(gain.now, gain, units),
		before: setWords(gain.before, gain, units)
	};
}

/** Work beyond the plan: `Plank, 60 seconds; Squat, 20 reps with 12 kg`. */
export const beyondWords = (
	beyond: readonly { exercise: string; amount: number; unit: Performance['unit']; kg: number | null }[],
	units: Units
): string =>
	beyond
		.map(
			({ exercise, unit, ...set }) =>
				`${exercise}, ${setWords(set, { unit, perSide: false, means: null }, units)}`
		)
		.join('; ');
