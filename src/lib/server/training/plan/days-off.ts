/** Days that do not go as planned: a storm, a holiday, an outage. */
import { ANNOUNCEMENT_LENGTH } from '$contracts/announcement';
import { daysOffSchema, restoreSchema, unexcuseSchema, type DaysOff } from '$contracts/days-off';
import { insertDays, PLAN_LIMITS } from '$core/plan';
import { dateOfDay } from '$core/calendar';
import { counted, dayText } from '$lib/format';
import { daysChanged } from '../../changes/changed';
import type { Challenge, OwnedChallenge } from '../../records/challenge';
import type { ChallengeId, EnrolmentId } from '../../platform/ids';
import { withTransaction, type Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import { Refusal } from '../../platform/errors';
import { validate } from '../../platform/validate';
import { postAnnouncement } from '../challenge/announcements';
import { openPlan, savePlan } from './plan';
import { IS_CURRENT } from '../../records/facts';

/** @throws Refusal 400 for a day that the challenge does not have */
function checkDays(challenge: Challenge, days: readonly number[]): void {
	const beyond = days.find((day) => day > challenge.days);
	if (beyond) throw new Refusal(400, `The challenge has ${challenge.days} days; there is no day ${beyond}.`);
}

/** Cancels days for everyone, or restores them; what people did on them stands. */
async function setCancelled(
	tx: Queries,
	{ id }: Challenge,
	days: readonly number[],
	reason: string | null,
	{ clock }: Pick<Context, 'clock'>
): Promise<void> {
	await tx.query(
		`update plan_day set cancelled = $3, cancelled_at = $4 where challenge_id = $1 and day = any($2::int[])`,
		[id, days, reason, reason === null ? null : instant(clock.now())]
	);
	await daysChanged({ clock }, tx, id);
}

/** Excuses everybody whose day it is, each on their own record. */
async function excuseEverybody(
	tx: Queries,
	{ id }: Challenge,
	days: readonly number[],
	reason: string,
	{ clock }: Pick<Context, 'clock'>
): Promise<void> {
	await tx.query(
		`insert into excuse (enrolment_id, day, reason, at)
		 select e.id, d.day, $3, $4 from enrolment e, unnest($2::int[]) as d(day)
		 where e.challenge_id = $1 and e.from_day <= d.day
			and not exists (select 1 from result c where c.enrolment_id = e.id and c.day = d.day and ${IS_CURRENT})
		 on conflict (enrolment_id, day) do nothing`,
		[id, days, reason, instant(clock.now())]
	);
	await daysChanged({ clock }, tx, id);
}

/** Puts as many days of rest in as were chosen, held with the reason; what lay from the first on comes later. */
async function shift(
	context: Context,
	challenge: OwnedChallenge,
	days: readonly number[],
	reason: string
): Promise<void> {
	const { plan, revision, releasedTo } = await openPlan(context, challenge);
	const first = Math.min(...days);
	if (first <= releasedTo)
		throw new Refusal(409, `Day ${first} is released already and stays where it is: cancel it instead.`);
	if (plan.days.length + days.length > PLAN_LIMITS.days)
		throw new Refusal(
			400,
			`A challenge has at most ${PLAN_LIMITS.days} days; this one would have ${plan.days.length + days.length}.`
		);
	await savePlan(context, challenge, {
		revision,
		plan: insertDays(plan, first, days.length)
	});
	await setCancelled(
		context.db,
		challenge,
		days.map((_, i) => first + i),
		reason,
		context
	);
}

/** What everybody is told of it. */
function announcementText(
	how: DaysOff,
	days: readonly number[],
	reason: string,
	challenge: Challenge
): string {
	const named = days.map((day) => `day ${day} (${dayText(dateOfDay(day, challenge.startsOn))})`).join(', ');
	const first = Math.min(...days);
	if (how === 'cancel')
		return `Nobody has to do ${named}: ${reason}. ${days.length === 1 ? 'It counts' : 'They count'} for nobody.`;
	if (how === 'excuse')
		return `Everybody is excused from ${named}: ${reason}. What you did counts all the same.`;
	const end = dayText(dateOfDay(challenge.days + days.length, challenge.startsOn));
	return `${counted(days.length, 'day')} of rest from day ${first} (${dayText(dateOfDay(first, challenge.startsOn))}) on: ${reason}. Everything after comes ${counted(days.length, 'day')} later; the last day is now ${end}.`;
}

/**
 * Takes days off for everybody. `cancel`: nobody has to do them and they count for nobody; `excuse`: those who have not
 * done them are excused, each on their own record; `shift`: rest comes in and all that is ahead moves on, which only
 * days can that are released for nobody. What somebody did counts in any case.
 *
 * @param raw.reason what people read
 * @param raw.tell whether an announcement goes up as well
 * @throws Refusal 400, 404, 409
 */
export async function takeDaysOff(context: Context, challenge: OwnedChallenge, raw: unknown): Promise<void> {
	const { how, days, reason, tell } = validate(daysOffSchema, raw);
	checkDays(challenge, days);
	await context.db.transaction(async (tx) => {
		const inside = withTransaction(context, tx);
		if (how === 'cancel') await setCancelled(tx, challenge, days, reason, context);
		else if (how === 'excuse') await excuseEverybody(tx, challenge, days, reason, context);
		else await shift(inside, challenge, days, reason);
		if (tell)
			await postAnnouncement(inside, challenge, {
				text: announcementText(how, days, reason, challenge).slice(0, ANNOUNCEMENT_LENGTH),
				once: true
			});
	});
}

/** Restores cancelled days. @throws Refusal 400 */
export async function restoreDays(
	{ db, clock }: Context,
	challenge: OwnedChallenge,
	raw: unknown
): Promise<void> {
	const { days } = validate(restoreSchema, raw);
	checkDays(challenge, days);
	await db.transaction((tx) => setCancelled(tx, challenge, days, null, { clock }));
}

/** Days from which several people are excused for one reason. */
export interface ExcusedTogether {
	day: number;
	reason: string;
	people: number;
}

export function excusedTogether(db: Queries, challengeId: ChallengeId): Promise<ExcusedTogether[]> {
	return db.query(
		`select x.day, x.reason, count(*)::int as people from excuse x join enrolment e on e.id = x.enrolment_id
		 where e.challenge_id = $1 group by x.day, x.reason having count(*) > 1 order by x.day, x.reason`,
		[challengeId]
	);
}

/** Takes an excuse back from all who have it for this reason. @throws Refusal 400 */
export async function unexcuseTogether(
	{ db, clock }: Context,
	{ id }: OwnedChallenge,
	raw: unknown
): Promise<void> {
	const { day, reason } = validate(unexcuseSchema, raw);
	await db.transaction(async (tx) => {
		const rows = await tx.query<{ id: EnrolmentId }>(
			`delete from excuse x using enrolment e
			 where e.id = x.enrolment_id and e.challenge_id = $1 and x.day = $2 and x.reason = $3 returning e.id`,
			[id, day, reason]
		);
		await daysChanged(
			{ clock },
			tx,
			id,
			rows.map((row) => row.id)
		);
	});
}
