/**
 * What an enrolment's days add up to, kept beside it. Whoever writes something about days calls `project` in the same
 * transaction; `rebuild` does the same for everybody.
 */
import { foldAttendance, type AttendanceRecords } from '$core/attendance';
import type { Context } from '../platform/context';
import { instant, type Queries } from '../platform/db/database';
import { IS_CURRENT } from '../records/facts';
import { projectPerformance } from './performance';
import type { ChallengeId, EnrolmentId, ParticipantId } from '../platform/ids';

interface Row extends AttendanceRecords {
	id: EnrolmentId;
}

/** Everything written down about some enrolments. */
function recordsOf(tx: Queries, ids: readonly EnrolmentId[]): Promise<Row[]> {
	return tx.query<Row>(
		`select e.id, ch.days,
			coalesce((select jsonb_agg(jsonb_build_object('day', c.day, 'credit', c.credit, 'pain', c.hurts is not null,
				'standing', c.standing, 'at', (extract(epoch from c.received_at) * 1000)::bigint,
				'first', (select (extract(epoch from min(f.received_at)) * 1000)::bigint from result f
					where f.enrolment_id = c.enrolment_id and f.day = c.day and f.kind = 'planned')))
				from result c where c.enrolment_id = e.id and ${IS_CURRENT}), '[]') as checkins,
			coalesce((select jsonb_agg(jsonb_build_object('day', x.day, 'at', (extract(epoch from x.at) * 1000)::bigint))
				from excuse x where x.enrolment_id = e.id), '[]') as excuses,
			coalesce((select jsonb_agg(jsonb_build_object('fromDay', p.from_day, 'toDay', p.to_day,
				'at', (extract(epoch from p.at) * 1000)::bigint))
				from pause p where p.enrolment_id = e.id), '[]') as pauses,
			coalesce((select jsonb_agg(jsonb_build_object('at', (extract(epoch from l.done_at) * 1000)::bigint,
				'credit', l.credit, 'counts', l.counts)) from result l where l.enrolment_id = e.id and l.kind = 'extra'), '[]') as extras,
			coalesce((select jsonb_agg(jsonb_build_object('day', d.day, 'at', (extract(epoch from d.cancelled_at) * 1000)::bigint))
				from plan_day d where d.challenge_id = e.challenge_id and d.cancelled is not null), '[]') as cancelled
		 from enrolment e join challenge ch on ch.id = e.challenge_id
		 where e.id = any($1::uuid[])`,
		[ids]
	);
}

/** Works out anew what the days of some enrolments add up to. */
export async function project(tx: Queries, ids: readonly EnrolmentId[]): Promise<void> {
	if (ids.length === 0) return;
	// They stay as they are until the transaction ends.
	await tx.query('select 1 from enrolment where id = any($1::uuid[]) order by id for update', [ids]);
	await projectHeld(tx, ids);
}

/** The same for one enrolment, whose row this transaction holds already. */
export const projectOne = (tx: Queries, id: EnrolmentId): Promise<void> => projectHeld(tx, [id]);

async function projectHeld(tx: Queries, ids: readonly EnrolmentId[]): Promise<void> {
	const summaries = (await recordsOf(tx, ids)).map(({ id, ...records }) => {
		const { strip, extras, lastSeen } = foldAttendance(records);
		return { id, strip, extras, seen: lastSeen === null ? null : instant(lastSeen) };
	});
	await tx.query(
		`update enrolment e set strip = s.strip, extras = s.extras, last_seen = s.seen
		 from jsonb_to_recordset($1::jsonb) as s(id uuid, strip jsonb, extras jsonb, seen timestamptz) where e.id = s.id`,
		[JSON.stringify(summaries)]
	);
}

/** The same for everybody of a challenge. */
export async function projectChallenge(tx: Queries, challengeId: ChallengeId): Promise<void> {
	const rows = await tx.query<{ id: EnrolmentId }>('select id from enrolment where challenge_id = $1', [
		challengeId
	]);
	await project(
		tx,
		rows.map(({ id }) => id)
	);
}

/** People whose days are worked out in one go. */
const AT_ONCE = 200;

/** Rebuilds the projections of every enrolment and participant. @returns number of enrolments */
export async function rebuild({ db }: Pick<Context, 'db'>): Promise<number> {
	const all = await db.query<{ id: EnrolmentId; participantId: ParticipantId }>(
		'select id, participant_id as "participantId" from enrolment order by participant_id, id'
	);
	for (let i = 0; i < all.length; i += AT_ONCE) {
		const some = all.slice(i, i + AT_ONCE);
		const people = [...new Set(some.map(({ participantId }) => participantId))];
		await db.transaction(async (tx) => {
			await project(
				tx,
				some.map(({ id }) => id)
			);
			await projectPerformance(tx, people);
		});
	}
	return all.length;
}
