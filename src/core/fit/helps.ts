/** What would let somebody do something where nothing fits. */
import { AT_HOME, ITEMS, type Exercise, type Item } from '../exercise';
import { kitOfItems } from '../kit';
import type { Practice } from '../practice';
import { substitute } from '../substitution';
import type { FitProfile } from './profile';

export interface Help {
	/** One thing more to have. */
	item: Item;
	/** What they could then do. */
	exercise: string;
}

/** Things that most people can get hold of come first. */
const EASY_TO_GET: readonly Item[] = [
	'band',
	'loop band',
	'mat',
	'loaded backpack',
	'light dumbbell',
	'dumbbell'
];

/**
 * The one thing more with which somebody could do something like an exercise, within their limits; the easiest to get first,
 * two at most.
 *
 * @returns none where no thing helps: limits alone leave nothing
 */
export function whatHelps(exercise: Exercise, { kit, limits }: FitProfile, practice: Practice): Help[] {
	if (kit === null) return [];
	const items = [
		...EASY_TO_GET,
		...ITEMS.filter((item) => !AT_HOME.has(item) && !EASY_TO_GET.includes(item))
	];
	const found: Help[] = [];
	for (const item of items) {
		const to = substitute(exercise, { kit: [...kit, ...kitOfItems([item])], limits }, practice)?.exercise;
		const isUsed = to?.equipment.some((need) => need.item === item);
		if (to && isUsed && !found.some((one) => one.exercise === to.name))
			found.push({ item, exercise: to.name });
		if (found.length === 2) break;
	}
	return found;
}
