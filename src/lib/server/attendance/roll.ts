import { adherence, personDays, type Adherence, type PersonDays } from '$core/attendance';
import type { DayResult } from '$core/day';
import { creditPolicyOf, type Challenge } from '../challenge/challenge';
import type { Queries } from '../db/database';
import { enrolmentsOf, type Enrolment } from '../people/enrolments';
import { windowsOf } from '../day/windows';
import type { PlanDay } from '../plan/plan';

export interface RollRow extends PersonDays {
	person: Enrolment;
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

const COUNTS = new Set<DayResult['state']>(['done', 'partial', 'late', 'missed', 'open', 'cancelled']);

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
	const people = await enrolmentsOf(db, challenge.id);
	return rollOf(people, challenge, plan, asOf);
}

export function rollOf(people: Enrolment[], challenge: Challenge, plan: PlanDay[], asOf: number): Roll {
	const policy = creditPolicyOf(challenge);
	const rows = people.map((person) => ({
		person,
		...personDays(
			plan,
			windowsOf(challenge, person),
			{ strip: person.strip, fromDay: person.fromDay },
			policy,
			asOf
		)
	}));
	return { rows, totals: totalsOf(rows, plan.length), group: adherence(rows.flatMap((row) => row.days)) };
}
