import { getContext, setContext } from 'svelte';
import { libraryOf, type Exercise } from '$core/exercise';
import type { Units } from '$core/kit';
import { DEFAULT_TIMING, type HouseRules, type Practice } from '$core/practice';

/** What building needs to know beside the session: how this coach works, and which exercises are her own. */
export interface Workshop extends Practice {
	readonly own: readonly Exercise[];
	/** In which the coach reads and types loads. */
	readonly units: Units;
}

const KEY = Symbol('workshop');

export const workshopOf = (own: readonly Exercise[], house: HouseRules, units: Units): Workshop => ({
	own,
	units,
	library: libraryOf(own),
	house,
	timing: DEFAULT_TIMING
});

/** `current` is asked anew each time, so that what is saved meanwhile shows. */
export const provideWorkshop = (current: () => Workshop): void => {
	setContext(KEY, current);
};

export const workshop = (): (() => Workshop) => getContext<() => Workshop>(KEY);
