import { houseSchema } from '$contracts/house';
import type { CoachId } from '../../platform/ids';
import type { Database } from '../../platform/db/database';
import { validate } from '../../platform/validate';

/** @throws Refusal 400 with faults */
export async function saveHouse(db: Database, coachId: CoachId, raw: unknown): Promise<void> {
	const house = validate(houseSchema, raw);
	await db.query('update coach set house = $2 where id = $1', [coachId, JSON.stringify(house)]);
}
