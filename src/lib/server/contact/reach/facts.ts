/** What triage asks of people beside their days: read anew for those about whom something has changed. */
import { LRUCache } from 'lru-cache';
import { effortMostOn, type HealthAnswers } from '$core/health';
import { losingTooFast, type Measured } from '$core/measures';
import { CHECKINS_SEEN, type CheckinSeen, type TriageFacts } from '$core/triage';
import { instant, type Queries } from '../../platform/db/database';
import type { EnrolmentId } from '../../platform/ids';
import { REACHES_SHOWN, type Reach } from './reaches';
import { IS_CURRENT } from '../../records/facts';

/** As it stood at an instant, or as it stands. */
interface Facts {
	/** The newest first. */
	checkins: CheckinSeen[];
	reaches: Reach[];
	/** What is to be asked after, and from which day of the coach's calendar on; the earliest first. */
	followUps: { at: number; said: string; on: string }[];
	/** Pain that nobody has decided about, the last. */
	undecided: TriageFacts['undecided'];
	/** The last sign at which they stopped and that is not dealt with, in their words. */
	stopped: string | null;
	/** Health answers, as far as they are given, and when. */
	health: { answers: HealthAnswers; at: number } | null;
	/** Of the last weeks, the oldest first; kg. */
	weights: Measured[];
	/** The latest of all these: from then on they hold. */
	latest: number;
	/** A private note that was made of a list and mentions health. */
	listed: { at: number; said: string } | null;
}

const ms = (column: string): string => `(extract(epoch from ${column}) * 1000)::bigint`;
/** Weights that are looked at: one or two a day of the weeks that triage looks back. */
const WEIGHTS = 60;

/** Facts of some people. @param until as of when; null: all that there is */
async function read(
	db: Queries,
	ids: readonly EnrolmentId[],
	until: number | null
): Promise<Map<EnrolmentId, Facts>> {
	const rows = await db.query<Facts & { id: EnrolmentId }>(
		`select e.id, coalesce(c.list, '[]') as checkins, coalesce(r.list, '[]') as reaches, coalesce(f.list, '[]') as "followUps",
			u.one as undecided, n.one as listed, s.said as stopped, h.one as health, coalesce(w.list, '[]') as weights, greatest(c.latest, r.latest, s.latest, w.latest, f.latest, u.latest, n.latest, 0) as latest
		 from enrolment e
		 left join lateral (select jsonb_agg(jsonb_build_object('day', c.day, 'at', ${ms('coalesce(c.done_at, c.received_at)')},
				'credit', c.credit, 'effort', c.effort, 'energy', c.energy, 'mood', (c.well ->> 'mood')::int, 'hurts', c.hurts, 'sides', c.sides, 'best', c.best)
				order by c.received_at desc) as list, ${ms('max(c.received_at)')} as latest
			from (select * from result c where c.enrolment_id = e.id and ${IS_CURRENT} and c.received_at <= $2
				order by c.received_at desc limit ${CHECKINS_SEEN}) c) c on true
		 left join lateral (select jsonb_agg(jsonb_build_object('id', r.id, 'enrolmentId', e.id, 'by', co.name, 'way', r.way, 'reasons', r.reasons,
				'note', r.note, 'at', ${ms('r.at')}, 'until', ${ms('r.until')}) order by r.at desc, r.id) as list, ${ms('max(r.at)')} as latest
			from (select * from reach r where r.enrolment_id = e.id and r.at <= $2 order by r.at desc, r.id limit ${REACHES_SHOWN}) r
			left join coach co on co.id = r.coach_id) r on true
		 left join lateral (select jsonb_agg(jsonb_build_object('at', ${ms('i.decided_at')}, 'said', i.said, 'on', i.follow_up_on)
				order by i.follow_up_on, i.id) as list, ${ms('max(i.decided_at)')} as latest
			from incident i where i.enrolment_id = e.id and i.follow_up_on is not null and i.decided_at <= $2
				and (i.followed_up_at is null or i.followed_up_at > $2)) f on true
		 left join lateral (select jsonb_build_object('answers', k.answers, 'at', (select ${ms('max(s.at)')} from screening s
				where s.participant_id = e.participant_id and s.made_by <> 'rule' and s.at <= $2)) as one
			from health k where k.participant_id = e.participant_id and k.answers is not null) h on true
		 left join lateral (select jsonb_build_object('at', ${ms('i.at')}, 'said', i.said, 'day', i.day, 'isSharp', coalesce(i.feels = 'sharp' or i.intensity >= 7, false), 'beside', not exists (
				select from result k where k.enrolment_id = e.id and k.kind = 'planned' and k.day = i.day and k.hurts is not null)) as one, ${ms('i.at')} as latest
			from incident i where i.enrolment_id = e.id and i.kind = 'pain' and i.at <= $2 and (i.decided_at is null or i.decided_at > $2)
			order by i.at desc, i.id limit 1) u on true
		 left join lateral (select jsonb_build_object('at', ${ms('n.at')}, 'said', n.body) as one, ${ms('n.at')} as latest
			from private_note n where n.participant_id = e.participant_id and n.health and n.at <= $2 order by n.at desc, n.id limit 1) n on true
		 left join lateral (select i.said, ${ms('i.at')} as latest from incident i join enrolment o on o.id = i.enrolment_id
			where o.participant_id = e.participant_id and i.kind = 'stop sign' and i.at <= $2
				and (i.decided_at is null or i.decided_at > $2) order by i.at desc, i.id limit 1) s on true
		 left join lateral (select jsonb_agg(jsonb_build_object('at', ${ms('m.at')}, 'value', m.value) order by m.at) as list, ${ms('max(m.at)')} as latest
			from (select * from measure m where m.participant_id = e.participant_id and m.kind = 'weight' and m.at <= $2
				order by m.at desc limit ${WEIGHTS}) m) w on true
		 where e.id = any($1::uuid[])`,
		[ids, until === null ? 'infinity' : instant(until)]
	);
	return new Map(rows.map(({ id, ...facts }) => [id, facts]));
}

/** People kept for each database: the memory of a large challenge or two. */
const MOST_KEPT = 6000;
const caches = new WeakMap<Queries, LRUCache<EnrolmentId, { touched: number; facts: Facts }>>();

/** People read with one statement: more at a time would make everybody else wait. */
const READ_AT_ONCE = 250;

async function readInParts(
	db: Queries,
	ids: readonly EnrolmentId[],
	until: number | null,
	each: (id: EnrolmentId, facts: Facts) => void
): Promise<void> {
	for (let from = 0; from < ids.length; from += READ_AT_ONCE)
		for (const [id, facts] of await read(db, ids.slice(from, from + READ_AT_ONCE), until)) each(id, facts);
}

/**
 * Facts of people as they stood at an instant. Of those about whom nothing has changed since they were last read, and whose
 * last fact is no later than the instant, nothing is read.
 */
async function factsOf(
	db: Queries,
	people: readonly { id: EnrolmentId; touched: number }[],
	asOf: number
): Promise<Map<EnrolmentId, Facts>> {
	const cache =
		caches.get(db) ?? new LRUCache<EnrolmentId, { touched: number; facts: Facts }>({ max: MOST_KEPT });
	caches.set(db, cache);
	const stale = people.filter(({ id, touched }) => cache.get(id)?.touched !== touched);
	const touchedOf = new Map(stale.map(({ id, touched }) => [id, touched]));
	await readInParts(
		db,
		stale.map(({ id }) => id),
		null,
		(id, facts) => cache.set(id, { touched: touchedOf.get(id)!, facts })
	);
	const found = new Map<EnrolmentId, Facts>();
	const before: EnrolmentId[] = [];
	for (const { id } of people) {
		const facts = cache.get(id)?.facts;
		if (facts && facts.latest <= asOf) found.set(id, facts);
		else before.push(id);
	}
	await readInParts(db, before, asOf, (id, facts) => found.set(id, facts));
	return found;
}

export interface Known extends Pick<
	TriageFacts,
	'checkins' | 'followUp' | 'stopped' | 'losing' | 'undecided' | 'review' | 'effortMost'
> {
	reaches: readonly Reach[];
}

const NOTHING: Known = {
	checkins: [],
	reaches: [],
	followUp: null,
	stopped: null,
	losing: null,
	undecided: null,
	review: null,
	effortMost: null
};

/**
 * What triage asks of people beside their days, as it stood at an instant.
 * @param today by the coach's calendar
 */
export async function knownOf(
	db: Queries,
	people: readonly { id: EnrolmentId; touched: number }[],
	asOf: number,
	today: string
): Promise<(id: EnrolmentId) => Known> {
	const all = await factsOf(db, people, asOf);
	return (id) => {
		const facts = all.get(id);
		if (!facts) return NOTHING;
		const { checkins, reaches, followUps, stopped, weights, undecided, health, listed } = facts;
		const said = health?.answers.hurtsElsewhere ?? null;
		const losing = losingTooFast(weights, asOf);
		return {
			checkins,
			reaches,
			stopped,
			undecided,
			review: said && health?.at ? { at: health.at, said } : listed,
			effortMost: health && effortMostOn(health.answers, today),
			followUp: followUps.find(({ on }) => on <= today) ?? null,
			losing: losing && { ...losing, since: weights.at(-1)?.at ?? asOf }
		};
	};
}
