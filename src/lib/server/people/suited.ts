/** What decides which session suits somebody, as it is and as it was. */
import { profileOf, type Known, type FitProfile } from '$core/fit';
import { DEFAULT_AUDIENCE } from '$core/people';
import type { Challenge } from '../challenge/challenge';
import { instant, only, type Queries } from '../db/database';
import type { ChallengeId, ParticipantId } from '../platform/ids';

/** What is known of somebody since an instant, epoch milliseconds. */
export interface Suited extends Known {
	since: number;
}

/** The columns of it, of `participant p` and `health h`. */
export const SUITED = `jsonb_build_object('level', p.level, 'kit', p.kit, 'limits', coalesce(to_jsonb(h.limits), '[]'),
	'answered', p.answered_at is not null, 'since', (extract(epoch from coalesce(
		(select max(s.since) from suited s where s.participant_id = p.id), p.created_at)) * 1000)::bigint)`;

/** What suits somebody in a challenge. */
export const profileIn = ({ audienceLevel }: Pick<Challenge, 'audienceLevel'>, suited: Known): FitProfile =>
	profileOf(suited, audienceLevel ?? DEFAULT_AUDIENCE.level);

/**
 * Notes what is known of some people from now on, where it is not what was known before. Whoever changes a level, a kit,
 * limits or answers calls it in the same transaction.
 */
export async function noteSuited(tx: Queries, ids: readonly ParticipantId[], now: number): Promise<void> {
	await tx.query(
		`insert into suited (participant_id, since, level, kit, limits, answered)
		 select p.id, $2, p.level, p.kit, coalesce(h.limits, '{}'), p.answered_at is not null
		 from participant p left join health h on h.participant_id = p.id
		 left join lateral (select * from suited s where s.participant_id = p.id order by s.since desc limit 1) b on true
		 where p.id = any($1::uuid[]) and (b.participant_id is null or (b.level, b.kit, b.limits, b.answered)
			is distinct from (p.level, p.kit, coalesce(h.limits, '{}'), p.answered_at is not null))
		 on conflict (participant_id, since) do update
			set level = excluded.level, kit = excluded.kit, limits = excluded.limits, answered = excluded.answered`,
		[ids, instant(now)]
	);
}

/** What was known at an instant of everybody in a challenge; those of whom nothing was known yet are not in it. */
export async function suitedIn(
	db: Queries,
	challengeId: ChallengeId,
	at: number
): Promise<Map<ParticipantId, Suited>> {
	const rows = await db.query<Suited & { id: ParticipantId }>(
		`select distinct on (s.participant_id) s.participant_id as id, s.since, s.level, s.kit, s.limits, s.answered
		 from suited s join enrolment e on e.participant_id = s.participant_id
		 where e.challenge_id = $1 and s.since <= $2 order by s.participant_id, s.since desc`,
		[challengeId, instant(at)]
	);
	return new Map(rows.map(({ id, ...suited }) => [id, suited]));
}

/** Everything that was known of somebody, the older first. */
export const allSuited = (db: Queries, id: ParticipantId): Promise<Suited[]> =>
	db.query(
		'select since, level, kit, limits, answered from suited where participant_id = $1 order by since',
		[id]
	);

/** What was known at an instant: before anything was, what was known first. */
export function suitedAt(all: readonly Suited[], at: number): Suited {
	return only([all.findLast(({ since }) => since <= at) ?? all[0]].filter((one) => one !== undefined));
}
