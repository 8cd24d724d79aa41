import type { Attendance } from '../attendance';
import type { PersonDay, Strip } from '../day';
import type { Hold } from '../health';
import type { Losing } from '../measures';
import type { BestResult, SidesDone } from '../progress';

/** A check-in as triage sees it. */
export interface CheckinSeen {
	day: number;
	/** Epoch milliseconds at which the work was done, or reported. */
	at: number;
	/** 0…1 */
	credit: number;
	/** 0…10 */
	effort: number | null;
	/** 1…5 */
	energy: number | null;
	/** 1…5 */
	mood: number | null;
	hurts: string | null;
	/** Of exercises that are done on each side. */
	sides: SidesDone[];
	/** Best result of a test. */
	best: BestResult | null;
}

/** Facts about a person at an instant; every reason is found in them. */
export interface TriageFacts {
	days: readonly PersonDay[];
	strip: Strip;
	attendance: Pick<Attendance, 'silent' | 'trend' | 'weeks' | 'lastSeen'>;
	holds: readonly Hold[];
	/** The latest undecided warning sign in the person's words, or null if there is none. */
	stopped: string | null;
	/** The latest undecided pain report, or null if there is none. `beside`: it belongs to no check-in. */
	undecided: {
		at: number;
		said: string;
		day: number | null;
		beside: boolean;
		isSharp: boolean;
	} | null;
	/** Remarks on their health for the coach to read, or null if there are none. */
	review: { at: number; said: string } | null;
	/** The highest effort that suits them, 0…10, or null without a limit of their own. */
	effortMost: number | null;
	/** A follow-up that is due, with the time of the decision, or null if there is none. */
	followUp: { at: number; said: string } | null;
	/** Weight loss that is too fast, with the time of the latest measurement, or null. */
	losing: (Losing & { since: number }) | null;
	/** Current check-ins, the newest first, at most `CHECKINS_SEEN`. */
	checkins: readonly CheckinSeen[];
}

/** Check-ins that triage reads. */
export const CHECKINS_SEEN = 10;
