/** Results of sessions: the only place that writes and removes them, with their sets and what follows from both. */
import type { CheckinInput } from '$contracts/check-in';
import type { LoggedSet, Standing } from '$core/day';
import type { BestResult, SidesDone } from '$core/progress';
import type { PrescribedExercise } from '$core/session';
import { projectPerformance } from '../changes/performance';
import { project, projectOne } from '../changes/projection';
import { instant, type Queries } from '../platform/db/database';
import type { CoachId, EnrolmentId, ParticipantId, VersionId } from '../platform/ids';

/** What decides which kind of result it is. */
type OfKind =
	| { kind: 'planned'; day: number; standing: Standing }
	| { kind: 'again'; day: number }
	/** An extra session; `counts` is what the coach said of it at that time. */
	| { kind: 'extra'; counts: boolean };

export type NewResult = OfKind & {
	id: string;
	versionId: VersionId | null;
	/** 0…1 */
	credit: number;
	said: Pick<CheckinInput, 'effort' | 'hurts' | 'note'> &
		Partial<Pick<CheckinInput, 'energy' | 'sleepHours' | 'well' | 'beyond' | 'run'>>;
	/** What the session asked of the person, and whether that differed from its version. */
	asked: readonly PrescribedExercise[];
	differs: boolean;
	sets: readonly LoggedSet[];
	/** Epoch milliseconds. */
	startedAt: number | null;
	doneAt: number | null;
	receivedAt: number;
	/** The coach decides whether it counts. */
	offered?: boolean;
	/** The current result of the day, which this one would be added to. */
	addsTo?: string | null;
	sides?: readonly SidesDone[];
	best?: BestResult | null;
	enteredBy?: CoachId | null;
};

/** A set as a row, with the exercise that was done. */
function setRow(asked: readonly PrescribedExercise[], { used = null, left, right, ...set }: LoggedSet) {
	const of = asked.find(({ block, part }) => block === set.block && part === set.part);
	if (!of) throw new RangeError(`no exercise is prescribed at block ${set.block}, part ${set.part}`);
	return {
		...set,
		exercise: used ?? of.exercise,
		is_substitute: used !== null,
		unit: of.target.kind,
		left_side: left ?? null,
		right_side: right ?? null
	};
}

const instantOrNull = (at: number | null) => (at === null ? null : instant(at));
const jsonOrNull = (value: unknown) => (value === null || value === undefined ? null : JSON.stringify(value));

/**
 * Writes a result with its sets and updates what follows from it. The caller holds the row of the enrolment.
 * @param replaced exercises of a result that this one replaced
 */
export async function writeResult(
	tx: Queries,
	person: { enrolmentId: EnrolmentId; participantId: ParticipantId },
	result: NewResult,
	replaced: readonly string[] = []
): Promise<void> {
	const { said } = result;
	const rows = result.sets.map((set) => setRow(result.asked, set));
	// One statement: each costs the embedded database about a millisecond.
	await tx.query(
		`with made as (
			insert into result (id, enrolment_id, kind, day, version_id, credit, standing, counts, effort, energy, sleep_hours, hurts, note,
				well, beyond, prescribed, run, started_at, done_at, received_at, replaced_at, offered, adds_to, sides, best, entered_by)
			values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20, $21, $22, $23, $24, $25, $26)
			returning id)
		 insert into result_set (result_id, block, part, set, exercise, is_substitute, unit, amount, kg, left_side, right_side, effort)
		 select made.id, s.* from made, jsonb_to_recordset($27::jsonb) as s(block int, part int, set int, exercise text,
			is_substitute boolean, unit text, amount float8, kg float8, left_side float8, right_side float8, effort int)`,
		[
			result.id,
			person.enrolmentId,
			result.kind,
			result.kind === 'extra' ? null : result.day,
			result.versionId,
			result.credit,
			result.kind === 'planned' ? result.standing : null,
			result.kind === 'extra' ? result.counts : null,
			said.effort,
			said.energy ?? null,
			said.sleepHours ?? null,
			said.hurts,
			said.note,
			JSON.stringify(said.well ?? {}),
			JSON.stringify(said.beyond ?? []),
			result.differs ? JSON.stringify(result.asked) : null,
			jsonOrNull(said.run),
			instantOrNull(result.startedAt),
			instantOrNull(result.doneAt),
			instant(result.receivedAt),
			result.addsTo ? instant(result.receivedAt) : null,
			result.offered ?? false,
			result.addsTo ?? null,
			JSON.stringify(result.sides ?? []),
			jsonOrNull(result.best),
			result.enteredBy ?? null,
			JSON.stringify(rows)
		]
	);
	const exercises = [...new Set([...replaced, ...rows.map(({ exercise }) => exercise)])];
	if (exercises.length > 0) await projectPerformance(tx, [person.participantId], exercises);
	if (result.kind !== 'again') await projectOne(tx, person.enrolmentId);
}

/**
 * Marks the current result of a day as replaced; it stays on record.
 * @returns its standing and exercises, or null if it is not current any more
 */
export async function replaceResult(
	tx: Queries,
	id: string,
	now: number
): Promise<{ standing: Standing; exercises: string[] } | null> {
	const [replaced] = await tx.query<{ standing: Standing; exercises: string[] }>(
		`update result r set replaced_at = $2 where id = $1 and replaced_at is null
		 returning standing, array(select distinct s.exercise from result_set s where s.result_id = r.id) as exercises`,
		[id, instant(now)]
	);
	return replaced ?? null;
}

/**
 * Removes results of one enrolment: an extra session by its id, or those that a coach recorded for some days.
 * @returns how many rows of each day; null stands for an extra session
 */
export async function removeResults(
	tx: Queries,
	person: { enrolmentId: EnrolmentId; participantId: ParticipantId },
	which: { extra: string } | { recordedOn: readonly number[] }
): Promise<(number | null)[]> {
	const removed = await tx.query<{ day: number | null }>(
		`delete from result where enrolment_id = $1
			and (kind = 'extra' and id = $2 or entered_by is not null and day = any($3::int[])) returning day`,
		[
			person.enrolmentId,
			'extra' in which ? which.extra : null,
			'recordedOn' in which ? which.recordedOn : null
		]
	);
	if (removed.length > 0) {
		await projectPerformance(tx, [person.participantId]);
		await project(tx, [person.enrolmentId]);
	}
	return removed.map(({ day }) => day);
}
