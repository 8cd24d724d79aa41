import type { Strip } from '$core/day';
import { dayInZone } from '$core/calendar';
import type { Level, RosterRow } from '$core/people';
import { makeLink } from '../auth/link';
import type { Group } from '$core/analysis';
import type { Kit, Limitation } from '$core/kit';
import { peopleJoined } from '../day/changed';
import type { Challenge, OwnedChallenge } from '../challenge/challenge';
import { newId, type ChallengeId, type CoachId, type EnrolmentId, type ParticipantId } from '../platform/ids';
import type { Context } from '../platform/context';
import { instant, only, type Queries } from '../db/database';
import { idOf, notFound, Refusal } from '../platform/errors';

/** One row a person: who they are and what their days add up to. */
export interface Enrolment {
	id: EnrolmentId;
	participantId: ParticipantId;
	coachId: CoachId;
	challengeId: ChallengeId;
	name: string;
	email: string;
	zone: string;
	level: Level;
	kit: Kit;
	/** What of their equipment was not understood, as it was written. */
	kitUnread: string[];
	limits: Limitation[];
	fromDay: number;
	shiftDays: number;
	strip: Strip;
	lastSeen: number | null;
	hasLink: boolean;
	/** Whether a calendar may follow their days. */
	subscribed: boolean;
	/** Minutes after midnight at which they train; null: as soon as a day opens. */
	trainsAt: number | null;
}

declare const owned: unique symbol;
/** Somebody in a challenge of the coach who asks: only `enrolmentOf` makes one, and what changes a person takes nothing less. */
export type OwnPerson = Enrolment & { readonly [owned]: true };

const SELECT = `select e.id, p.id as "participantId", p.coach_id as "coachId",
		e.challenge_id as "challengeId", p.name, p.email, p.zone, p.level,
		p.kit, p.kit_unread as "kitUnread", p.limits,
		e.from_day as "fromDay", e.shift_days as "shiftDays", e.strip, e.last_seen as "lastSeen",
		e.link_hash is not null as "hasLink", e.feed_hash is not null as subscribed, p.trains_at as "trainsAt"
	from enrolment e join participant p on p.id = e.participant_id`;

/** Everybody in a challenge, by name. The one query of the roll. */
export function enrolmentsOf(db: Queries, challengeId: ChallengeId): Promise<Enrolment[]> {
	return db.query(`${SELECT} where e.challenge_id = $1 order by p.name`, [challengeId]);
}

/** How many take part, how many of them are beginners, and what any of them must not be asked for. */
export async function groupOf(db: Queries, challengeId: ChallengeId): Promise<Group> {
	return only(
		await db.query<Group>(
			`select count(*)::int as people, count(*) filter (where p.level = 'beginner')::int as beginners,
				coalesce((select jsonb_agg(distinct l) from enrolment x join participant q on q.id = x.participant_id,
					unnest(q.limits) as l where x.challenge_id = $1), '[]') as limits
			 from enrolment e join participant p on p.id = e.participant_id where e.challenge_id = $1`,
			[challengeId]
		)
	);
}

/** Somebody by their enrolment alone, for themselves. */
export async function enrolmentById(db: Queries, id: EnrolmentId): Promise<Enrolment> {
	return only(await db.query<Enrolment>(`${SELECT} where e.id = $1`, [id]));
}

/** One person of a coach's own challenge. @throws Refusal 404 */
export async function enrolmentOf(db: Queries, challenge: OwnedChallenge, id: string): Promise<OwnPerson> {
	const [found] = await db.query<OwnPerson>(`${SELECT} where e.challenge_id = $1 and e.id = $2`, [
		challenge.id,
		idOf(id, 'person')
	]);
	if (!found) throw notFound('person');
	return found;
}

export async function enrolledMails(db: Queries, challengeId: ChallengeId): Promise<Set<string>> {
	const rows = await db.query<{ email: string }>(
		'select p.email from enrolment e join participant p on p.id = e.participant_id where e.challenge_id = $1',
		[challengeId]
	);
	return new Set(rows.map((row) => row.email));
}

export interface NewLink {
	enrolmentId: EnrolmentId;
	name: string;
	email: string;
	/** Shown now and never again: only its hash is kept. */
	secret: string;
}

/** Where a person who joins at this instant begins: with the group's day, or at an own day 1. */
function startOf(challenge: Challenge, zone: string, now: number): { fromDay: number; shiftDays: number } {
	const dayNow = dayInZone(challenge.startsOn, challenge.releaseZone ?? zone, now);
	if (dayNow <= 1) return { fromDay: 1, shiftDays: 0 };
	if (dayNow > challenge.days) throw new Refusal(409, 'This challenge is over; nobody can join it any more.');
	return challenge.lateJoiners === 'own'
		? { fromDay: 1, shiftDays: dayNow - 1 }
		: { fromDay: dayNow, shiftDays: 0 };
}

/**
 * Enrols people, all of them or none. Somebody whom the coach knows from another challenge keeps their
 * record and takes over what the list says now.
 *
 * @returns a link for each
 * @throws Refusal 409 when one of them is enrolled already, or the challenge is over
 */
export function enrol(context: Context, challenge: OwnedChallenge, rows: RosterRow[]): Promise<NewLink[]> {
	const { db, clock, ids } = context;
	const now = clock.now();
	return db.transaction(async (tx) => {
		const links: NewLink[] = [];
		for (const row of rows) {
			const { id: participantId } = only(
				await tx.query<{ id: ParticipantId }>(
					`insert into participant (id, coach_id, name, email, zone, level, kit, kit_unread, created_at)
					 values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
					 on conflict (coach_id, email) do update
						set name = excluded.name, zone = excluded.zone, level = excluded.level, kit = excluded.kit,
							kit_unread = excluded.kit_unread
					 returning id`,
					[
						ids.uuid(),
						challenge.coachId,
						row.name,
						row.email,
						row.zone,
						row.level,
						JSON.stringify(row.kit),
						row.unread,
						instant(now)
					]
				)
			);
			const start = startOf(challenge, row.zone, now);
			const enrolmentId = newId<'enrolment'>(ids);
			const made = await tx.query(
				`insert into enrolment (id, challenge_id, participant_id, from_day, shift_days, created_at)
				 values ($1, $2, $3, $4, $5, $6) on conflict (challenge_id, participant_id) do nothing returning id`,
				[enrolmentId, challenge.id, participantId, start.fromDay, start.shiftDays, instant(now)]
			);
			if (made.length === 0)
				throw new Refusal(409, `${row.name} (${row.email}) is enrolled already. Nobody was enrolled.`);
			const secret = await makeLink(tx, context, enrolmentId);
			links.push({ enrolmentId, name: row.name, email: row.email, secret });
		}
		// Days that are cancelled for everyone are cancelled for them too.
		await peopleJoined(
			context,
			tx,
			challenge.id,
			links.map(({ enrolmentId }) => enrolmentId)
		);
		return links;
	});
}

/** Takes somebody off who has not checked in yet; a record that exists is not thrown away. @throws Refusal 409 */
export function unenrol({ db }: Context, person: OwnPerson): Promise<void> {
	return db.transaction(async (tx) => {
		const [used] = await tx.query('select 1 from checkin where enrolment_id = $1 limit 1', [person.id]);
		if (used)
			throw new Refusal(409, `${person.name} has checked in; what came in stays. Revoke the link instead.`);
		await tx.query('delete from enrolment where id = $1', [person.id]);
	});
}
