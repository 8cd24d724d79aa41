/** Takes people into a challenge, and off it again. */
import { setImmediate as breath } from 'node:timers/promises';
import { addDays, dateIn, instantOf, dayInZone } from '$core/calendar';
import { type RosterRow } from '$core/people';
import { newSecret } from '../changes/links';
import { peopleJoined } from '../changes/changed';
import type { Challenge, OwnedChallenge } from '../records/challenge';
import { newId, type CoachId, type EnrolmentId, type ParticipantId } from '../platform/ids';
import type { Context } from '../platform/context';
import { instant } from '../platform/db/database';
import { Refusal } from '../platform/errors';
import { projectHolds } from '../changes/holds';
import { noteSuited } from '../changes/suited';
import { type Enrolment, type OwnPerson, enrolledMails } from '../records/enrolments';

export interface NewLink {
	enrolmentId: EnrolmentId;
	name: string;
	email: string;
	/** Shown now and never again: only its hash is kept. */
	secret: string;
}

/** From which day on somebody takes part, by which clock, and what they may still do of the days before they joined. */
type Start = Pick<Enrolment, 'fromDay' | 'shiftDays' | 'catchUp'>;

/** Where a person who joins at this instant begins: with the group's day, or at an own day 1. */
function startOf(challenge: Challenge, zone: string, now: number): Start {
	const clock = challenge.releaseZone ?? zone;
	const dayNow = dayInZone(challenge.startsOn, clock, now);
	const own = { fromDay: 1, shiftDays: 0, catchUp: null };
	if (dayNow <= 1) return own;
	if (dayNow > challenge.days) throw new Refusal(409, 'This challenge is over; nobody can join it any more.');
	if (challenge.lateJoiners === 'own') return { ...own, shiftDays: dayNow - 1 };
	const { catchUpDays } = challenge;
	if (catchUpDays === 0) return { ...own, fromDay: dayNow };
	// So many days back, and until the end of the day so many days ahead.
	const until = instantOf(addDays(dateIn(clock, now), catchUpDays + 1), 0, clock);
	return { ...own, fromDay: Math.max(1, dayNow - catchUpDays), catchUp: { before: dayNow, until } };
}

/** People enrolled in one transaction: more at a time would make everybody else wait for them. */
const AT_ONCE = 25;

/**
 * Enrols people, all of them or none. Somebody whom the coach knows from another challenge keeps their
 * record and takes over what the list says now. Others are answered between one transaction and the next; should the
 * process end in between, those who are enrolled by then stay so.
 *
 * @param by the coach whose doing it is; null: they join by themselves
 * @returns a link for each
 * @throws Refusal 409 when one of them is enrolled already, or the challenge is over
 */
export async function enrol(
	context: Context,
	challenge: OwnedChallenge,
	rows: readonly RosterRow[],
	by: CoachId | null
): Promise<NewLink[]> {
	const { clock, ids } = context;
	const now = clock.now();
	const zones = [...new Set(rows.map(({ zone }) => zone))];
	const starts = new Map(zones.map((zone) => [zone, startOf(challenge, zone, now)]));
	const people = rows.map((row) => {
		const { secret, hash } = newSecret(ids);
		const id = newId<'enrolment'>(ids);
		return { ...row, ...starts.get(row.zone)!, id, participant: ids.uuid(), secret, hash };
	});
	await breath();
	const enrolled = await enrolledMails(context.db, challenge.id);
	for (const { name, email } of people) {
		if (!email) continue;
		if (enrolled.has(email)) throw enrolledAlready(name, email);
		enrolled.add(email);
	}
	let done = 0;
	try {
		for (; done < people.length; done += AT_ONCE) {
			await enrolSome(context, challenge, people.slice(done, done + AT_ONCE), now, by);
			// The embedded database answers within this thread: without a pause nothing else is even read.
			await breath();
		}
	} catch (cause) {
		const before = people.slice(0, done).map(({ id }) => id);
		await context.db.query('delete from enrolment where id = any($1::uuid[])', [before]);
		throw cause;
	}
	return people.map(({ id, name, email, secret }) => ({ enrolmentId: id, name, email, secret }));
}

const enrolledAlready = (name: string, email: string): Refusal =>
	new Refusal(409, `${name} (${email}) is enrolled already. Nobody was enrolled.`);

/** Moves that are remembered of somebody; the earliest are forgotten. No challenge is longer than twelve weeks. */
const MOST_MOVES = 40;

/**
 * SQL of the zones that somebody was in before, once their zone becomes another.
 * @param zone @param at the new zone and the instant at which it begins, as SQL
 */
export const zonesAfter = (zone: string, at: string): string =>
	`case when participant.zone = ${zone} then participant.earlier_zones
		else (case when jsonb_array_length(participant.earlier_zones) < ${MOST_MOVES} then participant.earlier_zones
			else participant.earlier_zones - 0 end) || jsonb_build_array(jsonb_build_object('zone', participant.zone,
			'until', (extract(epoch from ${at}::timestamptz) * 1000)::bigint)) end`;

interface Joining extends RosterRow, Start {
	id: EnrolmentId;
	participant: string;
	hash: string;
}

function enrolSome(
	context: Context,
	challenge: OwnedChallenge,
	people: Joining[],
	now: number,
	by: CoachId | null
): Promise<void> {
	const list = JSON.stringify(people);
	return context.db.transaction(async (tx) => {
		await tx.query(
			`insert into participant (id, coach_id, name, email, zone, level, kit, kit_unread, created_at)
			 select participant, $2, name, email, zone, level, kit, unread, $3
			 from jsonb_to_recordset($1) as r(participant uuid, name text, email text, zone text, level text, kit jsonb,
				unread text[])
			 on conflict (coach_id, email) where email <> '' do update
				set name = excluded.name, earlier_zones = ${zonesAfter('excluded.zone', '$3')}, zone = excluded.zone, level = excluded.level, kit = excluded.kit,
					kit_unread = excluded.kit_unread`,
			[list, challenge.coachId, instant(now)]
		);
		const made = await tx.query<{ id: string }>(
			`insert into enrolment (id, challenge_id, participant_id, from_day, shift_days, catch_up, created_at, link_hash, link_made_at, link_made_by)
			 select r.id, $2, p.id, r."fromDay", r."shiftDays", r."catchUp", $4, r.hash, $4, $5
			 from jsonb_to_recordset($1) as r(id uuid, participant uuid, email text, "fromDay" int, "shiftDays" int, "catchUp" jsonb, hash text)
			 join participant p on p.id = coalesce((select k.id from participant k
				where k.coach_id = $3 and k.email = r.email and k.email <> ''), r.participant)
			 on conflict (challenge_id, participant_id) do nothing returning id`,
			[list, challenge.id, challenge.coachId, instant(now), by]
		);
		// Somebody else has enrolled one of them meanwhile.
		const ids = new Set(made.map(({ id }) => id));
		const other = people.find(({ id }) => !ids.has(id));
		if (other) throw enrolledAlready(other.name, other.email);
		const known = await tx.query<{ id: ParticipantId }>(
			'select participant_id as id from enrolment where id = any($1::uuid[])',
			[people.map(({ id }) => id)]
		);
		const participants = known.map(({ id }) => id);
		await tx.query(
			`insert into private_note (id, participant_id, body, at, health)
			 select r.key, e.participant_id, r.note, $2, coalesce(r."isHealth", false)
			 from jsonb_to_recordset($1) as r(id uuid, key uuid, note text, "isHealth" boolean) join enrolment e on e.id = r.id
			 where r.note <> ''`,
			[
				JSON.stringify(
					people.map(({ id, note, isHealth }) => ({ id, key: context.ids.uuid(), note, isHealth }))
				),
				instant(now)
			]
		);
		await noteSuited(tx, participants, now);
		await projectHolds(tx, participants, now);
		// Days that are cancelled for everyone are cancelled for them too.
		await peopleJoined(
			context,
			tx,
			challenge.id,
			people.map(({ id }) => id)
		);
	});
}

/** Takes somebody off who has not checked in yet; a record that exists is not thrown away. @throws Refusal 409 */
export function unenrol({ db }: Context, person: OwnPerson): Promise<void> {
	return db.transaction(async (tx) => {
		const [used] = await tx.query('select 1 from result where enrolment_id = $1 limit 1', [person.id]);
		if (used)
			throw new Refusal(409, `${person.name} has checked in; what came in stays. Revoke the link instead.`);
		await tx.query('delete from enrolment where id = $1', [person.id]);
	});
}
