/** What follows from a change of what suits somebody. */
import { instant, type Queries } from '../platform/db/database';
import type { ParticipantId } from '../platform/ids';

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
