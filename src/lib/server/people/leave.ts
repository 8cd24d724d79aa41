/** Leaving a challenge, coming back, and going on in another one. What was done stays. */
import { dayInZone } from '$core/calendar';
import type { OwnedChallenge } from '../records/challenge';
import { daysChanged } from '../changes/changed';
import { instant, only, type Queries } from '../platform/db/database';
import { noteChange } from '../changes/holds';
import type { Context } from '../platform/context';
import { Refusal } from '../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId, ParticipantId } from '../platform/ids';
import { enrol, type NewLink } from './enrol';
import { type OwnPerson } from '../records/enrolments';

/** What of an enrolment says which day it is for somebody. */
interface OnDay {
	id: EnrolmentId;
	startsOn: string;
	/** Whose day counts: that of the challenge, or their own. */
	zone: string;
	shiftDays: number;
}

/** The day of the challenge that it is for somebody, from 1. */
const dayOf = ({ startsOn, zone, shiftDays }: OnDay, now: number): number =>
	Math.max(1, dayInZone(startsOn, zone, now) - shiftDays);

const ON_DAY = `select e.id, ch.starts_on as "startsOn", coalesce(ch.release_zone, p.zone) as zone, e.shift_days as "shiftDays"
	from enrolment e join challenge ch on ch.id = e.challenge_id join participant p on p.id = e.participant_id`;

/**
 * Ends the days of some enrolments that have not ended: from today on nothing is asked and nothing counts, and their links
 * and devices end. In a transaction. @returns those that it ended
 */
export async function endDays(
	tx: Queries,
	ids: readonly EnrolmentId[],
	{ now, newId, reason }: { now: number; newId: () => string; reason: string }
): Promise<EnrolmentId[]> {
	const open = await tx.query<OnDay>(
		`${ON_DAY} where e.id = any($1::uuid[]) and e.left_at is null for update of e`,
		[ids]
	);
	for (const one of open)
		await tx.query(
			`insert into pause (id, enrolment_id, from_day, to_day, reason, at, leaves) values ($1, $2, $3, null, $4, $5, true)`,
			[newId(), one.id, dayOf(one, now), reason, instant(now)]
		);
	const ended = open.map(({ id }) => id);
	await tx.query(
		`update enrolment set left_at = $2, link_hash = null, link_made_at = null, feed_hash = null where id = any($1::uuid[])`,
		[ended, instant(now)]
	);
	await tx.query('delete from participant_login where enrolment_id = any($1::uuid[])', [ended]);
	return ended;
}

/**
 * Lets somebody leave: from today on nothing is asked of them and nothing counts, and their link ends. What they did stays.
 * @throws Refusal 409 for somebody who has left
 */
export async function leave(context: Context, person: OwnPerson): Promise<void> {
	const { db, clock, ids } = context;
	const now = clock.now();
	await db.transaction(async (tx) => {
		const how = { now, newId: () => ids.uuid(), reason: 'Left the challenge' };
		if ((await endDays(tx, [person.id], how)).length === 0)
			throw new Refusal(409, `${person.name} has left already.`);
		await noteChange(tx, person.participantId, 'coach', 'Left the challenge', now);
		await daysChanged(context, tx, person.challengeId, [person.id]);
	});
}

/** Takes somebody back who had left: from today on days are theirs again. @throws Refusal 409 */
export async function comeBack(context: Context, person: OwnPerson): Promise<void> {
	const { db, clock } = context;
	await db.transaction(async (tx) => {
		const today = dayOf(only(await tx.query<OnDay>(`${ON_DAY} where e.id = $1`, [person.id])), clock.now());
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
 * @param by who has them do so
 * @returns their link for the other one
 * @throws Refusal 409 where they are in it, or it is over
 */
export async function moveTo(
	context: Context,
	person: OwnPerson,
	to: OwnedChallenge,
	by: CoachId
): Promise<NewLink> {
	const { name, email, zone, level, kit, kitUnread: unread } = person;
	const [link] = await enrol(context, to, [{ name, email, zone, level, kit: [...kit], unread }], by);
	if (!link) throw new Refusal(409, 'Nobody was enrolled.');
	await leave(context, person);
	return link;
}
