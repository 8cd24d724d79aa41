/** What everybody of a challenge is shown alike; it is read again only after the coach has changed something. */
import type { Poll } from '$contracts/ask';
import type { Practice } from '$core/practice';
import { announcementsFor, type Announcement } from './announcements';
import { pollsFor } from './polls';
import { challengeById, type Challenge } from '../../records/challenge';
import { only } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import type { ChallengeId } from '../../platform/ids';
import { kept } from '../../platform/kept';
import { planOf, type PlanDay } from '../../records/plan-days';
import { practiceOf } from '../../records/practice';
import { shelfOf, type ShelfItem } from '../shelf/items';

export interface Group {
	challenge: Readonly<Challenge>;
	plan: readonly PlanDay[];
	practice: Practice;
	/** Announcements that are up or wait to go up, the newest first. */
	announcements: readonly Announcement[];
	/** Polls that are open, or were until lately, the newest first. */
	polls: readonly Poll[];
	/** Sessions on request. */
	shelf: readonly ShelfItem[];
	/** The revision under which all this was read. */
	revision: number;
}

/** The same under the revision that holds now. Not from within a transaction: it asks the database beside it. */
export async function groupNow(context: Context, challengeId: ChallengeId): Promise<Group> {
	const { revision } = only(
		await context.db.query<{ revision: number }>(
			'select co.revision from challenge ch join coach co on co.id = ch.coach_id where ch.id = $1',
			[challengeId]
		)
	);
	return groupOf(context, challengeId, revision);
}

/** @param revision of the coach, read in this request */
export const groupOf = ({ db, clock }: Context, challengeId: ChallengeId, revision: number): Promise<Group> =>
	kept(db, `group ${challengeId}`, revision, async () => {
		const challenge = await challengeById(db, challengeId);
		return {
			challenge,
			plan: await planOf(db, challenge),
			practice: await practiceOf(db, challenge.coachId),
			announcements: await announcementsFor({ db, clock }, challengeId),
			polls: await pollsFor({ db, clock }, challengeId),
			shelf: await shelfOf(db, challengeId),
			revision
		};
	});
