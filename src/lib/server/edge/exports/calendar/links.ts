/** Calendar links: whoever has one may read the calendar, so it can be turned off. Only a hash of its secret is kept. */
import type { OwnedChallenge } from '../../../records/challenge';
import type { Context } from '../../../platform/context';
import { only, type Queries } from '../../../platform/db/database';
import { hashToken, type ChallengeId, type EnrolmentId } from '../../../platform/ids';

/** Whose calendar a link is. */
export type CalendarOwner = { enrolmentId: EnrolmentId } | { challengeId: ChallengeId };

/** Makes a person's calendar link; one that they had before ends. @returns its secret, which is not kept */
export async function createPersonCalendarLink(
	{ db, ids }: Context,
	enrolmentId: EnrolmentId
): Promise<string> {
	const secret = ids.secret();
	await db.query('update enrolment set feed_hash = $2 where id = $1', [enrolmentId, hashToken(secret)]);
	return secret;
}

export async function revokePersonCalendarLink(db: Queries, enrolmentId: EnrolmentId): Promise<void> {
	await db.query('update enrolment set feed_hash = null where id = $1', [enrolmentId]);
}

/** Makes the coach's calendar link of a challenge; one before it ends. @returns its secret, which is not kept */
export async function createCoachCalendarLink({ db, ids }: Context, { id }: OwnedChallenge): Promise<string> {
	const secret = ids.secret();
	await db.query('update challenge set feed_hash = $2 where id = $1', [id, hashToken(secret)]);
	return secret;
}

export async function revokeCoachCalendarLink(db: Queries, { id }: OwnedChallenge): Promise<void> {
	await db.query('update challenge set feed_hash = null where id = $1', [id]);
}

export async function hasCoachCalendarLink(db: Queries, challengeId: ChallengeId): Promise<boolean> {
	const rows = await db.query('select 1 from challenge where id = $1 and feed_hash is not null', [
		challengeId
	]);
	return rows.length > 0;
}

/** Whose calendar the secret of a link opens; null when the link is not good (any more). */
export async function ownerOf(db: Queries, secret: string): Promise<CalendarOwner | null> {
	const [found] = await db.query<{ enrolmentId: EnrolmentId | null; challengeId: ChallengeId | null }>(
		`select id as "enrolmentId", null as "challengeId" from enrolment where feed_hash = $1
		 union all select null, id from challenge where feed_hash = $1`,
		[hashToken(secret)]
	);
	if (found?.enrolmentId) return { enrolmentId: found.enrolmentId };
	return found?.challengeId ? { challengeId: found.challengeId } : null;
}

/** How many of a challenge’s people have a calendar link. */
export async function subscribers(db: Queries, challengeId: ChallengeId): Promise<number> {
	const { n } = only(
		await db.query<{ n: number }>(
			'select count(*)::int as n from enrolment where challenge_id = $1 and feed_hash is not null',
			[challengeId]
		)
	);
	return n;
}
