import { LRUCache } from 'lru-cache';
import type { ExtraEntry } from '$core/attendance';
import type { Strip } from '$core/day';
import { type EarlierZone, type CatchUp } from '$core/calendar';
import { byName, type Level } from '$core/people';
import { type Person } from './person';
import type { Group } from '$core/analysis';
import type { Hold } from '$core/health';
import type { Kit, Limitation, Units } from '$core/kit';
import type { OwnedChallenge } from './challenge';
import { type ChallengeId, type CoachId, type EnrolmentId, type ParticipantId } from '../platform/ids';
import { only, type Queries } from '../platform/db/database';
import { idOf, notFound } from '../platform/errors';
import { SUITED, type Suited } from './suited';

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
