/** How a coach works. */
import { DEFAULT_HOUSE, DEFAULT_TIMING, type HouseRules, type Practice } from '$core/practice';
import type { CoachId } from '../platform/ids';
import type { Queries } from '../platform/db/database';
import { only } from '../platform/db/database';
import { libraryFor } from './library';

/** A coach's house rules; what she has not set is as usual. */
export async function houseOf(db: Queries, coachId: CoachId): Promise<HouseRules> {
	const { house } = only(
		await db.query<{ house: Partial<HouseRules> }>('select house from coach where id = $1', [coachId])
	);
	return { ...DEFAULT_HOUSE, ...house };
}

/** How this coach works: her library, her house rules, the usual times between. */
export async function practiceOf(db: Queries, coachId: CoachId): Promise<Practice> {
	return {
		library: await libraryFor(db, coachId),
		house: await houseOf(db, coachId),
		timing: DEFAULT_TIMING
	};
}
