import { minutesIn } from '$core/calendar';
import type { PersonDay } from '$core/day';
import { holdAt, type HoldReason } from '$core/health';
import { byName } from '$core/people';
import type { RollRow } from '../../done/attendance/roll';
import type { ChallengeId, EnrolmentId } from '../../platform/ids';
import { instant, type Queries } from '../../platform/db/database';
import { CHECKIN_FACTS, type CheckinFacts } from '../../records/facts';

/** One hour at which a day opens, and for whom. */
export interface Opening {
	opens: number;
	people: { id: string; name: string; zone: string; localMinutes: number }[];
}

/** A person who does not get a day, and why. */
export interface NotReleased {
	id: EnrolmentId;
	name: string;
	/** Of a hold; or the day is excused or paused for them. */
	why: HoldReason | 'excused' | 'paused';
}

/** Why a day is not released to a person as things are at an instant, or null if it is. A day ahead is kept back by a hold of today. */
function keptBack({ person: { holds } }: RollRow, own: PersonDay, asOf: number): NotReleased['why'] | null {
	if (own.state === 'excused') return own.why === 'paused' ? 'paused' : 'excused';
	if (own.state !== 'held' && own.state !== 'ahead' && own.state !== 'open') return null;
	return holdAt(holds, Math.min(asOf, own.window.closes - 1))?.reason ?? null;
}

/** People to whom an assigned day is not released, by name. */
export const notReleasedOf = (rows: readonly RollRow[], day: number, asOf: number): NotReleased[] =>
	rows
		.flatMap((row): NotReleased[] => {
			const own = row.days[day - 1];
			const why = own?.theirs ? keptBack(row, own, asOf) : null;
			return why ? [{ id: row.person.id, name: row.person.name, why }] : [];
		})
		.sort(byName);

/** When a day opens for whom, earliest first. */
export function openingsOf(rows: readonly RollRow[], day: number, asOf: number): Opening[] {
	const byInstant = new Map<number, Opening>();
	for (const row of rows) {
		const { person, days } = row;
		const own = days[day - 1];
		if (!own?.theirs || keptBack(row, own, asOf) !== null) continue;
		const { opens } = own.window;
		const opening = byInstant.get(opens) ?? { opens, people: [] };
		opening.people.push({
			id: person.id,
			name: person.name,
			zone: person.zone,
			localMinutes: minutesIn(person.zone, opens)
		});
		byInstant.set(opens, opening);
	}
	return [...byInstant.values()].sort((a, b) => a.opens - b.opens);
}

/** Somebody to whom nothing is released, and why. */
export interface Held {
	id: EnrolmentId;
	name: string;
	reason: HoldReason;
	/** Since when, epoch milliseconds. */
	since: number;
}

/** Who is held at an instant; those who were first at the head. */
export const heldOf = (rows: readonly RollRow[], asOf: number): Held[] =>
	rows
		.flatMap(({ person: { id, name, holds } }): Held[] => {
			const hold = holdAt(holds, asOf);
			return hold ? [{ id, name, reason: hold.reason, since: hold.from }] : [];
		})
		.sort((a, b) => a.since - b.since || byName(a, b));

/** Somebody whose day is open and not done, with the instant at which it closes. */
export interface StillOpen {
	id: string;
	name: string;
	zone: string;
	/** Of the group's days, the one that is open longest. */
	day: number;
	closes: number;
	credit: number;
}

/** Whose days are open now and not done, those that close first at the head; of each person the one that closes first. */
export const stillOpenOf = (rows: readonly RollRow[], asOf: number): StillOpen[] =>
	rows
		.flatMap(({ person, days }) => {
			const [first] = days
				.map((own, i) => ({ ...own, day: i + 1 }))
				.filter(({ theirs, state, window }) => theirs && state === 'open' && window.closes > asOf)
				.sort((a, b) => a.window.closes - b.window.closes);
			return first
				? [
						{
							id: person.id,
							name: person.name,
							zone: person.zone,
							day: first.day,
							closes: first.window.closes,
							credit: first.credit
						}
					]
				: [];
		})
		.sort((a, b) => a.closes - b.closes || byName(a, b));

interface CameIn extends CheckinFacts {
	enrolmentId: EnrolmentId;
	name: string;
	/** Null for what was taken from the shelf. */
	day: number | null;
	/** The session of the shelf that was taken. */
	shelf: string | null;
	/** The session of the day was done once more. */
	again: boolean;
	/** What a coach has said about it, the last; null: nothing. */
	reply: { by: string | null; text: string } | null;
}

/** Results of a challenge of every kind, received within (from, to]: reports of pain first, then the newest. */
export function cameIn(db: Queries, challengeId: ChallengeId, from: number, to: number): Promise<CameIn[]> {
	return db.query<CameIn>(
		`select ${CHECKIN_FACTS}, c.enrolment_id as "enrolmentId", p.name, c.day, case when c.kind = 'extra' then s.name end as shelf,
			c.kind = 'again' as again, m.one as reply
		 from result c
		 join enrolment e on e.id = c.enrolment_id
		 join participant p on p.id = e.participant_id
		 left join session_version v on v.id = c.version_id
		 left join session s on s.id = v.session_id
		 left join lateral (
			select jsonb_build_object('by', co.name, 'text', m.body) as one from message m left join coach co on co.id = m.coach_id
			where m.about = c.id and m.at <= $3 order by m.at desc, m.id limit 1) m on true
		 where e.challenge_id = $1 and c.replaced_at is null and c.received_at > $2 and c.received_at <= $3
		 order by c.hurts is null, c.received_at desc limit 200`,
		[challengeId, instant(from), instant(to)]
	);
}
