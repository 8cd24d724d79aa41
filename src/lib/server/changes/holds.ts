/** What follows from what is known of somebody’s health: when they are held, and what was written down of the change. */
import { holdsFrom, holdsOf, type Clearance, type Hold } from '$core/health';
import type { MadeBy } from '../records/standing-row';
import { instant, type Queries } from '../platform/db/database';
import type { EnrolmentId, ParticipantId } from '../platform/ids';

interface Records {
	screenings: { at: number; reasons: string[] }[];
	clearances: Clearance[];
	stops: { from: number; until: number | null }[];
	pains: { from: number; until: number | null }[];
	enrolments: { id: EnrolmentId; joined: number; waits: boolean; before: Hold[] }[];
}

/**
 * Works out anew when some people are held from now on, in each challenge that they are in. Whoever writes a screening, a clearance or
 * what a challenge waits for calls it in the same transaction.
 */
export async function projectHolds(tx: Queries, ids: readonly ParticipantId[], now: number): Promise<void> {
	const rows = await tx.query<Records>(
		`select
			coalesce((select jsonb_agg(jsonb_build_object('at', (extract(epoch from s.at) * 1000)::bigint, 'reasons', s.reasons))
				from screening s where s.participant_id = p.id), '[]') as screenings,
			coalesce((select jsonb_agg(jsonb_build_object('from', (extract(epoch from c.from_at) * 1000)::bigint,
				'until', (extract(epoch from c.until_at) * 1000)::bigint,
				'takenBack', (extract(epoch from c.taken_back_at) * 1000)::bigint, 'covers', c.covers))
				from clearance c where c.participant_id = p.id), '[]') as clearances,
			coalesce((select jsonb_agg(jsonb_build_object('from', (extract(epoch from i.at) * 1000)::bigint,
				'until', (extract(epoch from i.decided_at) * 1000)::bigint))
				from incident i join enrolment o on o.id = i.enrolment_id where o.participant_id = p.id and i.kind = 'stop sign'), '[]') as stops,
			coalesce((select jsonb_agg(jsonb_build_object('from', (extract(epoch from i.decided_at) * 1000)::bigint,
				'until', (extract(epoch from i.over_at) * 1000)::bigint))
				from incident i join enrolment o on o.id = i.enrolment_id where o.participant_id = p.id and i.decision = 'hold'), '[]') as pains,
			coalesce((select jsonb_agg(jsonb_build_object('id', e.id, 'joined', (extract(epoch from e.created_at) * 1000)::bigint,
				'waits', ch.waits_for_answers, 'before', e.holds))
				from enrolment e join challenge ch on ch.id = e.challenge_id where e.participant_id = p.id), '[]') as enrolments
		 from participant p where p.id = any($1::uuid[])`,
		[ids]
	);
	const held = rows.flatMap(({ screenings, clearances, stops, pains, enrolments }) =>
		enrolments.map(({ id, joined, waits, before }): { id: EnrolmentId; holds: Hold[] } => ({
			id,
			holds: holdsFrom(
				before,
				now,
				holdsOf({ joined, screenings, clearances, stops, pains, waitsForAnswers: waits })
			)
		}))
	);
	await tx.query(
		`update enrolment e set holds = r.holds from jsonb_to_recordset($1::jsonb) as r(id uuid, holds jsonb)
		 where e.id = r.id and e.holds is distinct from r.holds`,
		[JSON.stringify(held)]
	);
}

/** The same for everybody of a challenge. */
export async function projectHoldsIn(tx: Queries, challengeId: string, now: number): Promise<void> {
	const rows = await tx.query<{ id: ParticipantId }>(
		'select participant_id as id from enrolment where challenge_id = $1',
		[challengeId]
	);
	await projectHolds(
		tx,
		rows.map(({ id }) => id),
		now
	);
}

/** Writes down, in words, what was changed about somebody. Never what their health answers are. */
export async function noteChange(
	tx: Queries,
	id: ParticipantId,
	madeBy: MadeBy,
	what: string,
	now: number
): Promise<void> {
	await tx.query('insert into person_event (participant_id, made_by, what, at) values ($1, $2, $3, $4)', [
		id,
		madeBy,
		what,
		instant(now)
	]);
}
