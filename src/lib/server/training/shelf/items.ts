import type { Queries } from '../../platform/db/database';
import type { ChallengeId, SessionId, VersionId } from '../../platform/ids';

export interface ShelfItem {
	sessionId: SessionId;
	/** Its newest version. */
	versionId: VersionId;
	name: string;
	seconds: number;
	/** Whether it makes up for what is missing of the plan. */
	counts: boolean;
}

/** What lies on the shelf of a challenge, by name. */
export const shelfOf = (db: Queries, challengeId: ChallengeId): Promise<ShelfItem[]> =>
	db.query(
		`select s.id as "sessionId", s.name, h.counts, v.id as "versionId", v.seconds
		 from shelf_session h join session s on s.id = h.session_id
		 join session_version v on v.session_id = s.id and v.version = (select max(version) from session_version x where x.session_id = s.id)
		 where h.challenge_id = $1 order by s.name`,
		[challengeId]
	);
