import { DAY_MS } from '$core/calendar';
import type { Context } from '../../platform/context';
import { instant, only, type Queries } from '../../platform/db/database';
import { hashToken, type EnrolmentId } from '../../platform/ids';
import { pollsSince, type StandingRow } from '../../records/standing-row';
import { type Person } from '../../records/person';

/** A device that opened its link stays known for this long. */
const LOGIN_LASTS = 120 * DAY_MS;

interface LinkFacts {
	enrolmentId: EnrolmentId;
	name: string;
	challenge: string;
	/** The coach who made it; null: nobody did, or it was mailed as a way back. */
	by: string | null;
}

/** Whose link a secret is, and of what; null when it is not good (any more). One that was mailed as a way back is good as well. */
export async function linkOf(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	secret: string
): Promise<LinkFacts | null> {
	const [found] = await db.query<LinkFacts>(
		`select e.id as "enrolmentId", p.name, c.name as challenge, co.name as by
		 from enrolment e join participant p on p.id = e.participant_id join challenge c on c.id = e.challenge_id
		 left join coach co on co.id = e.link_made_by and e.link_hash = $1
		 where e.link_hash = $1 or (e.left_at is null and e.id = (
			select w.enrolment_id from way_back w where w.token_hash = $1 and w.expires_at > $2))`,
		[hashToken(secret), instant(clock.now())]
	);
	return found ?? null;
}

/**
 * Signs a device in, and out of what it showed before. Its reminders stay on if they are for the same person.
 * @param before the token that the device had until now, or null
 */
async function signInDevice(
	tx: Queries,
	token: string,
	enrolmentId: EnrolmentId,
	now: number,
	before: string | null
): Promise<void> {
	await tx.query(
		'insert into participant_login (token_hash, enrolment_id, created_at, expires_at) values ($1, $2, $3, $4)',
		[hashToken(token), enrolmentId, instant(now), instant(now + LOGIN_LASTS)]
	);
	if (before === null) return;
	await tx.query(
		`update push_subscription s set login_hash = $1, enrolment_id = $2, look_at = $4 from enrolment was, enrolment n
		 where s.login_hash = $3 and was.id = s.enrolment_id and n.id = $2 and was.participant_id = n.participant_id`,
		[hashToken(token), enrolmentId, hashToken(before), instant(now)]
	);
	await tx.query('delete from participant_login where token_hash = $1', [hashToken(before)]);
}

/**
 * Exchanges the secret of a link for the token of a cookie; null when the link is not good (any more).
 * @param before the token that this device had until now: a device has one at a time
 */
export async function openLink(
	context: Context,
	secret: string,
	before: string | null = null
): Promise<string | null> {
	const { db, clock, ids } = context;
	const found = await linkOf(context, secret);
	if (!found) return null;
	const token = ids.secret();
	const now = clock.now();
	await db.transaction(async (tx) => {
		// A way back is good once.
		await tx.query('delete from way_back where token_hash = $1 or expires_at <= $2', [
			hashToken(secret),
			instant(now)
		]);
		await signInDevice(tx, token, found.enrolmentId, now, before);
	});
	return token;
}

/** Has a device show another challenge of the same person. @returns its new token; null where there is no such challenge */
export async function switchTo(
	{ db, clock, ids }: Context,
	person: Person,
	enrolmentId: string,
	before: string
): Promise<string | null> {
	const found = person.others.find((one) => one.enrolmentId === enrolmentId);
	if (!found) return null;
	const token = ids.secret();
	const now = clock.now();
	await db.transaction(async (tx) => {
		await signInDevice(tx, token, found.enrolmentId, now, before);
	});
	return token;
}

/** Who a device is; null when it is not known (any more). */
export async function personOf({ db, clock }: Context, token: string): Promise<Person | null> {
	const { person } = only(
		await db.query<{ person: Person | null }>('select person_behind($1, $2) as person', [
			hashToken(token),
			instant(clock.now())
		])
	);
	return person;
}

export async function signOutDevice({ db }: Context, token: string): Promise<void> {
	await db.query('delete from participant_login where token_hash = $1', [hashToken(token)]);
}

/** Who a device is together with where they stand, for a page that only shows it. */
export async function visitOf({ db, clock }: Context, token: string): Promise<Person | null> {
	const now = clock.now();
	const { visit } = only(
		await db.query<{ visit: { person: Person | null; standing: StandingRow } }>(
			'select visit_of($1, $2, $3) as visit',
			[hashToken(token), instant(now), instant(pollsSince(now))]
		)
	);
	return visit.person && { ...visit.person, standing: visit.standing };
}
