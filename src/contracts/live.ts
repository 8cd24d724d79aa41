import { array, number, object, string } from 'yup';
import type { DayState } from '$core/day';
import { BODY_AREAS, type BodyArea } from '$core/run';

/** Where somebody can be in a session that is led. */
export const PHASES = ['ready', 'going', 'paused', 'over', 'left'] as const;
export type LivePhase = (typeof PHASES)[number];

/** What a phone tells of a session under way, while it is online. */
export const liveSchema = object({
	day: number()
		.integer('the day is a whole number')
		.min(1, 'a day from 1')
		.max(84, 'a day up to 84')
		.required('say which day'),
	phase: string().oneOf(PHASES, 'say where in the session').required('say where in the session'),
	/** What is done right now. */
	what: string().trim().max(120, 'at most 120 letters').nullable().default(null),
	share: number().min(0, 'a share from 0 to 1').max(1, 'a share from 0 to 1').required('say how far'),
	/** Every “this hurts” so far. */
	hurts: array(
		object({
			exercise: string().trim().max(80, 'at most 80 letters').required('say in which exercise'),
			area: string().oneOf(BODY_AREAS, 'say where it hurts').required('say where it hurts')
		}).required()
	)
		.max(20, 'at most 20 places')
		.default([])
});

/** Somebody in a session, as a coach sees them. */
export interface Present {
	/** Of the enrolment. */
	id: string;
	name: string;
	day: number;
	phase: LivePhase;
	what: string | null;
	/** Of the session's time, 0…1. */
	share: number;
	hurts: { exercise: string; area: BodyArea }[];
	/** When it was heard. Epoch milliseconds. */
	at: number;
	/** Nothing was heard for a while. */
	quiet: boolean;
}

/** A group as it stands with a day at this very moment. */
export interface LiveGroup {
	/** Whose day it is, by name. */
	group: { id: string; name: string; state: DayState; credit: number }[];
	/** Who is in a session, whichever day's. */
	present: Present[];
}
