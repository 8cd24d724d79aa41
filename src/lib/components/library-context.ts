import { getContext, setContext } from 'svelte';
import { libraryOf, type Exercise, type Library } from '$core/library';
import { optionsOf, type HouseRules } from '$core/review';
import type { TimelineOptions } from '$core/session';

/** What building needs to know beside the session: the coach's library and her house rules. */
export interface Workshop {
	readonly own: readonly Exercise[];
	readonly library: Library;
	readonly house: HouseRules;
	/** How sessions are timed. */
	readonly options: TimelineOptions;
}

const KEY = Symbol('workshop');

export function workshopOf(own: readonly Exercise[], house: HouseRules): Workshop {
	const library = libraryOf(own);
	return { own, library, house, options: optionsOf(house, library) };
}

/** `current` is asked anew each time, so that what is saved meanwhile shows. */
export const provideWorkshop = (current: () => Workshop): void => {
	setContext(KEY, current);
};

export const workshop = (): (() => Workshop) => getContext<() => Workshop>(KEY);
