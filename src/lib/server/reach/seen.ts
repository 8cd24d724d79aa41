import { CHECKINS_SEEN, type CheckinSeen } from '$core/triage';
import { instant, type Queries } from '../db/database';
import type { ChallengeId, EnrolmentId } from '../platform/ids';

/** The newest check-ins of everybody in a challenge that had come in by an instant, as triage sees them. One query. */
export async function checkinsSeen(
	db: Queries,
	challengeId: ChallengeId,
	until: number
): Promise<Map<EnrolmentId, CheckinSeen[]>> {
	const rows = await db.query<{ id: EnrolmentId; seen: CheckinSeen[] }>(
		`select e.id, jsonb_agg(jsonb_build_object('day', c.day,
				'at', (extract(epoch from coalesce(c.done_at, c.received_at)) * 1000)::bigint, 'credit', c.credit,
				'effort', c.effort, 'energy', c.energy, 'mood', (c.well ->> 'mood')::int, 'hurts', c.hurts) order by c.received_at desc) as seen
		 from enrolment e
		 cross join lateral (select * from checkin c where c.enrolment_id = e.id and c.replaced_at is null and c.received_at <= $2
			order by c.received_at desc limit ${CHECKINS_SEEN}) c
		 where e.challenge_id = $1 and e.left_at is null group by e.id`,
		[challengeId, instant(until)]
	);
	return new Map(rows.map(({ id, seen }) => [id, seen]));
}
