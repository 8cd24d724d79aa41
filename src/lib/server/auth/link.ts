import type { EarlierZone } from '$core/calendar';
import type { Units } from '$core/kit';
import type { Hold } from '$core/health';
import type { Context } from '../platform/context';
import { instant, only, type Queries } from '../db/database';
import {
	hashToken,
	type ChallengeId,
	type CoachId,
	type EnrolmentId,
	type Ids,
	type ParticipantId
} from '../platform/ids';
import type { Suited } from '../people/suited';
import { pollsSince, type StandingRow } from '../day/standing-row';

/** A device that opened its link stays known for this long. */
const LOGIN_LASTS = 120 * 86_400_000;

/** The person behind a personal link, as far as every page needs it. */
export interface Person {
	enrolmentId: EnrolmentId;
	challengeId: ChallengeId;
	name: string;
	zone: string;
	earlierZones: EarlierZone[];
	participantId: ParticipantId;
	/** In which they read loads. */
	units: Units;
	/** What decides which session suits them. */
	suited: Suited;
	/** Times at which nothing is released to them. */
	holds: Hold[];
	/** Whether the coach asked them to look over their answers, and they have not yet. */
	asksAgain: boolean;
	/** Their challenges that are not over, beside the one that this device shows, the latest first. */
	others: OtherChallenge[];
	/** Where they stood as this was read, for a request that changes nothing; else it is asked for. */
	standing?: StandingRow;
}

interface OtherChallenge {
	enrolmentId: EnrolmentId;
	name: string;
}

/** A secret for a personal link, and what is kept of it. */
export function newSecret(ids: Ids): { secret: string; hash: string } {
	const secret = ids.secret();
	return { secret, hash: hashToken(secret) };
}

/** Signs out the devices of an enrolment; ways back that were mailed end as well. */
export async function endDevices(tx: Queries, enrolmentId: EnrolmentId): Promise<void> {
	await tx.query('delete from participant_login where enrolment_id = $1', [enrolmentId]);
	await tx.query('delete from way_back where enrolment_id = $1', [enrolmentId]);
}

/**
 * Makes a link secret for an enrolment; earlier links, the devices that used them and the calendar link end: whoever had
 * the one may have had the others. Only its hash is kept.
 * @param by the coach whose doing it is: it ends with their part in the challenge
 */
export async function makeLink(
	tx: Queries,
	{ clock, ids }: Omit<Context, 'db'>,
	enrolmentId: EnrolmentId,
	by: CoachId
): Promise<string> {
	const { secret, hash } = newSecret(ids);
	await tx.query(
		'update enrolment set link_hash = $2, link_made_at = $3, link_made_by = $4, feed_hash = null where id = $1',
		[enrolmentId, hash, instant(clock.now()), by]
	);
	await endDevices(tx, enrolmentId);
	return secret;
}

/** Ends the links, calendar links and devices of enrolments. */
async function endLinks(tx: Queries, enrolments: readonly EnrolmentId[]): Promise<void> {
	await tx.query(
		'update enrolment set link_hash = null, link_made_at = null, link_made_by = null, feed_hash = null where id = any($1::uuid[])',
		[enrolments]
	);
	for (const id of enrolments) await endDevices(tx, id);
}

/** Ends the link of one person, with their calendar link and devices. */
export const endLink = (tx: Queries, enrolmentId: EnrolmentId): Promise<void> => endLinks(tx, [enrolmentId]);

/**
 * Ends every link of a challenge that a coach made, with the devices that it let in, and letters of theirs that would make
 * another.
 * @returns whose links they were, by name
 */
export async function endLinksBy(
	tx: Queries,
	challengeId: ChallengeId,
	coachId: CoachId
): Promise<{ id: EnrolmentId; name: string }[]> {
	await tx.query(
		`update letter l set state = 'cancelled', error = 'the coach who sent it has left the challenge', done_at = l.next_at
		 from enrolment e where e.id = l.enrolment_id and e.challenge_id = $1 and l.coach_id = $2
			and l.invite_base is not null and l.state = 'waiting'`,
		[challengeId, coachId]
	);
	const theirs = await tx.query<{ id: EnrolmentId; name: string }>(
		`select e.id, p.name from enrolment e join participant p on p.id = e.participant_id
		 where e.challenge_id = $1 and e.link_made_by = $2 order by p.name, e.id for update of e`,
		[challengeId, coachId]
	);
	await endLinks(
		tx,
		theirs.map(({ id }) => id)
	);
	return theirs;
}

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
