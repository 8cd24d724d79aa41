import type { Exercise } from '../../exercise';

/** Ways on foot: what is done for minutes at a pace of one's own, and has no repetitions. */
export const isLocomotion = ({ pattern, tempo, countedIn }: Exercise): boolean =>
	pattern === 'step' && tempo === null && countedIn === 'seconds';
