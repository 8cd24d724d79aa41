import type { Override } from '$core/day';
import { instant, type Queries } from '../platform/db/database';
import type { ChallengeId, EnrolmentId } from '../platform/ids';
import type { KeptOverride, PastOverride } from './standing-row';

/** Everything that ever was different for a person, the older first. */
export function allOverrides(db: Queries, enrolmentId: EnrolmentId): Promise<PastOverride[]> {
	return db.query(
		`select id, target, change, from_day as "fromDay", to_day as "toDay", why, jsonb_build_object('kind', origin, 'id', origin_id) as origin, made_at as "madeAt",
			removed_at as "removedAt"
		 from override where enrolment_id = $1 order by made_at, id`,
		[enrolmentId]
	);
}

/** Whether an override held at an instant. */
export const heldAt =
	(at: number) =>
	({ madeAt, removedAt }: PastOverride): boolean =>
		madeAt <= at && (removedAt === null || removedAt > at);

/** What is different for a person, the older first. @param at as it was at an instant */
export async function overridesOf(
	db: Queries,
	enrolmentId: EnrolmentId,
	at: number
): Promise<KeptOverride[]> {
	return (await allOverrides(db, enrolmentId)).filter(heldAt(at));
}

/** What is different for everybody of a challenge at an instant, the older first, by enrolment. */
export async function overridesIn(
	db: Queries,
	challengeId: ChallengeId,
	at: number
): Promise<Map<EnrolmentId, Override[]>> {
	const rows = await db.query<Override & { enrolmentId: EnrolmentId }>(
		`select o.enrolment_id as "enrolmentId", o.target, o.change, o.from_day as "fromDay", o.to_day as "toDay", o.why
		 from override o join enrolment e on e.id = o.enrolment_id
		 where e.challenge_id = $1 and o.made_at <= $2 and (o.removed_at is null or o.removed_at > $2)
		 order by o.made_at, o.id`,
		[challengeId, instant(at)]
	);
	const found = new Map<EnrolmentId, Override[]>();
	for (const { enrolmentId, ...one } of rows)
		found.set(enrolmentId, [...(found.get(enrolmentId) ?? []), one]);
	return found;
}
