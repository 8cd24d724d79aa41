import { expose } from 'comlink';
import { fitToMinutes, type Fit } from '$core/analysis';
import type { Exercise } from '$core/exercise';
import type { HouseRules } from '$core/practice';
import type { Session } from '$core/session';
import { workshopOf } from './workshop';

const work = {
	fit: (session: Session, minutes: number, own: readonly Exercise[], house: HouseRules): Fit =>
		fitToMinutes(session, minutes, workshopOf(own, house, 'kg'))
};
export type FitWork = typeof work;

expose(work);
