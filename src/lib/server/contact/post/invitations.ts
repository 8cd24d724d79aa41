/** Letters that bring people their own links. */
import { invitationSchema } from '$contracts/post';
import { calledBy } from '$core/people';
import { afterQuiet } from '$core/post';
import { makeLink } from '../../changes/links';
import type { OwnedChallenge } from '../../records/challenge';
import { only, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import { queueLetters, type LetterState } from './letters';
import { postSettingsOf, quietOf } from './settings';

/** Between two invitations of one person. */
const HOURS_APART = 1;
const HOUR_MS = 3_600_000;

/** Stands on a line of a letter where the link will be. */
const LINK = '{link}';

interface Invited {
	id: EnrolmentId;
	name: string;
	zone: string;
	/** When one was last put on its way; null: never. */
	lastAt: number | null;
	/** Whether they have never opened a link. */
	isNew: boolean;
}

/** Whether an enrolment `e` of a participant `p` has never been opened. */
const UNOPENED = `p.answered_at is null and not exists (select from participant_login d where d.enrolment_id = e.id)
	and not exists (select from result k where k.enrolment_id = e.id and k.kind = 'planned')`;

/** People of a challenge who are still in it, with when they were last invited. @param only one of them; null: those who have never been here */
const peopleFor = (db: Queries, { id }: OwnedChallenge, only: EnrolmentId | null): Promise<Invited[]> =>
	db.query(
		`select e.id, p.name, p.zone, (select max(l.due_at) from letter l where l.enrolment_id = e.id and l.invite_base is not null) as "lastAt",
			${UNOPENED} as "isNew"
		 from enrolment e join participant p on p.id = e.participant_id
		 where e.challenge_id = $1 and e.left_at is null and p.forgotten_at is null and p.email <> ''
			and case when $2::uuid is null then ${UNOPENED} else e.id = $2 end
		 order by p.name, e.id for update of e`,
		[id, only]
	);

/** How many have never opened their link. */
export async function unopenedIn(db: Queries, challengeId: ChallengeId): Promise<number> {
	const [{ n } = { n: 0 }] = await db.query<{ n: number }>(
		`select count(*)::int as n from enrolment e join participant p on p.id = e.participant_id
		 where e.challenge_id = $1 and e.left_at is null and p.forgotten_at is null and ${UNOPENED}`,
		[challengeId]
	);
	return n;
}

/** How far the last invitation of each has come. */
export const invitationsIn = (
	db: Queries,
	challengeId: ChallengeId
): Promise<{ id: EnrolmentId; state: LetterState; at: number; error: string | null }[]> =>
	db.query(
		`select distinct on (l.enrolment_id) l.enrolment_id as id, l.state, coalesce(l.done_at, l.due_at) as at, l.error
		 from letter l join enrolment e on e.id = l.enrolment_id
		 where e.challenge_id = $1 and l.invite_base is not null order by l.enrolment_id, l.due_at desc, l.id`,
		[challengeId]
	);

/**
 * Puts invitations on their way: to one person, or to everybody who has never opened their link. A link is made as its
 * letter goes out; the one before it ends then.
 *
 * @param base what a link begins with, as `https://example.org/join/`
 * @returns to how many, and how many were invited within the last hour and are left out
 * @throws Refusal 400; 409 for one person who has left or was invited just now
 */
export async function inviteByMail(
	{ db, clock, ids }: Context,
	challenge: OwnedChallenge,
	coach: { id: CoachId; name: string },
	base: string,
	raw: unknown,
	only: EnrolmentId | null = null
): Promise<{ sent: number; leftOut: number }> {
	const { words } = validate(invitationSchema, raw);
	const quiet = quietOf(await postSettingsOf(db, coach.id));
	const now = clock.now();
	return db.transaction(async (tx) => {
		const people = await peopleFor(tx, challenge, only);
		const meant = people.filter(({ lastAt }) => lastAt === null || lastAt <= now - HOURS_APART * HOUR_MS);
		const [one] = people;
		if (only !== null && !one)
			throw new Refusal(409, 'They have left this challenge, or no email address is stored for them.');
		if (only !== null && one && meant.length === 0)
			throw new Refusal(409, `${one.name} was sent a link within the last hour. Give it a little time.`);
		const letters = meant.map(({ id, name, zone, isNew }) => ({
			id: ids.uuid(),
			enrolmentId: id,
			subject: `Your link for ${challenge.name}`.slice(0, 120),
			body: bodyOf(calledBy(name), coach.name, challenge, words, isNew),
			dueAt: now,
			nextAt: afterQuiet(now, zone, quiet)
		}));
		await queueLetters(tx, letters, { state: 'waiting', coachId: coach.id, postId: null });
		await tx.query('update letter set invite_base = $2 where id = any($1::uuid[])', [
			letters.map(({ id }) => id),
			base
		]);
		return { sent: meant.length, leftOut: people.length - meant.length };
	});
}

const bodyOf = (
	name: string,
	coach: string,
	{ name: challenge, goal }: OwnedChallenge,
	words: string | null,
	isNew: boolean
): string =>
	[
		`Hello ${name},`,
		isNew
			? `${coach} has enrolled you in “${challenge}”. The goal: ${goal}.`
			: `${coach} created a new link for you, for “${challenge}”. Your old link has ended and your devices are signed out.`,
		words,
		`This is your own link. It opens your days on your phone or computer; please don’t pass it on.\n${LINK}`,
		coach
	]
		.filter(Boolean)
		.join('\n\n');

/** Mails a person who joined by themselves the link that they have, so that they find it again. @param base as for invitations */
export async function mailOwnLink(
	{ db, clock, ids }: Context,
	{ enrolmentId, secret, base }: { enrolmentId: EnrolmentId; secret: string; base: string }
): Promise<void> {
	const { name, challenge, coachId } = only(
		await db.query<{ name: string; challenge: string; coachId: CoachId }>(
			`select p.name, ch.name as challenge, ch.coach_id as "coachId" from enrolment e
			 join participant p on p.id = e.participant_id join challenge ch on ch.id = e.challenge_id where e.id = $1`,
			[enrolmentId]
		)
	);
	const now = clock.now();
	const id = ids.uuid();
	await db.transaction(async (tx) => {
		const letter = {
			id,
			enrolmentId,
			subject: `Your link for ${challenge}`.slice(0, 120),
			body: `Hello ${calledBy(name)},\n\nyou have joined “${challenge}”. This is your own link. It opens your days on your phone or computer; please don’t pass it on.\n${LINK}`,
			dueAt: now,
			// They are awake: they have just joined.
			nextAt: now
		};
		await queueLetters(tx, [letter], { state: 'waiting', coachId, postId: null });
		await tx.query('update letter set invite_base = $2, secret = $3 where id = $1', [id, base, secret]);
	});
}

/** The letter with a link of its own, which is made now unless it was before. */
export async function withLink(
	{ db, clock, ids }: Context,
	{
		id,
		enrolmentId,
		body,
		secret,
		base,
		coachId
	}: {
		id: string;
		enrolmentId: EnrolmentId;
		body: string;
		secret: string | null;
		base: string;
		/** Who sends it. */
		coachId: CoachId;
	}
): Promise<string> {
	const own =
		secret ??
		(await db.transaction(async (tx) => {
			const made = await makeLink(tx, { clock, ids }, enrolmentId, coachId);
			await tx.query('update letter set secret = $2 where id = $1', [id, made]);
			return made;
		}));
	// A line of its own: what somebody wrote of a link is left as it is.
	return body.replace(/^\{link\}$/m, () => `${base}${own}`);
}
