/** What a coach, or somebody themselves, decided to be different in their sessions. */

/** What an override is about: the whole session of the day, a block of it, or an exercise wherever it comes. */
export type OverrideTarget =
	{ kind: 'day' } | { kind: 'block'; block: number } | { kind: 'exercise'; exercise: string };

export type OverrideChange =
	| { kind: 'leave out' }
	/** Another exercise in its place. */
	| { kind: 'replace'; exercise: string }
	/** More or less of it: repetitions, seconds or metres, or rounds where the block gives the time. Above 0, at most 2. */
	| { kind: 'scale'; share: number }
	/** Another load; null: the body alone. */
	| { kind: 'load'; kg: number | null };

export interface Override {
	target: OverrideTarget;
	change: OverrideChange;
	/** Days of the challenge, from 1, both included; `toDay` null: from then on. */
	fromDay: number;
	toDay: number | null;
	/** Why, for the person to read. */
	why: string;
}

export const appliesOn = ({ fromDay, toDay }: Pick<Override, 'fromDay' | 'toDay'>, day: number): boolean =>
	day >= fromDay && (toDay === null || day <= toDay);
