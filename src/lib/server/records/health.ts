/** What is kept of somebody's health: apart from who they are, and read where it is needed only. */
import type { HealthAnswers } from '$core/health';
import type { MadeBy } from './standing-row';
import { instant, type Queries } from '../platform/db/database';
import type { ParticipantId } from '../platform/ids';

/** The newest answers of somebody; null: none yet. */
export async function answersOf(db: Queries, id: ParticipantId): Promise<HealthAnswers | null> {
	const [row] = await db.query<{ answers: HealthAnswers | null }>(
		'select answers from health where participant_id = $1',
		[id]
	);
	return row?.answers ?? null;
}

export interface PersonEvent {
	id: number;
	madeBy: MadeBy;
	what: string;
	at: number;
}

/** What was changed about somebody up to an instant, the newest first; two hundred at most. */
export const changesOf = (db: Queries, id: ParticipantId, until: number): Promise<PersonEvent[]> =>
	db.query(
		`select id, made_by as "madeBy", what, at from person_event where participant_id = $1 and at <= $2
		 order by at desc, id desc limit 200`,
		[id, instant(until)]
	);
