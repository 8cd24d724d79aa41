/** Leaving a challenge, coming back, and going on in another one. What was done stays. */
import { dayInZone } from '$core/calendar';
import type { Level } from '$core/people';
import { challengeById, type OwnedChallenge } from '../challenge/challenge';
import { daysChanged } from '../day/changed';
import { instant, type Queries } from '../db/database';
import { noteChange } from '../health/records';
import type { Context } from '../platform/context';
import { Refusal } from '../platform/errors';
import type { ChallengeId, EnrolmentId, ParticipantId } from '../platform/ids';
import { enrol, type NewLink, type OwnPerson } from './enrolments';

/** The day of the challenge that it is for somebody, from 1. */
async function dayOf({ db, clock }: Context, person: OwnPerson): Promise<number> {
	const challenge = await challengeById(db, person.challengeId);
	const day =
		dayInZone(challenge.startsOn, challenge.releaseZone ?? person.zone, clock.now()) - person.shiftDays;
	return Math.max(1, day);
}

/**
 * Lets somebody leave: from today on nothing is asked of them and nothing counts, and their link ends. What they did stays.
 * @throws Refusal 409 for somebody who has left
 */
export async function leave(context: Context, person: OwnPerson): Promise<void> {
	const { db, clock, ids } = context;
	const today = await dayOf(context, person);
	const now = clock.now();
	await db.transaction(async (tx) => {
		const left = await tx.query(
			`update enrolment set left_at = $2, link_hash = null, link_made_at = null, feed_hash = null
			 where id = $1 and left_at is null returning id`,
			[person.id, instant(now)]
		);
		if (left.length === 0) throw new Refusal(409, `${person.name} has left already.`);
		await tx.query('delete from participant_login where enrolment_id = $1', [person.id]);
		await tx.query(
			`insert into pause (id, enrolment_id, from_day, to_day, reason, at, leaves)
			 values ($1, $2, $3, null, 'Left the challenge', $4, true)`,
			[ids.uuid(), person.id, today, instant(now)]
		);
		await noteChange(tx, person.participantId, 'coach', 'Left the challenge', now);
		await daysChanged(context, tx, person.challengeId, [person.id]);
	});
}

/** Takes somebody back who had left: from today on days are theirs again. @throws Refusal 409 */
export async function comeBack(context: Context, person: OwnPerson): Promise<void> {
	const { db, clock } = context;
	const today = await dayOf(context, person);
	await db.transaction(async (tx) => {
		const back = await tx.query(
			'update enrolment set left_at = null where id = $1 and left_at is not null returning id',
			[person.id]
		);
		if (back.length === 0) throw new Refusal(409, `${person.name} has not left.`);
		// A pause that began today or later was none.
		await tx.query(
			'delete from pause where enrolment_id = $1 and leaves and to_day is null and from_day >= $2',
			[person.id, today]
		);
		await tx.query('update pause set to_day = $2 where enrolment_id = $1 and leaves and to_day is null', [
			person.id,
			today - 1
		]);
		await noteChange(tx, person.participantId, 'coach', 'Came back', clock.now());
		await daysChanged(context, tx, person.challengeId, [person.id]);
	});
}

/** A challenge that somebody is in, or was. */
export interface InChallenge {
	enrolmentId: EnrolmentId;
	challengeId: ChallengeId;
	name: string;
	startsOn: string;
	days: number;
	left: boolean;
}

/** Every challenge that somebody is in, or was; the latest start first. */
export const challengesWith = (db: Queries, id: ParticipantId): Promise<InChallenge[]> =>
	db.query(
		`select e.id as "enrolmentId", ch.id as "challengeId", ch.name, ch.starts_on as "startsOn", ch.days,
			e.left_at is not null as left
		 from enrolment e join challenge ch on ch.id = e.challenge_id where e.participant_id = $1
		 order by ch.starts_on desc, ch.name`,
		[id]
	);

/**
 * Has somebody go on in another challenge, as they are known; in this one they leave. What they did stays here.
 * @returns their link for the other one
 * @throws Refusal 409 where they are in it, or it is over
 */
export async function moveTo(context: Context, person: OwnPerson, to: OwnedChallenge): Promise<NewLink> {
	const [known] = await context.db.query<{ level: Level; unread: string[] }>(
		'select level, kit_unread as unread from participant where id = $1',
		[person.participantId]
	);
	const { name, email, zone, kit } = person;
	const [link] = await enrol(context, to, [
		{ name, email, zone, level: known?.level ?? person.level, kit: [...kit], unread: known?.unread ?? [] }
	]);
	if (!link) throw new Refusal(409, 'Nobody was enrolled.');
	await leave(context, person);
	return link;
}
