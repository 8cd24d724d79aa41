import { setImmediate as breath } from 'node:timers/promises';
import { LRUCache } from 'lru-cache';
import type { ExtraEntry } from '$core/attendance';
import type { Strip } from '$core/day';
import { addDays, dateIn, instantOf, dayInZone, type EarlierZone, type CatchUp } from '$core/calendar';
import { byName, type Level, type RosterRow } from '$core/people';
import { newSecret, type Person } from '../auth/link';
import type { Group } from '$core/analysis';
import type { Hold } from '$core/health';
import type { Kit, Limitation, Units } from '$core/kit';
import { peopleJoined } from '../day/changed';
import type { Challenge, OwnedChallenge } from '../challenge/challenge';
import { newId, type ChallengeId, type CoachId, type EnrolmentId, type ParticipantId } from '../platform/ids';
import type { Context } from '../platform/context';
import { instant, only, type Queries } from '../db/database';
import { idOf, notFound, Refusal } from '../platform/errors';
import { projectHolds } from '../health/records';
import { noteSuited, SUITED, type Suited } from './suited';

/** One row a person: who they are and what their days add up to. */
export interface Enrolment {
	id: EnrolmentId;
	participantId: ParticipantId;
	coachId: CoachId;
	challengeId: ChallengeId;
	name: string;
	email: string;
	/** Whether they want mail when their coach writes. */
	mailed: boolean;
	zone: string;
	earlierZones: EarlierZone[];
	level: Level;
	kit: Kit;
	/** What of their equipment was not understood, as it was written. */
	kitUnread: string[];
	limits: Limitation[];
	/** Those of them that the coach added by hand. */
	addedLimits: Limitation[];
	/** The name that others see. */
	displayName: string | null;
	units: Units;
	/** Minutes that they have for a session. */
	minutes: number | null;
	goals: string | null;
	/** When they last answered everything; null: never. */
	answeredAt: number | null;
	/** When the coach last asked them to look it over; null: never. */
	askedAt: number | null;
	holds: Hold[];
	suited: Suited;
	/** The id of their team; null: none. */
	team: string | null;
	/** When they left the challenge; null: they are in it. */
	leftAt: number | null;
	fromDay: number;
	shiftDays: number;
	catchUp: CatchUp | null;
	strip: Strip;
	/** Sessions taken from the shelf. */
	extras: ExtraEntry[];
	lastSeen: number | null;
	hasLink: boolean;
	/** Whether a calendar may follow their days. */
	subscribed: boolean;
	/** Minutes after midnight at which they train; null: as soon as a day opens. */
	trainsAt: number | null;
	/** Rises whenever something about them changes. */
	touched: number;
}

declare const owned: unique symbol;
/** Somebody in a challenge of the coach who asks: only `enrolmentOf` makes one, and what changes a person takes nothing less. */
export type OwnPerson = Enrolment & { readonly [owned]: true };

const SELECT = `select e.id, p.id as "participantId", p.coach_id as "coachId",
		e.challenge_id as "challengeId", p.name, p.email, p.mailed, p.zone, p.earlier_zones as "earlierZones", p.level,
		p.kit, p.kit_unread as "kitUnread", coalesce(h.limits, '{}') as limits, coalesce(h.added, '{}') as "addedLimits",
		p.display_name as "displayName", p.units, p.minutes, p.goals, p.answered_at as "answeredAt", p.asked_at as "askedAt", e.holds,
		${SUITED} as suited,
		e.team_id as team, e.left_at as "leftAt", e.from_day as "fromDay", e.shift_days as "shiftDays", e.catch_up as "catchUp", e.strip, e.extras, e.last_seen as "lastSeen",
		e.link_hash is not null as "hasLink", e.feed_hash is not null as subscribed, p.trains_at as "trainsAt", e.touched::float8 as touched
	from enrolment e join participant p on p.id = e.participant_id left join health h on h.participant_id = p.id`;

/** Somebody as their own pages have them; of other challenges they only know themselves. */
export const asPerson = (one: Enrolment): Person => ({
	enrolmentId: one.id,
	participantId: one.participantId,
	challengeId: one.challengeId,
	name: one.name,
	zone: one.zone,
	units: one.units,
	earlierZones: one.earlierZones,
	suited: one.suited,
	holds: one.holds,
	asksAgain: one.askedAt !== null && one.answeredAt !== null && one.askedAt > one.answeredAt,
	others: []
});

/** People read with one statement: more at a time would make everybody else wait for them. */
const READ_AT_ONCE = 250;
/** People kept for each database: as many as a few large challenges have. */
const MOST_KEPT = 6000;
const caches = new WeakMap<Queries, LRUCache<EnrolmentId, Enrolment>>();

/**
 * Everybody in a challenge, by name. Those about whom nothing has changed since they were last read are not read again; of
 * the others at most two hundred and fifty with one statement. What is given is shared, and not to be changed.
 */
export async function enrolmentsOf(db: Queries, challengeId: ChallengeId): Promise<Enrolment[]> {
	const cache = caches.get(db) ?? new LRUCache<EnrolmentId, Enrolment>({ max: MOST_KEPT });
	caches.set(db, cache);
	const there = await db.query<Pick<Enrolment, 'id' | 'touched'>>(
		'select id, touched::float8 as touched from enrolment where challenge_id = $1',
		[challengeId]
	);
	const all: Enrolment[] = [];
	const stale: EnrolmentId[] = [];
	for (const { id, touched } of there) {
		const known = cache.get(id);
		if (known?.touched === touched) all.push(known);
		else stale.push(id);
	}
	for (let from = 0; from < stale.length; from += READ_AT_ONCE)
		for (const one of await db.query<Enrolment>(`${SELECT} where e.id = any($1::uuid[])`, [
			stale.slice(from, from + READ_AT_ONCE)
		])) {
			cache.set(one.id, one);
			all.push(one);
		}
	return all.sort(byName);
}

/** How many take part, how many of them are beginners, and what any of them must not be asked for. */
export async function groupOf(db: Queries, challengeId: ChallengeId): Promise<Group> {
	return only(
		await db.query<Group>(
			`select count(*)::int as people, count(*) filter (where p.level = 'beginner')::int as beginners,
				coalesce((select jsonb_agg(distinct l) from enrolment x join health q on q.participant_id = x.participant_id,
					unnest(q.limits) as l where x.challenge_id = $1 and x.left_at is null), '[]') as limits
			 from enrolment e join participant p on p.id = e.participant_id where e.challenge_id = $1 and e.left_at is null`,
			[challengeId]
		)
	);
}

/** Somebody by their enrolment alone, for themselves. */
export async function enrolmentById(db: Queries, id: EnrolmentId): Promise<Enrolment> {
	return only(await db.query<Enrolment>(`${SELECT} where e.id = $1`, [id]));
}

/** Several people by their enrolments alone. */
export const enrolmentsById = (db: Queries, ids: readonly EnrolmentId[]): Promise<Enrolment[]> =>
	db.query<Enrolment>(`${SELECT} where e.id = any($1::uuid[])`, [[...new Set(ids)]]);

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
		const [used] = await tx.query(
			'select 1 from checkin where enrolment_id = $1 union all select 1 from shelf_log where enrolment_id = $1 limit 1',
			[person.id]
		);
		if (used)
			throw new Refusal(409, `${person.name} has checked in; what came in stays. Revoke the link instead.`);
		await tx.query('delete from enrolment where id = $1', [person.id]);
	});
}
