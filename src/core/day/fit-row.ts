/** A session of the plan beside what one person gets of it, exercise by exercise. */
import type { Practice } from '../practice';
import { amountOf, loadText, partFor, sessionSeconds, type Session } from '../session';
import type { Level } from '../people';
import type { PersonalSession, Unfit } from './personal';

/** What somebody does where the plan has an exercise. */
export interface FitCell {
	/** Null: it is left out. */
	exercise: string | null;
	load: string | null;
	/** As planned, with another load, another exercise, or left out. */
	kind: 'same' | 'load' | 'exercise' | 'out';
	/** Null where nothing differs. */
	why: string | null;
}

export interface FitRow {
	/** In the order of `plannedParts`. */
	cells: FitCell[];
	/** Expected length in seconds; 0 where nothing is left. */
	seconds: number;
	/** Exercises for which nothing is safe and at hand. */
	unfit: readonly Unfit[];
	/** Nothing of the session is left for them. */
	nothing: boolean;
}

export interface PlannedPart {
	block: number;
	part: number;
	exercise: string;
	load: string | null;
}

/** What a session asks of everybody, in order. */
export const plannedParts = (session: Session): PlannedPart[] =>
	session.blocks.flatMap(({ parts }, block) =>
		parts.map((one, part) => ({ block, part, exercise: one.exercise, load: loadText(one) }))
	);

/** @param own null: nothing is left of it */
export function fitRow(
	planned: Session,
	own: PersonalSession | null,
	level: Level,
	practice: Practice
): FitRow {
	const asked = new Map((own?.asked ?? []).map((one) => [`${one.block}.${one.part}`, one]));
	const why = new Map((own?.changes ?? []).map((change) => [change.from, change.why]));
	const cells = planned.blocks.flatMap(({ parts }, b) =>
		parts.map((part, p): FitCell => {
			const theirs = asked.get(`${b}.${p}`);
			const reason = why.get(part.exercise) ?? null;
			if (!theirs) return { exercise: null, load: null, kind: 'out', why: reason };
			const load = loadText(theirs);
			if (theirs.exercise !== part.exercise)
				return { exercise: theirs.exercise, load, kind: 'exercise', why: reason };
			const usual = loadText(partFor(part, level));
			// A load where the plan left it open is no difference.
			const isLess =
				amountOf(theirs.target) < amountOf(part.target) && theirs.target.kind === part.target.kind;
			const differs = (usual !== null && load !== usual) || (isLess && reason !== null);
			return { exercise: part.exercise, load, kind: differs ? 'load' : 'same', why: differs ? reason : null };
		})
	);
	return {
		cells,
		seconds: own ? sessionSeconds(own.session, practice) : 0,
		unfit: own?.unfit ?? [],
		nothing: own === null
	};
}
