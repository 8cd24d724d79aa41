import { expose } from 'comlink';
import { libraryOf, type Exercise } from '$core/library';
import { fitToMinutes, optionsOf, type Fit, type HouseRules } from '$core/review';
import type { Session } from '$core/session';

const work = {
	fit: (session: Session, minutes: number, own: readonly Exercise[], house: HouseRules): Fit =>
		fitToMinutes(session, minutes, optionsOf(house, libraryOf(own)))
};
export type FitWork = typeof work;

expose(work);
