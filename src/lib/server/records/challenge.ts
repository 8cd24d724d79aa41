import type { ReleasePolicy } from '$core/calendar';
import type { CreditPolicy } from '$core/day';
import { isAtLeast, tooLittle, type Level, type Role } from '$core/people';
import type { Question } from '$core/wellbeing';
import { timeOfDay } from '$lib/format';
import { only, type Queries } from '../platform/db/database';
import { idOf, notFound, Refusal } from '../platform/errors';
import type { ChallengeInput } from '$contracts/challenge';
import type { ChallengeId, CoachId } from '../platform/ids';

export interface Challenge {
	id: ChallengeId;
	coachId: CoachId;
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
	/** Days before theirs that late joiners on the group’s day may still do, and for how long; 0: none. */
	catchUpDays: number;
	/** Whether nothing is released to anybody before they have answered the health questions. */
	waitsForAnswers: boolean;
	/** Whether everybody is asked once a week whether anything has changed. */
	asksWeekly: boolean;
	/** What is asked at a check-in beside how much, how hard, and what hurts. */
	questions: Question[];
	/** The level that the plan is made for; null: the usual one. */
	audienceLevel: Level | null;
}

declare const owned: unique symbol;
/**
 * A challenge as the coach who asks has it: only `challengeOf` makes one, and what changes a challenge takes nothing less.
 * Its `coachId` is the owner’s, whose library, sessions and house rules hold in it whoever asks.
 */
export type OwnedChallenge = Challenge & { readonly role: Role; readonly [owned]: true };

const COLUMNS = `ch.id, ch.coach_id as "coachId", co.zone as "coachZone", ch.name, ch.goal,
	ch.starts_on as "startsOn", ch.days, (ch.days + 6) / 7 as weeks, ch.training_days as "trainingDays",
	ch.budget_minutes as "budgetMinutes", ch.release_zone as "releaseZone", ch.opens_at as "opensAt",
	ch.late_hours as "lateHours", ch.late_worth as "lateWorth", ch.partial, ch.after_close as "afterClose",
	ch.late_joiners as "lateJoiners", ch.catch_up_days as "catchUpDays", ch.waits_for_answers as "waitsForAnswers", ch.asks_weekly as "asksWeekly", ch.questions,
	ch.plan -> 'audience' ->> 'level' as "audienceLevel"`;
const FROM = 'from challenge ch join coach co on co.id = ch.coach_id';
/** Challenges with what a coach, $1, is in them. */
const WITH_ROLE = `select ${COLUMNS}, coalesce(m.role, 'owner') as role ${FROM}
	left join helper m on m.challenge_id = ch.id and m.coach_id = $1
	where (ch.coach_id = $1 or m.role is not null)`;

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

/**
 * A challenge that this coach owns or was invited to.
 * @param least what the coach has to be in it at least: whoever asks for a challenge says what for
 * @throws Refusal 404, also for one that is neither; 403 for a coach who is less
 */
export async function challengeOf(
	db: Queries,
	coachId: CoachId,
	id: string,
	least: Role
): Promise<OwnedChallenge> {
	const [found] = await db.query<OwnedChallenge>(`${WITH_ROLE} and ch.id = $2`, [
		coachId,
		idOf(id, 'challenge')
	]);
	if (!found) throw notFound('challenge');
	if (!isAtLeast(found.role, least)) throw new Refusal(403, tooLittle(found.role));
	return found;
}

/** A challenge by its id alone, for those who are enrolled in it. */
export async function challengeById(db: Queries, id: ChallengeId): Promise<Challenge> {
	return only(await db.query<Challenge>(`select ${COLUMNS} ${FROM} where ch.id = $1`, [id]));
}

/**
 * The challenges that a coach owns or was invited to, the latest start first, with how many people each has.
 * @param least what the coach is in them at least
 */
export async function challengesOf(
	db: Queries,
	coachId: CoachId,
	least: Role
): Promise<(OwnedChallenge & { people: number })[]> {
	const all = await db.query<OwnedChallenge & { people: number }>(
		`select one.*, (select count(*)::int from enrolment e where e.challenge_id = one.id and e.left_at is null) as people
		 from (${WITH_ROLE}) one order by one."startsOn" desc, one.name`,
		[coachId]
	);
	return all.filter(({ role }) => isAtLeast(role, least));
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
	lateJoiners: challenge.lateJoiners,
	catchUpDays: challenge.catchUpDays,
	waitsForAnswers: challenge.waitsForAnswers,
	asksWeekly: challenge.asksWeekly,
	questions: challenge.questions
});
