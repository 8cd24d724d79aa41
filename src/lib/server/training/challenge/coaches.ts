/** Who works on a challenge beside its owner: invited by a link, as a coach or as a viewer. */
import { DAY_MS } from '$core/calendar';
import { invitationSchema, roleSchema } from '$contracts/coach';
import type { InvitedRole, Role } from '$core/people';
import { endLinksBy } from '../../changes/links';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import { hashToken, type ChallengeId, type CoachId, type EnrolmentId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import type { OwnedChallenge } from '../../records/challenge';

/** A link that invites is good for so many days. */
export const INVITATION_DAYS = 14;
/** Coaches and viewers of a challenge at most, with those who are invited. */
const MOST = 30;

export interface CoachOf {
	id: CoachId;
	name: string;
	email: string;
	role: Role;
	/** Epoch milliseconds; null for the owner. */
	since: number | null;
}

/** Everybody who works on a challenge, the owner first. */
export const coachesOf = (db: Queries, id: ChallengeId): Promise<CoachOf[]> =>
	db.query(
		`select co.id, co.name, co.email, 'owner' as role, null::timestamptz as since
		 from challenge ch join coach co on co.id = ch.coach_id where ch.id = $1
		 union all
		 select * from (select co.id, co.name, co.email, m.role, m.since
			from helper m join coach co on co.id = m.coach_id where m.challenge_id = $1 order by m.role, co.name, co.id) rest`,
		[id]
	);

export interface Invitation {
	id: string;
	forWhom: string;
	role: InvitedRole;
	expiresAt: number;
}

/** Invitations that are open, the latest first. */
export const invitationsOf = (
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	id: ChallengeId
): Promise<Invitation[]> =>
	db.query(
		`select id, for_whom as "forWhom", role, expires_at as "expiresAt" from invitation
		 where challenge_id = $1 and expires_at > $2 order by made_at desc, id`,
		[id, instant(clock.now())]
	);

/**
 * Makes a link that invites somebody, once.
 * @returns its secret: only its hash is kept
 * @throws Refusal 400, 409 when there are too many
 */
export async function invite(
	context: Context,
	{ id, name }: OwnedChallenge,
	by: CoachId,
	raw: unknown
): Promise<string> {
	const { db, clock, ids } = context;
	const { forWhom, role } = validate(invitationSchema, raw);
	const now = clock.now();
	const there = (await coachesOf(db, id)).length + (await invitationsOf(context, id)).length;
	if (there >= MOST)
		throw new Refusal(409, `${name} has ${MOST} coaches, viewers and invitations; take some away first.`);
	const secret = ids.secret();
	await db.query(
		`insert into invitation (id, challenge_id, made_by, role, for_whom, token_hash, made_at, expires_at)
		 values ($1, $2, $3, $4, $5, $6, $7, $8)`,
		[
			ids.uuid(),
			id,
			by,
			role,
			forWhom,
			hashToken(secret),
			instant(now),
			instant(now + INVITATION_DAYS * DAY_MS)
		]
	);
	return secret;
}

/** Ends an invitation: its link leads nowhere any more. @throws Refusal 404 */
export async function withdraw(
	{ db }: Pick<Context, 'db'>,
	{ id }: OwnedChallenge,
	invitation: string
): Promise<void> {
	const gone = await db.query('delete from invitation where challenge_id = $1 and id = $2 returning id', [
		id,
		idOf(invitation, 'invitation')
	]);
	if (gone.length === 0) throw notFound('invitation');
}

/** What somebody who was invited reads. */
export interface Invited {
	challengeId: ChallengeId;
	challenge: string;
	by: string;
	role: InvitedRole;
	forWhom: string;
}

const INVITED = `select i.challenge_id as "challengeId", ch.name as challenge, co.name as by, i.role, i.for_whom as "forWhom"
	from invitation i join challenge ch on ch.id = i.challenge_id join coach co on co.id = i.made_by
	where i.token_hash = $1 and i.expires_at > $2`;

/** The invitation behind a link; null when it is not good (any more). */
export async function invitationBehind(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	secret: string
): Promise<Invited | null> {
	const [found] = await db.query<Invited>(INVITED, [hashToken(secret), instant(clock.now())]);
	return found ?? null;
}

export const invitationEnded = (): Refusal =>
	new Refusal(404, 'This invitation has been used, withdrawn or has expired. Ask for a new one.');

/**
 * Takes an invitation up, which ends it. Whoever is a viewer and is invited as a coach becomes one; nobody loses anything by it.
 * @throws Refusal 404 when it is not good (any more), 409 for the owner
 */
export function takeUp({ db, clock }: Context, coachId: CoachId, secret: string): Promise<ChallengeId> {
	return db.transaction(async (tx) => {
		const now = instant(clock.now());
		const [invited] = await tx.query<Invited>(`${INVITED} for update of i`, [hashToken(secret), now]);
		if (!invited) throw invitationEnded();
		const { challengeId, challenge, role } = invited;
		const owner = await tx.query('select 1 from challenge where id = $1 and coach_id = $2', [
			challengeId,
			coachId
		]);
		if (owner.length > 0)
			throw new Refusal(409, `${challenge} is yours already: the link is for somebody else.`);
		await tx.query(
			`insert into helper (challenge_id, coach_id, role, since) values ($1, $2, $3, $4)
			 on conflict (challenge_id, coach_id) do update set role = 'coach' where excluded.role = 'coach'`,
			[challengeId, coachId, role, now]
		);
		await tx.query('delete from invitation where token_hash = $1', [hashToken(secret)]);
		return challengeId;
	});
}

/** Whose links ended with somebody's part in a challenge: whoever made them may have kept them. */
export type LinksEnded = readonly { id: EnrolmentId; name: string }[];

/**
 * Makes a viewer a coach, or the other way round. With less to do the links end that they made.
 * @throws Refusal 400, 404
 */
export async function changeRole(
	{ db }: Pick<Context, 'db'>,
	{ id }: OwnedChallenge,
	coachId: string,
	raw: unknown
): Promise<LinksEnded> {
	const { role } = validate(roleSchema, raw);
	return db.transaction(async (tx) => {
		const [changed] = await tx.query<{ coachId: CoachId }>(
			'update helper set role = $3 where challenge_id = $1 and coach_id = $2 returning coach_id as "coachId"',
			[id, idOf(coachId, 'coach'), role]
		);
		if (!changed) throw notFound('coach');
		return role === 'viewer' ? endLinksBy(tx, id, changed.coachId) : [];
	});
}

/** Takes somebody off a challenge, from this moment on, with the links that they made. @throws Refusal 404 */
export const removeCoach = (
	{ db }: Pick<Context, 'db'>,
	{ id }: OwnedChallenge,
	coachId: string
): Promise<LinksEnded> =>
	db.transaction(async (tx) => {
		const [gone] = await tx.query<{ coachId: CoachId }>(
			'delete from helper where challenge_id = $1 and coach_id = $2 returning coach_id as "coachId"',
			[id, idOf(coachId, 'coach')]
		);
		if (!gone) throw notFound('coach');
		return endLinksBy(tx, id, gone.coachId);
	});
