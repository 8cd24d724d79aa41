import { houseSchema } from '$contracts/house';
import { DEFAULT_HOUSE, DEFAULT_TIMING, type HouseRules, type Practice } from '$core/practice';
import type { CoachId } from '../platform/ids';
import type { Database, Queries } from '../db/database';
import { only } from '../db/database';
import { validate } from '../web/validate';
import { libraryFor } from '../exercise/exercises';

/** A coach's house rules; what she has not set is as usual. */
export async function houseOf(db: Queries, coachId: CoachId): Promise<HouseRules> {
	const { house } = only(
		await db.query<{ house: Partial<HouseRules> }>('select house from coach where id = $1', [coachId])
	);
	return { ...DEFAULT_HOUSE, ...house };
}

/** @throws Refusal 400 with faults */
export async function saveHouse(db: Database, coachId: CoachId, raw: unknown): Promise<void> {
	const house = validate(houseSchema, raw);
	await db.query('update coach set house = $2 where id = $1', [coachId, JSON.stringify(house)]);
}

/** How this coach works: her library, her house rules, the usual times between. */
export async function practiceOf(db: Queries, coachId: CoachId): Promise<Practice> {
	return {
		library: await libraryFor(db, coachId),
		house: await houseOf(db, coachId),
		timing: DEFAULT_TIMING
	};
}
