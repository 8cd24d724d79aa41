import { challengeSchema, type ChallengeInput } from '$contracts/challenge';
import { minutesOfDay } from '$contracts/values';
import { addDays, calendarOf, dateIn, LAST_ZONE } from '$core/calendar';
import { dayText } from '$lib/format';
import { challengeMade, daysChanged } from '../../changes/changed';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import { newId, type ChallengeId, type CoachId } from '../../platform/ids';
import { projectHoldsIn } from '../../changes/holds';
import { validate } from '../../platform/validate';
import { challengeOf, type OwnedChallenge } from '../../records/challenge';

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
	input.lateJoiners,
	input.waitsForAnswers,
	input.catchUpDays,
	input.asksWeekly,
	input.questions
];

/**
 * Lays days over the frame: training where one trains, rest elsewhere. Days that have a session, or were given
 * another kind by hand, stay as they are.
 */
async function layDays(
	tx: Queries,
	challengeId: ChallengeId,
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
	context: Context,
	coachId: CoachId,
	raw: unknown
): Promise<ChallengeId> {
	const { db, clock, ids } = context;
	const input = validate(challengeSchema, raw);
	const endsOn = addDays(input.startsOn, input.weeks * 7 - 1);
	// Where the date ends last: over everywhere.
	if (endsOn < dateIn(LAST_ZONE, clock.now()))
		throw new Refusal(400, `It would have ended on ${dayText(endsOn)} already. Choose a later start.`, [
			{ field: 'startsOn', message: 'a start from which some days are still to come' }
		]);
	const id = newId<'challenge'>(ids);
	return db.transaction(async (tx) => {
		await tx.query(
			`insert into challenge (name, goal, starts_on, days, training_days, budget_minutes, release_zone, opens_at,
				late_hours, late_worth, partial, after_close, late_joiners, waits_for_answers, catch_up_days, asks_weekly, questions, id, coach_id, created_at)
			 values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20)`,
			[...valuesOf(input, input.weeks * 7), id, coachId, instant(clock.now())]
		);
		await layDays(tx, id, input, input.weeks * 7);
		await challengeMade(context, tx, id);
		return id;
	});
}

/**
 * Changes a challenge. Its start and length stay once somebody has checked in: their days would move under them.
 * @throws Refusal 400, 404, 409
 */
export async function changeChallenge(
	context: Context,
	{ id, coachId }: OwnedChallenge,
	raw: unknown
): Promise<void> {
	const input = validate(challengeSchema, raw);
	return context.db.transaction(async (tx) => {
		const before = await challengeOf(tx, coachId, id, 'coach');
		// A length in whole weeks is what the form can say; one that says the same leaves odd days alone.
		const days = before.weeks === input.weeks ? before.days : input.weeks * 7;
		const moved = before.startsOn !== input.startsOn || before.days !== days;
		if (moved) {
			const [used] = await tx.query(
				"select 1 from result c join enrolment e on e.id = c.enrolment_id where e.challenge_id = $1 and c.kind = 'planned' limit 1",
				[id]
			);
			if (used)
				throw new Refusal(409, 'Start and length stay as they are: people have checked in on these days.');
		}
		await tx.query(
			`update challenge set name = $1, goal = $2, starts_on = $3, days = $4, training_days = $5, budget_minutes = $6,
				release_zone = $7, opens_at = $8, late_hours = $9, late_worth = $10, partial = $11, after_close = $12,
				late_joiners = $13, waits_for_answers = $14, catch_up_days = $15, asks_weekly = $16, questions = $17, plan_revision = plan_revision + 1
			 where id = $18`,
			[...valuesOf(input, days), id]
		);
		await tx.query('delete from plan_day where challenge_id = $1 and day > $2', [id, days]);
		await layDays(tx, id, input, days);
		if (before.waitsForAnswers !== input.waitsForAnswers) await projectHoldsIn(tx, id, context.clock.now());
		await daysChanged(context, tx, id);
	});
}
