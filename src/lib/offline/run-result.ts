/** The result of a session that was led on this device, as it is sent. */
import type { HeartSummary } from '$core/heart';
import {
	openAbsence,
	rebased,
	runLogOf,
	withAbsence,
	withFirstSide,
	type Absence,
	type RunLog
} from '$core/run';
import type { readCheckinForm } from './check-in-form';
import type { KeptRun } from './store';

export interface DoneRun {
	kept: KeptRun;
	log: RunLog;
	/** What the clock passed while nobody was seen, which does not count before the person has answered. */
	absence: Absence | null;
	/** What a strap told of it. */
	heart: HeartSummary | null;
}

type Input = ReturnType<typeof readCheckinForm>;

/**
 * What was done of a session that is kept, up to now; null where it was never begun.
 *
 * @param heart what a strap told of it
 * @param offset milliseconds by which the server's clock is ahead of the device's, or null if it was not reached
 */
export function doneRun(
	kept: KeptRun | undefined,
	now: number,
	heart: HeartSummary | null = null,
	offset: number | null = null
): DoneRun | null {
	if (!kept || kept.acts.length === 0) return null;
	const { acts, seen, ...rest } = rebased(kept, now, offset);
	const course = withFirstSide(kept.course, kept.first);
	const all = withAbsence(course, acts, seen, now);
	return {
		kept: { ...rest, seen, acts: all },
		log: runLogOf(course, all, now),
		absence: openAbsence(course, all, now),
		heart
	};
}

/** What hurt, as the field for it has it. */
export const hurtsText = ({ hurts }: RunLog): string =>
	hurts
		.map(({ exercise, area }) => `${area === 'elsewhere' ? 'pain' : area}, in ${exercise}`)
		.join('; ')
		.slice(0, 300);

/** The load that the form begins with: that of the first set. */
export const runKg = ({ sets }: RunLog, block: number, part: number): number | null =>
	sets.find((set) => set.block === block && set.part === part)?.kg ?? null;

/** The clock of a page goes by parts of a millisecond. */
const instantOf = (at: number | null): number | null => (at === null ? null : Math.round(at));

const NOT_SAID = { left: null, right: null, effort: null, used: null };

/** The sets of a run with what was changed in the form; what was left there as it stood is as it was noted on the way. */
function setsOf(log: RunLog, typed: Input['sets']): RunLog['sets'] {
	const key = ({ block, part, set }: Pick<RunLog['sets'][number], 'block' | 'part' | 'set'>) =>
		`${block}.${part}.${set}`;
	const noted = new Map(log.sets.map((set) => [key(set), set]));
	for (const own of typed ?? []) {
		const set = noted.get(key(own));
		if (!set) {
			noted.set(key(own), { ...NOT_SAID, ...own });
			continue;
		}
		const amount = own.amount === set.amount ? {} : { amount: own.amount, left: null, right: null };
		const kg = own.kg === runKg(log, set.block, set.part) ? {} : { kg: own.kg };
		noted.set(key(own), { ...set, ...amount, ...kg });
	}
	return [...noted.values()];
}

/**
 * The form with what the device knows of the session that it led: it adds to what stands for the day, and takes nothing away.
 * Whoever says “as planned” where the device noted less is taken at their word.
 *
 * @param again whether something stands for the day already
 */
export function withRun(
	input: Input,
	{ kept, log, heart }: DoneRun,
	again: boolean
): Record<string, unknown> {
	const noted = input.done === 'all' && log.done !== 'all' ? null : setsOf(log, input.sets);
	return {
		...input,
		id: kept.id,
		versionId: kept.versionId,
		adds: again,
		replaces: null,
		startedAt: instantOf(log.startedAt),
		doneAt: instantOf(log.endedAt),
		run: { seconds: log.seconds, scores: log.scores, hurts: log.hurts, heart },
		...(input.done === 'none' ? { sets: null } : { sets: noted, done: noted ? 'part' : 'all' })
	};
}
