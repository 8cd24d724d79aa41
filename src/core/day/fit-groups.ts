/** People of a day together whom the same is different for, those who need attention first. */
import type { HoldReason } from '../health';
import type { FitRow } from './fit-row';

/** Why a coach should look at a group, the most urgent first. */
export const ATTENTION = ['nothing', 'held', 'left out', 'longer', 'none'] as const;
export type Attention = (typeof ATTENTION)[number];

/** One thing that is different from the plan. */
export interface Difference {
	/** As planned: `Goblet squat, 12 kg`. */
	from: string;
	/** As they get it; null where it is left out. */
	to: string | null;
	why: string | null;
}

export interface FitGroup<P> {
	attention: Attention;
	people: P[];
	/** Empty for those who get it as planned. */
	differences: Difference[];
}

interface Grouped {
	row: FitRow;
	/** It takes them longer than they have. */
	over: boolean;
	/** Why nothing is released to them, or null. */
	hold: HoldReason | null;
}

const withLoad = (exercise: string, load: string | null): string =>
	load ? `${exercise}, ${load}` : exercise;

function differencesOf(
	{ cells }: FitRow,
	planned: readonly { exercise: string; load: string | null }[]
): Difference[] {
	const all = cells.flatMap(({ exercise, load, kind, why }, i): Difference[] => {
		const before = planned[i];
		if (kind === 'same' || !before) return [];
		return [{ from: withLoad(before.exercise, before.load), to: exercise && withLoad(exercise, load), why }];
	});
	// The same exercise in several places is one difference.
	return all.filter((one, i) => all.findIndex(({ from, to }) => from === one.from && to === one.to) === i);
}

const attentionOf = ({ row, over, hold }: Grouped): Attention =>
	row.nothing
		? 'nothing'
		: hold !== null
			? 'held'
			: row.unfit.some(({ role }) => role === 'main')
				? 'left out'
				: over
					? 'longer'
					: 'none';

/**
 * Groups people by what is different for them.
 *
 * @param planned what the session asks of everyone, in the order of the cells
 * @returns groups that need attention first, those who get it as planned last; larger groups before smaller ones
 */
export function fitGroups<P extends Grouped>(
	people: readonly P[],
	planned: readonly { exercise: string; load: string | null }[]
): FitGroup<P>[] {
	const groups = new Map<string, FitGroup<P>>();
	for (const person of people) {
		const attention = attentionOf(person);
		// Whom nothing is released to need not be told apart.
		const differences = attention === 'held' ? [] : differencesOf(person.row, planned);
		const key = JSON.stringify([attention, differences.map(({ from, to }) => [from, to])]);
		const group = groups.get(key) ?? { attention, people: [], differences };
		group.people.push(person);
		groups.set(key, group);
	}
	const order = (one: FitGroup<P>) =>
		ATTENTION.indexOf(one.attention) + (one.differences.length === 0 && one.attention === 'none' ? 1 : 0);
	return [...groups.values()].sort((a, b) => order(a) - order(b) || b.people.length - a.people.length);
}
