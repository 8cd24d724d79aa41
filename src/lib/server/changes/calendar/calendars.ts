/**
 * The calendar of a person and that of a coach: one event a day with work, none for a day of rest. What an event was
 * last is kept beside its owner and numbered when a day changes, so that reading a calendar writes nothing.
 */
import {
	dateOfDay,
	dueWindow,
	milestonesOf,
	placeAmong,
	trainingStart,
	type DayKind,
	type CatchUp,
	type EarlierZone,
	type Milestones
} from '$core/calendar';
import { numbered, type Ledger } from '$core/calendar/sequence';
import type { PersonDay, Strip } from '$core/day';
import type { Hold } from '$core/health';
import { counted, dayAndTimeIn, minutesText } from '$lib/format';
import { challengeById, releasePolicyOf, type Challenge } from '../../records/challenge';
import { daysOf } from '../../records/person-days';
import { windowsOf } from '../../records/windows';
import { only, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { hashToken, type ChallengeId, type EnrolmentId } from '../../platform/ids';
import { planOf, type PlanDay } from '../../records/plan-days';
import { calendarText, type CalendarEvent, type EventTime } from './ical';

interface Wanted {
	/** Whether events that are withdrawn are in it as cancelled: in a file, to undo what an older one brought; a subscription simply has them no more. */
	withdrawn: boolean;
	/** Where the application is reached, without a slash at the end. */
	origin: string;
}

/** What an event says; its number and the time of its change come from what was given out before. */
type Entry = Pick<CalendarEvent, 'title' | 'details' | 'time'>;

const KINDS: Record<DayKind, string> = {
	train: 'training',
	cardio: 'cardio',
	test: 'test day',
	'active-rest': 'active rest',
	rest: 'rest'
};

const placeText = (milestones: Milestones, day: number): string => {
	const { number, of, left } = placeAmong(milestones, day);
	const half = milestones.halfway === day ? ' Halfway.' : '';
	return `Session ${number ?? '–'} of ${of}, ${left === 0 ? 'the last one' : `${left} left after it`}.${half}`;
};

/** Minutes that a day takes, in steps of five, so that a word changed in a session moves nobody's calendar. */
const minutesOf = (day: PlanDay, challenge: Challenge): number =>
	day.seconds === null ? challenge.budgetMinutes : Math.max(5, Math.ceil(day.seconds / 300) * 5);

const markOf = (value: unknown): string => hashToken(JSON.stringify(value)).slice(0, 16);
const marksOf = (entries: ReadonlyMap<number, unknown>): Map<string, string> =>
	new Map([...entries].map(([day, entry]) => [String(day), markOf(entry)]));

/** Numbers what changed. What was never kept counts as changed: one number too many does no harm, one too few does. */
function renumbered(ledger: Ledger, marks: ReadonlyMap<string, string>, now: number): Ledger {
	if (Object.keys(ledger).length > 0) return numbered(ledger, marks, now);
	const unknown = Object.fromEntries(
		[...marks.keys()].map((key) => [key, { sequence: 0, at: now, mark: '' }])
	);
	return numbered(unknown, marks, now);
}

interface Owner {
	/** What the uids of its events end in. */
	id: string;
	url: string;
	/** What was given out before: the numbers of all of them count together. */
	ledgers: readonly Ledger[];
	/** When what was never numbered became what it is. Epoch milliseconds. */
	since: number;
}

function eventsOf(
	{ id, url, ledgers, since }: Owner,
	entries: ReadonlyMap<number, Entry>,
	timeOf: (day: number) => EventTime,
	withdrawn: boolean
): CalendarEvent[] {
	const kept = ledgers.flatMap((ledger) => Object.keys(ledger).map(Number));
	const days = [...new Set([...entries.keys(), ...kept])].sort((a, b) => a - b);
	return days.flatMap((day): CalendarEvent[] => {
		const entry = entries.get(day);
		const given = ledgers.flatMap((ledger) => ledger[day] ?? []);
		const sequence = given.reduce((sum, one) => sum + one.sequence, 0);
		// A day that never had an event has none to withdraw.
		if (!entry && (!withdrawn || !given.some(({ mark }) => mark === null))) return [];
		return [
			{
				uid: `day-${day}.${id}@cadrex`,
				sequence,
				changedAt: Math.max(since, ...given.map(({ at }) => at)),
				cancelled: !entry,
				url,
				...(entry ?? { title: `Day ${day}: not on any more`, details: '', time: timeOf(day) })
			}
		];
	});
}

/** What of an enrolment a calendar is made of. */
interface CalendarPerson {
	id: EnrolmentId;
	challengeId: ChallengeId;
	zone: string;
	earlierZones: EarlierZone[];
	trainsAt: number | null;
	strip: Strip;
	fromDay: number;
	shiftDays: number;
	catchUp: CatchUp | null;
	/** By what is theirs, and by what is everybody's. */
	calendar: Ledger;
	groupCalendar: Ledger;
	since: number;
}

const PERSON = `select e.id, e.challenge_id as "challengeId", p.zone,
		p.earlier_zones as "earlierZones", p.trains_at as "trainsAt", e.strip,
		e.from_day as "fromDay", e.shift_days as "shiftDays", e.catch_up as "catchUp", e.calendar, ch.group_calendar as "groupCalendar",
		e.created_at as since
	from enrolment e join participant p on p.id = e.participant_id join challenge ch on ch.id = e.challenge_id`;

const timeFor =
	(challenge: Challenge, plan: readonly PlanDay[], person: CalendarPerson) =>
	(day: number): EventTime => {
		const planned = plan[day - 1];
		return {
			// One that the plan has no more is withdrawn at the time at which it would have been.
			start: trainingStart(
				windowsOf(challenge, person)[day - 1] ?? dueWindow(day, person, releasePolicyOf(challenge)),
				person.zone,
				person.trainsAt
			),
			minutes: planned ? minutesOf(planned, challenge) : challenge.budgetMinutes,
			zone: person.zone
		};
	};

/** A calendar has days that are held: they may be released any time. */
const NEVER_HELD: readonly Hold[] = [];

/** Whether a day has an event for somebody: theirs, and nothing that excuses them. */
const isOn = ({ theirs, why }: PersonDay): boolean => theirs && why !== 'excused' && why !== 'paused';

/** What a person's calendar says of each day, whatever the hour at which it is asked. */
function personEntries(
	challenge: Challenge,
	plan: PlanDay[],
	milestones: Milestones,
	person: CalendarPerson
): Map<number, Entry> {
	const works = new Set(milestones.works);
	const timeOf = timeFor(challenge, plan, person);
	const entries = new Map<number, Entry>();
	for (const own of daysOf(challenge, plan, { ...person, holds: NEVER_HELD }, Infinity)) {
		const { day, kind, window } = own;
		const planned = plan[day - 1];
		if (!works.has(day) || !isOn(own) || !planned) continue;
		entries.set(day, {
			title: `${challenge.name}: day ${day}, ${KINDS[kind]}`,
			details: [
				placeText(milestones, day),
				`About ${minutesOf(planned, challenge)} min. Opens ${dayAndTimeIn(person.zone, window.opens)}, due by ${dayAndTimeIn(person.zone, window.due)}; a late result is taken until ${dayAndTimeIn(person.zone, window.closes)}.`,
				'What is done that day, and when to stop, is on your page.'
			].join('\n'),
			time: timeOf(day)
		});
	}
	return entries;
}

/** What of those is a matter of the challenge and its plan: the entries of somebody in Greenwich who has only joined. */
const groupMarks = (challenge: Challenge, plan: PlanDay[], milestones: Milestones): Map<string, string> =>
	marksOf(
		personEntries(challenge, plan, milestones, {
			...NOBODY,
			challengeId: challenge.id,
			since: 0
		})
	);
const NOBODY: Omit<CalendarPerson, 'challengeId' | 'since'> = {
	id: '' as EnrolmentId,
	zone: 'UTC',
	earlierZones: [],
	trainsAt: null,
	strip: {},
	fromDay: 1,
	shiftDays: 0,
	catchUp: null,
	calendar: {},
	groupCalendar: {}
};

/** What of those is the person's own: which days are on is so whatever the hours, so that those of nobody's zone are looked up. */
function ownMarks(challenge: Challenge, plan: PlanDay[], person: CalendarPerson): Map<string, string> {
	const { zone, trainsAt, shiftDays, fromDay, strip } = person;
	const days = daysOf(challenge, plan, { ...NOBODY, fromDay, strip, holds: NEVER_HELD }, Infinity);
	const mark = markOf({ zone, trainsAt, shiftDays });
	return new Map(days.filter(isOn).map(({ day }) => [String(day), mark]));
}

/**
 * A person's calendar, in their own zone and at their hour. Of days ahead it says when they are and how long they take,
 * never what is done on them: that is released on the day.
 */
export async function personCalendar(
	{ db }: Pick<Context, 'db'>,
	enrolmentId: EnrolmentId,
	wanted: Wanted
): Promise<string> {
	const person = only(await db.query<CalendarPerson>(`${PERSON} where e.id = $1`, [enrolmentId]));
	const challenge = await challengeById(db, person.challengeId);
	const plan = await planOf(db, challenge);
	const entries = personEntries(challenge, plan, milestonesOf(plan), person);
	const owner: Owner = {
		id: enrolmentId,
		url: `${wanted.origin}/me`,
		ledgers: [person.calendar, person.groupCalendar],
		since: person.since
	};
	return calendarText({
		name: challenge.name,
		about: challenge.goal,
		events: eventsOf(owner, entries, timeFor(challenge, plan, person), wanted.withdrawn)
	});
}

const coachTime =
	(challenge: Challenge) =>
	(day: number): EventTime => ({ date: dateOfDay(day, challenge.startsOn) });

/** What the coach's calendar says: whole days, since a day opens at another hour for each zone. */
function coachEntries(challenge: Challenge, plan: PlanDay[], milestones: Milestones): Map<number, Entry> {
	const entries = new Map<number, Entry>();
	for (const day of milestones.works) {
		const planned = plan[day - 1];
		if (!planned) continue;
		const what = planned.session
			? `${planned.session}, ${minutesText(planned.seconds ?? 0)}`
			: 'no session planned yet';
		entries.set(day, {
			title: `Day ${day} of ${challenge.days}, ${KINDS[planned.kind]}: ${what}`,
			details: [
				placeText(milestones, day),
				`${counted(challenge.days - day, 'day')} left. Goal: ${challenge.goal}`
			].join('\n'),
			time: coachTime(challenge)(day)
		});
	}
	return entries;
}

interface Ledgers {
	calendar: Ledger;
	groupCalendar: Ledger;
	since: number;
}
const ledgersOf = async (db: Queries, id: ChallengeId): Promise<Ledgers> =>
	only(
		await db.query<Ledgers>(
			'select calendar, group_calendar as "groupCalendar", created_at as since from challenge where id = $1',
			[id]
		)
	);

/** The coach's calendar of a challenge. */
export async function coachCalendar(
	{ db }: Pick<Context, 'db'>,
	challengeId: ChallengeId,
	wanted: Wanted
): Promise<string> {
	const challenge = await challengeById(db, challengeId);
	const plan = await planOf(db, challenge);
	const { calendar, since } = await ledgersOf(db, challengeId);
	const owner: Owner = {
		id: challengeId,
		url: `${wanted.origin}/c/${challengeId}/plan`,
		ledgers: [calendar],
		since
	};
	return calendarText({
		name: `${challenge.name}, plan`,
		about: challenge.goal,
		events: eventsOf(
			owner,
			coachEntries(challenge, plan, milestonesOf(plan)),
			coachTime(challenge),
			wanted.withdrawn
		)
	});
}

/**
 * Numbers the events of calendars anew after a change, and keeps what they are now.
 *
 * @param people whose own days may have changed; left out: the plan changed, and with it everybody's
 * @param joined whether they have only just joined, so that nothing was given out yet
 */
export async function keepCalendars(
	{ clock }: Pick<Context, 'clock'>,
	tx: Queries,
	challengeId: ChallengeId,
	people?: readonly EnrolmentId[],
	joined = false
): Promise<void> {
	const challenge = await challengeById(tx, challengeId);
	const plan = await planOf(tx, challenge);
	const now = clock.now();
	const rows = await tx.query<CalendarPerson>(
		`${PERSON} where e.challenge_id = $1 and ($2::uuid[] is null or e.id = any($2)) for update of e`,
		[challengeId, people ?? null]
	);
	const number = joined ? numbered : renumbered;
	const changed = rows.flatMap((person) => {
		const ledger = number(person.calendar, ownMarks(challenge, plan, person), now);
		return ledger === person.calendar ? [] : [{ id: person.id, ledger }];
	});
	if (changed.length > 0)
		await tx.query(
			`update enrolment e set calendar = c.ledger from jsonb_to_recordset($1::jsonb) as c(id uuid, ledger jsonb)
			 where e.id = c.id`,
			[JSON.stringify(changed)]
		);
	if (people) return;
	const milestones = milestonesOf(plan);
	const { calendar, groupCalendar } = await ledgersOf(tx, challengeId);
	const group = number(groupCalendar, groupMarks(challenge, plan, milestones), now);
	const coach = number(calendar, marksOf(coachEntries(challenge, plan, milestones)), now);
	if (group !== groupCalendar || coach !== calendar)
		await tx.query('update challenge set group_calendar = $2, calendar = $3 where id = $1', [
			challengeId,
			JSON.stringify(group),
			JSON.stringify(coach)
		]);
}
