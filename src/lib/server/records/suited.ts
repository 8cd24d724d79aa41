/** What decides which session suits somebody, as it is and as it was. */
import { profileOf, type Known, type FitProfile } from '$core/fit';
import { DEFAULT_AUDIENCE } from '$core/people';
import type { Challenge } from './challenge';
import { instant, only, type Queries } from '../platform/db/database';
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
