/** Personal links as they are made and ended. Whoever changes who may come in does it in the same transaction. */
import type { Context } from '../platform/context';
import { instant, type Queries } from '../platform/db/database';
import { hashToken, type ChallengeId, type CoachId, type EnrolmentId, type Ids } from '../platform/ids';

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
