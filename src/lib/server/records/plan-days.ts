import { dateOfDay, type DayKind } from '$core/calendar';
import type { Challenge } from './challenge';
import type { Queries } from '../platform/db/database';
import type { SessionId, VersionId } from '../platform/ids';

export interface PlanDay {
	day: number;
	date: string;
	kind: DayKind;
	/** What is prescribed. */
	versionId: VersionId | null;
	sessionId: SessionId | null;
	session: string | null;
	/** Number of the version that was planned. */
	version: number | null;
	/** Expected length in seconds of what is prescribed; null without a session. */
	seconds: number | null;
	/** Why nobody does this day; null: they do. */
	cancelled: string | null;
}

/** Every day of a challenge in order, with what it prescribes. */
export async function planOf(db: Queries, challenge: Pick<Challenge, 'id' | 'startsOn'>): Promise<PlanDay[]> {
	const rows = await db.query<Omit<PlanDay, 'date'>>(
		`select p.day, p.kind, p.cancelled, p.version_id as "versionId", s.id as "sessionId", coalesce(v.name, s.name) as session,
			b.version, v.seconds
		 from plan_day p
		 left join session_version v on v.id = p.version_id
		 left join session_version b on b.id = p.base_id
		 left join session s on s.id = v.session_id
		 where p.challenge_id = $1 order by p.day`,
		[challenge.id]
	);
	return rows.map((row) => ({ ...row, date: dateOfDay(row.day, challenge.startsOn) }));
}
