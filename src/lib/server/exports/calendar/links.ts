/** Addresses of calendars: whoever has one may read it, so it can be ended. Only a hash of its secret is kept. */
import { challengeOf } from '../../challenge/challenge';
import type { Context } from '../../platform/context';
import { only, type Queries } from '../../db/database';
import { hashToken } from '../../platform/ids';

/** Whose calendar an address is. */
export type CalendarOwner = { enrolmentId: string } | { challengeId: string };

/** Makes a person's address; one that they had before ends. @returns its secret, which is not kept */
export async function createPersonCalendarLink({ db, ids }: Context, enrolmentId: string): Promise<string> {
	const secret = ids.secret();
	await db.query('update enrolment set feed_hash = $2 where id = $1', [enrolmentId, hashToken(secret)]);
	return secret;
}

export async function revokePersonCalendarLink(db: Queries, enrolmentId: string): Promise<void> {
	await db.query('update enrolment set feed_hash = null where id = $1', [enrolmentId]);
}

/** Makes the coach's address for a challenge; one before it ends. @throws Refusal 404 */
export async function createCoachCalendarLink(
	{ db, ids }: Context,
	coachId: string,
	challengeId: string
): Promise<string> {
	const { id } = await challengeOf(db, coachId, challengeId);
	const secret = ids.secret();
	await db.query('update challenge set feed_hash = $2 where id = $1', [id, hashToken(secret)]);
	return secret;
}

/** @throws Refusal 404 */
export async function revokeCoachCalendarLink(
	db: Queries,
	coachId: string,
	challengeId: string
): Promise<void> {
	const { id } = await challengeOf(db, coachId, challengeId);
	await db.query('update challenge set feed_hash = null where id = $1', [id]);
}

export async function hasCoachCalendarLink(db: Queries, challengeId: string): Promise<boolean> {
	const rows = await db.query('select 1 from challenge where id = $1 and feed_hash is not null', [
		challengeId
	]);
	return rows.length > 0;
}

/** Whose calendar the secret of an address opens; null when the address is not good (any more). */
export async function ownerOf(db: Queries, secret: string): Promise<CalendarOwner | null> {
	const [found] = await db.query<{ enrolmentId: string | null; challengeId: string | null }>(
		`select id as "enrolmentId", null as "challengeId" from enrolment where feed_hash = $1
		 union all select null, id from challenge where feed_hash = $1`,
		[hashToken(secret)]
	);
	if (found?.enrolmentId) return { enrolmentId: found.enrolmentId };
	return found?.challengeId ? { challengeId: found.challengeId } : null;
}

/** How many of a challenge’s people have a calendar address. */
export async function subscribers(db: Queries, challengeId: string): Promise<number> {
	const { n } = only(
		await db.query<{ n: number }>(
			'select count(*)::int as n from enrolment where challenge_id = $1 and feed_hash is not null',
			[challengeId]
		)
	);
	return n;
}
