import { attendanceOf, together, type Adherence, type Attendance } from '$core/attendance';
import type { DayState, PersonDay } from '$core/day';
import type { Challenge } from '../../records/challenge';
import type { Queries } from '../../platform/db/database';
import { daysOf } from '../../records/person-days';
import { enrolmentsOf, type Enrolment } from '../../records/enrolments';
import type { PlanDay } from '../../records/plan-days';

export interface RollRow extends Attendance {
	person: Enrolment;
	/** One a day of the challenge, day 1 first. */
	days: PersonDay[];
}

/** What the group did of one day. */
export interface DayTotal {
	/** Sum of credits. */
	credit: number;
	/** People for whom the day has opened and counts, whether it is over for them or not. */
	people: number;
}

export interface Roll {
	rows: RollRow[];
	totals: DayTotal[];
	group: Adherence;
}

const COUNTS = new Set<DayState>(['done', 'partial', 'late', 'missed', 'open', 'cancelled']);

function totalsOf(rows: RollRow[], days: number): DayTotal[] {
	return Array.from({ length: days }, (_, i) => {
		const total = { credit: 0, people: 0 };
		for (const row of rows) {
			const day = row.days[i];
			if (!day || !COUNTS.has(day.state)) continue;
			total.people++;
			total.credit += day.credit;
		}
		return total;
	});
}

/** One person's days and what they add up to, as they stood at an instant. */
export function rollRow(person: Enrolment, challenge: Challenge, plan: PlanDay[], asOf: number): RollRow {
	const days = daysOf(challenge, plan, person, asOf);
	return { person, days, ...attendanceOf(days, person, asOf) };
}

/** The last days of somebody up to one, as a strip shows them. */
export function lastDays({ days }: Pick<RollRow, 'days'>, until: number, count: number) {
	const since = Math.max(0, until - count);
	return {
		firstShown: since + 1,
		days: days.slice(since, until).map(({ state, credit, pain }) => ({ state, credit, pain }))
	};
}

/**
 * Everybody's days as they stood at an instant.
 * One query; the rest is arithmetic over one row a person.
 */
export async function loadRoll(
	db: Queries,
	challenge: Challenge,
	plan: PlanDay[],
	asOf: number
): Promise<Roll> {
	return rollOf(await enrolmentsOf(db, challenge.id), challenge, plan, asOf);
}

export function rollOf(people: Enrolment[], challenge: Challenge, plan: PlanDay[], asOf: number): Roll {
	const rows = people.map((person) => rollRow(person, challenge, plan, asOf));
	return { rows, totals: totalsOf(rows, plan.length), group: together(rows.map((row) => row.adherence)) };
}
