import { only, type Queries } from '../platform/db/database';
import type { ParticipantId } from '../platform/ids';

/** Whether somebody wants to be told by mail that their coach has written. */
export async function mailedOf(db: Queries, id: ParticipantId): Promise<boolean> {
	return only(await db.query<{ mailed: boolean }>('select mailed from participant where id = $1', [id]))
		.mailed;
}

export async function setMailed(db: Queries, id: ParticipantId, mailed: boolean): Promise<void> {
	await db.query('update participant set mailed = $2 where id = $1', [id, mailed]);
}
