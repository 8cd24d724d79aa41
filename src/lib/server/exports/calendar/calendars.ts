/** The calendar of a person and that of a coach: one event a day with work, none for a day of rest. */
import { entryOf, type Strip } from '$core/day';
import { numbered, type Ledger } from '$core/calendar/sequence';
import { milestonesOf, placeAmong, type Milestones } from '$core/calendar';
import { dateOfDay, dueWindow, trainingStart, type DayKind } from '$core/calendar';
import { counted, dayAndTimeIn, minutesText } from '$lib/format';
import { challengeById, releasePolicyOf, type Challenge } from '../../challenge/challenge';
import type { Context } from '../../platform/context';
import { only, type Queries } from '../../db/database';
import { hashToken } from '../../platform/ids';
import { windowsOf } from '../../day/windows';
import { planOf, type PlanDay } from '../../plan/plan';
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

interface Owner {
	/** What the uids of its events end in. */
	id: string;
	table: 'enrolment' | 'challenge';
	url: string;
}

const markOf = (entry: Entry): string => hashToken(JSON.stringify(entry)).slice(0, 16);

/** Numbers the events against what was given out before, and keeps what is given out now. */
async function giveOut(
	{ db, clock }: Context,
	{ id, table }: Owner,
	entries: ReadonlyMap<number, Entry>
): Promise<Ledger> {
	const marks = new Map([...entries].map(([day, entry]) => [String(day), markOf(entry)]));
	const read = async (tx: Queries, lock: string) =>
		only(await tx.query<{ calendar: Ledger }>(`select calendar from ${table} where id = $1 ${lock}`, [id]))
			.calendar;
	const before = await read(db, '');
	if (numbered(before, marks, 0) === before) return before;
	return db.transaction(async (tx) => {
		const now = numbered(await read(tx, 'for update'), marks, clock.now());
		await tx.query(`update ${table} set calendar = $2 where id = $1`, [id, JSON.stringify(now)]);
		return now;
	});
}

async function eventsOf(
	context: Context,
	owner: Owner,
	entries: ReadonlyMap<number, Entry>,
	timeOf: (day: number) => EventTime,
	withdrawn: boolean
): Promise<CalendarEvent[]> {
	const ledger = await giveOut(context, owner, entries);
	return Object.entries(ledger).flatMap(([key, { sequence, at, mark }]): CalendarEvent[] => {
		if (mark === null && !withdrawn) return [];
		const entry = entries.get(Number(key));
		return [
			{
				uid: `day-${key}.${owner.id}@cadrex`,
				sequence,
				changedAt: at,
				cancelled: mark === null,
				url: owner.url,
				...(entry ?? { title: `Day ${key}: not on any more`, details: '', time: timeOf(Number(key)) })
			}
		];
	});
}

/**
 * A person's calendar, in their own zone and at their hour. Of days ahead it says when they are and how long they take,
 * never what is done on them: that is released on the day.
 */
export async function personCalendar(context: Context, enrolmentId: string, wanted: Wanted): Promise<string> {
	const person = only(
		await context.db.query<{
			challengeId: string;
			zone: string;
			trainsAt: number | null;
			strip: Strip;
			fromDay: number;
			shiftDays: number;
		}>(
			`select e.challenge_id as "challengeId", p.zone, p.trains_at as "trainsAt", e.strip, e.from_day as "fromDay",
				e.shift_days as "shiftDays"
			 from enrolment e join participant p on p.id = e.participant_id where e.id = $1`,
			[enrolmentId]
		)
	);
	const challenge = await challengeById(context.db, person.challengeId);
	const plan = await planOf(context.db, challenge);
	const windows = windowsOf(challenge, person);
	const milestones = milestonesOf(plan);
	const timeOf = (day: number): EventTime => {
		const planned = plan[day - 1];
		// One that the plan has no more is withdrawn at the time at which it would have been.
		const window = windows[day - 1] ?? dueWindow(day, person, releasePolicyOf(challenge));
		return {
			start: trainingStart(window, person.zone, person.trainsAt),
			minutes: planned ? minutesOf(planned, challenge) : challenge.budgetMinutes,
			zone: person.zone
		};
	};
	const entries = new Map<number, Entry>();
	for (const day of milestones.works) {
		const planned = plan[day - 1];
		const window = windows[day - 1];
		if (!planned || !window || day < person.fromDay || entryOf(person.strip, day)?.kind === 'excuse')
			continue;
		entries.set(day, {
			title: `${challenge.name}: day ${day}, ${KINDS[planned.kind]}`,
			details: [
				placeText(milestones, day),
				`About ${minutesOf(planned, challenge)} min. Opens ${dayAndTimeIn(person.zone, window.opens)}, due by ${dayAndTimeIn(person.zone, window.due)}; a late result is taken until ${dayAndTimeIn(person.zone, window.closes)}.`,
				'What is done that day, and when to stop, is on your page.'
			].join('\n'),
			time: timeOf(day)
		});
	}
	const owner: Owner = { id: enrolmentId, table: 'enrolment', url: `${wanted.origin}/me` };
	return calendarText({
		name: challenge.name,
		about: challenge.goal,
		events: await eventsOf(context, owner, entries, timeOf, wanted.withdrawn)
	});
}

/** The coach's calendar of a challenge: whole days, since a day opens at another hour for each zone. */
export async function coachCalendar(context: Context, challengeId: string, wanted: Wanted): Promise<string> {
	const challenge = await challengeById(context.db, challengeId);
	const plan = await planOf(context.db, challenge);
	const milestones = milestonesOf(plan);
	const timeOf = (day: number): EventTime => ({ date: dateOfDay(day, challenge.startsOn) });
	const entries = new Map<number, Entry>();
	for (const day of milestones.works) {
		const planned = plan[day - 1];
		if (!planned) continue;
		const what = planned.session
			? `${planned.session}, ${minutesText(planned.seconds ?? 0)}`
			: 'no session laid yet';
		entries.set(day, {
			title: `Day ${day} of ${challenge.days}, ${KINDS[planned.kind]}: ${what}`,
			details: [
				placeText(milestones, day),
				`${counted(challenge.days - day, 'day')} left. Goal: ${challenge.goal}`
			].join('\n'),
			time: timeOf(day)
		});
	}
	const owner: Owner = { id: challengeId, table: 'challenge', url: `${wanted.origin}/c/${challengeId}/plan` };
	return calendarText({
		name: `${challenge.name}, plan`,
		about: challenge.goal,
		events: await eventsOf(context, owner, entries, timeOf, wanted.withdrawn)
	});
}
