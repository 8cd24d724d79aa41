import { calendarOf } from '$core/calendar';
import { addDays, dateIn, type ReleasePolicy } from '$core/calendar';
import { type CreditPolicy } from '$core/day';
import { dayText, timeOfDay } from '$lib/format';
import type { Context } from '../platform/context';
import { instant, only, type Queries } from '../db/database';
import { idOf, notFound, Refusal } from '../platform/errors';
import { validate } from '../web/validate';
import { challengeSchema, minutesOfDay, type ChallengeInput } from '$contracts/challenge';

export interface Challenge {
	id: string;
	coachId: string;
	/** The coach's own zone, for dates that belong to nobody else. */
	coachZone: string;
	name: string;
	goal: string;
	startsOn: string;
	/** Length in days; days put into a running challenge make it no longer a matter of weeks. */
	days: number;
	weeks: number;
	trainingDays: number[];
	budgetMinutes: number;
	releaseZone: string | null;
	/** Minutes after midnight. */
	opensAt: number;
	lateHours: number;
	/** 0…1. */
	lateWorth: number;
	partial: 'share' | 'strict';
	afterClose: 'refuse' | 'store';
	lateJoiners: 'group' | 'own';
}

const COLUMNS = `ch.id, ch.coach_id as "coachId", co.zone as "coachZone", ch.name, ch.goal,
	ch.starts_on as "startsOn", ch.days, (ch.days + 6) / 7 as weeks, ch.training_days as "trainingDays",
	ch.budget_minutes as "budgetMinutes", ch.release_zone as "releaseZone", ch.opens_at as "opensAt",
	ch.late_hours as "lateHours", ch.late_worth as "lateWorth", ch.partial, ch.after_close as "afterClose",
	ch.late_joiners as "lateJoiners"`;
const FROM = 'from challenge ch join coach co on co.id = ch.coach_id';

export const releasePolicyOf = (challenge: Challenge): ReleasePolicy => ({
	startsOn: challenge.startsOn,
	zone: challenge.releaseZone,
	opensAt: challenge.opensAt,
	lateHours: challenge.lateHours
});

export const creditPolicyOf = (challenge: Challenge): CreditPolicy => ({
	partial: challenge.partial,
	lateWorth: challenge.lateWorth
});

/** A challenge of this coach. @throws Refusal 404, also for another coach's */
export async function challengeOf(db: Queries, coachId: string, id: string): Promise<Challenge> {
	const [found] = await db.query<Challenge>(
		`select ${COLUMNS} ${FROM} where ch.id = $1 and ch.coach_id = $2`,
		[idOf(id, 'challenge'), coachId]
	);
	if (!found) throw notFound('challenge');
	return found;
}

/** A challenge by its id alone, for those who are enrolled in it. */
export async function challengeById(db: Queries, id: string): Promise<Challenge> {
	return only(await db.query<Challenge>(`select ${COLUMNS} ${FROM} where ch.id = $1`, [id]));
}

/** A coach's challenges, the latest start first, with how many people each has. */
export function challengesOf(db: Queries, coachId: string): Promise<(Challenge & { people: number })[]> {
	return db.query(
		`select ${COLUMNS}, (select count(*)::int from enrolment e where e.challenge_id = ch.id) as people
		 ${FROM} where ch.coach_id = $1 order by ch.starts_on desc, ch.name`,
		[coachId]
	);
}

/** What the form shows for a challenge that exists. */
export const inputOf = (challenge: Challenge): ChallengeInput => ({
	name: challenge.name,
	goal: challenge.goal,
	startsOn: challenge.startsOn,
	weeks: challenge.weeks,
	trainingDays: challenge.trainingDays,
	budgetMinutes: challenge.budgetMinutes,
	ownZones: challenge.releaseZone === null,
	releaseZone: challenge.releaseZone ?? '',
	opensAt: timeOfDay(challenge.opensAt),
	lateHours: challenge.lateHours,
	lateWorth: Math.round(challenge.lateWorth * 100),
	partial: challenge.partial,
	afterClose: challenge.afterClose,
	lateJoiners: challenge.lateJoiners
});

const valuesOf = (input: ChallengeInput, days: number): unknown[] => [
	input.name,
	input.goal,
	input.startsOn,
	days,
	[...new Set(input.trainingDays)].sort((a, b) => a - b),
	input.budgetMinutes,
	input.ownZones ? null : input.releaseZone,
	minutesOfDay(input.opensAt),
	input.lateHours,
	input.lateWorth / 100,
	input.partial,
	input.afterClose,
	input.lateJoiners
];

/**
 * Lays days over the frame: training where one trains, rest elsewhere. Days that have a session, or were given
 * another kind by hand, stay as they are.
 */
async function layDays(
	tx: Queries,
	challengeId: string,
	input: ChallengeInput,
	length: number
): Promise<void> {
	const { days } = calendarOf({ ...input, days: length });
	await tx.query(
		`insert into plan_day (challenge_id, day, kind)
		 select $1, d.day, d.kind from jsonb_to_recordset($2::jsonb) as d(day int, kind text)
		 on conflict (challenge_id, day) do update set kind = excluded.kind
			where plan_day.version_id is null and plan_day.kind in ('train', 'rest')`,
		[challengeId, JSON.stringify(days.map(({ day, trains }) => ({ day, kind: trains ? 'train' : 'rest' })))]
	);
}

/** Makes a challenge with an empty plan. @returns its id @throws Refusal 400 with faults */
export async function createChallenge(
	{ db, clock, ids }: Context,
	coachId: string,
	raw: unknown
): Promise<string> {
	const input = validate(challengeSchema, raw);
	const endsOn = addDays(input.startsOn, input.weeks * 7 - 1);
	// Where the date begins last: over everywhere.
	if (endsOn < dateIn('Etc/GMT+12', clock.now()))
		throw new Refusal(400, `It would have ended on ${dayText(endsOn)} already. Choose a later start.`, [
			{ field: 'startsOn', message: 'a start from which some days are still to come' }
		]);
	const id = ids.uuid();
	return db.transaction(async (tx) => {
		await tx.query(
			`insert into challenge (name, goal, starts_on, days, training_days, budget_minutes, release_zone, opens_at,
				late_hours, late_worth, partial, after_close, late_joiners, id, coach_id, created_at)
			 values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16)`,
			[...valuesOf(input, input.weeks * 7), id, coachId, instant(clock.now())]
		);
		await layDays(tx, id, input, input.weeks * 7);
		return id;
	});
}

/**
 * Changes a challenge. Its start and length stay once somebody has checked in: their days would move under them.
 * @throws Refusal 400, 404, 409
 */
export async function changeChallenge(
	{ db }: Context,
	coachId: string,
	id: string,
	raw: unknown
): Promise<void> {
	const input = validate(challengeSchema, raw);
	return db.transaction(async (tx) => {
		const before = await challengeOf(tx, coachId, id);
		// A length in whole weeks is what the form can say; one that says the same leaves odd days alone.
		const days = before.weeks === input.weeks ? before.days : input.weeks * 7;
		const moved = before.startsOn !== input.startsOn || before.days !== days;
		if (moved) {
			const [used] = await tx.query(
				'select 1 from checkin c join enrolment e on e.id = c.enrolment_id where e.challenge_id = $1 limit 1',
				[id]
			);
			if (used)
				throw new Refusal(409, 'Start and length stay as they are: people have checked in on these days.');
		}
		await tx.query(
			`update challenge set name = $1, goal = $2, starts_on = $3, days = $4, training_days = $5, budget_minutes = $6,
				release_zone = $7, opens_at = $8, late_hours = $9, late_worth = $10, partial = $11, after_close = $12,
				late_joiners = $13, plan_revision = plan_revision + 1
			 where id = $14`,
			[...valuesOf(input, days), id]
		);
		await tx.query('delete from plan_day where challenge_id = $1 and day > $2', [id, days]);
		await layDays(tx, id, input, days);
	});
}
