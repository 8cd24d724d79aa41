import type { Tempo } from '../exercise';

/** What an override applies to: the whole session of the day, one of its blocks, or an exercise wherever it occurs. */
export type OverrideTarget =
	{ kind: 'day' } | { kind: 'block'; block: number } | { kind: 'exercise'; exercise: string };

export type OverrideChange =
	| { kind: 'leave out' }
	| { kind: 'replace'; exercise: string }
	/** Share of repetitions, seconds or metres, or of rounds in a block that gives the time itself: above 0, at most 2. */
	| { kind: 'scale'; share: number }
	/** Load in kg, or null for bodyweight. */
	| { kind: 'load'; kg: number | null }
	/** Repetitions, seconds or metres of each set, in the unit of the exercise. */
	| { kind: 'amount'; amount: number }
	| { kind: 'tempo'; tempo: Tempo }
	/** Seconds after each set or round. Of an exercise: in blocks that have no other one. */
	| { kind: 'rest'; seconds: number };

/** Causes of an override; it is revoked by its cause. */
export interface Origin {
	kind: 'coach' | 'incident' | 're-entry' | 'adaptation' | 'participant';
	/** Id of the coach, incident, re-entry or adaptation; null if unknown. */
	id: string | null;
}

export interface Override {
	target: OverrideTarget;
	change: OverrideChange;
	/** Days of the challenge, from 1, both included; `toDay` is null for no end. */
	fromDay: number;
	toDay: number | null;
	/** Reason shown to the participant. */
	why: string;
}

export const appliesOn = ({ fromDay, toDay }: Pick<Override, 'fromDay' | 'toDay'>, day: number): boolean =>
	day >= fromDay && (toDay === null || day <= toDay);
