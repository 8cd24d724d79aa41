import type { Context } from '../platform/context';
import { instant, type Queries } from '../db/database';
import { hashToken, type ChallengeId, type EnrolmentId } from '../platform/ids';

/** A device that opened its link stays known for this long. */
const LOGIN_LASTS = 120 * 86_400_000;

/** The person behind a personal link, as far as every page needs it. */
export interface Person {
	enrolmentId: EnrolmentId;
	challengeId: ChallengeId;
	name: string;
	zone: string;
}

/** Makes a link secret for an enrolment; earlier links and the devices that used them end. Only its hash is kept. */
export async function makeLink(
	tx: Queries,
	{ clock, ids }: Omit<Context, 'db'>,
	enrolmentId: EnrolmentId
): Promise<string> {
	const secret = ids.secret();
	await tx.query('update enrolment set link_hash = $2, link_made_at = $3 where id = $1', [
		enrolmentId,
		hashToken(secret),
		instant(clock.now())
	]);
	await tx.query('delete from participant_login where enrolment_id = $1', [enrolmentId]);
	return secret;
}

/** Exchanges the secret of a link for the token of a cookie; null when the link is not good (any more). */
export async function openLink({ db, clock, ids }: Context, secret: string): Promise<string | null> {
	const [found] = await db.query<{ id: string }>('select id from enrolment where link_hash = $1', [
		hashToken(secret)
	]);
	if (!found) return null;
	const token = ids.secret();
	const now = clock.now();
	await db.query(
		'insert into participant_login (token_hash, enrolment_id, created_at, expires_at) values ($1, $2, $3, $4)',
		[hashToken(token), found.id, instant(now), instant(now + LOGIN_LASTS)]
	);
	return token;
}

export async function personOf({ db, clock }: Context, token: string): Promise<Person | null> {
	const [found] = await db.query<Person>(
		`select e.id as "enrolmentId", e.challenge_id as "challengeId", p.name, p.zone
		 from participant_login l
		 join enrolment e on e.id = l.enrolment_id
		 join participant p on p.id = e.participant_id
		 where l.token_hash = $1 and l.expires_at > $2`,
		[hashToken(token), instant(clock.now())]
	);
	return found ?? null;
}

export async function signOutDevice({ db }: Context, token: string): Promise<void> {
	await db.query('delete from participant_login where token_hash = $1', [hashToken(token)]);
}
