/** Days that do not go as planned: a storm, a holiday, an outage. */
import { array, boolean, mixed, number, object, string } from 'yup';
import { packEntry } from '$core/day';
import { insertDays, PLAN_LIMITS } from '$core/plan';
import { dateOfDay } from '$core/calendar';
import { counted, dayText } from '$lib/format';
import { challengeOf, type Challenge } from '../challenge/challenge';
import { withTransaction, type Context } from '../platform/context';
import { instant, type Queries } from '../db/database';
import { Refusal } from '../platform/errors';
import { validate } from '../web/validate';
import { postAnnouncement, ANNOUNCEMENT_LENGTH } from '../challenge/announcements';
import { openPlan, savePlan } from './plan';

type DaysOff = 'hold' | 'excuse' | 'shift';

const dayList = array(number().integer().min(1).max(PLAN_LIMITS.days).required())
	.min(1, 'choose a day')
	.required();
const text = string().trim().max(300, 'at most 300 letters');
const daysOffSchema = object({
	how: mixed<DaysOff>().oneOf(['hold', 'excuse', 'shift'], 'choose what happens with the days').required(),
	days: dayList,
	reason: text.required('say why; people read it'),
	tell: boolean().default(false)
});

async function challengeWith(
	db: Queries,
	coachId: string,
	challengeId: string,
	days: readonly number[]
): Promise<Challenge> {
	const challenge = await challengeOf(db, coachId, challengeId);
	const beyond = days.find((day) => day > challenge.days);
	if (beyond) throw new Refusal(400, `The challenge has ${challenge.days} days; there is no day ${beyond}.`);
	return challenge;
}

const setCancelled = (tx: Queries, challengeId: string, days: readonly number[], reason: string | null) =>
	tx.query('update plan_day set cancelled = $3 where challenge_id = $1 and day = any($2::int[])', [
		challengeId,
		days,
		reason
	]);

/** Excuses everybody who has not checked in on a day and whose day it is. */
async function excuseEverybody(
	tx: Queries,
	challengeId: string,
	days: readonly number[],
	reason: string,
	now: number
): Promise<void> {
	const entry = JSON.stringify(packEntry({ kind: 'excuse', credit: 0, at: now, pain: false }));
	for (const day of days)
		await tx.query(
			`with those as (
				update enrolment set strip = jsonb_set(strip, array[$2::text], $5::jsonb)
				where challenge_id = $1 and from_day <= ($2::text)::int and coalesce(strip->($2::text)->>0, 'e') = 'e' returning id
			 )
			 insert into excuse (enrolment_id, day, reason, at) select id, ($2::text)::int, $3, $4 from those
			 on conflict (enrolment_id, day) do nothing`,
			[challengeId, String(day), reason, instant(now), entry]
		);
}

/** Puts as many days of rest in as were chosen, held with the reason; what lay from the first on comes later. */
async function shift(
	context: Context,
	challenge: Challenge,
	days: readonly number[],
	reason: string
): Promise<void> {
	const { plan, revision, releasedTo } = await openPlan(context, challenge);
	const first = Math.min(...days);
	if (first <= releasedTo)
		throw new Refusal(
			409,
			`Day ${first} is out for somebody already and stays where it is: hold it instead.`
		);
	if (plan.days.length + days.length > PLAN_LIMITS.days)
		throw new Refusal(
			400,
			`A challenge has at most ${PLAN_LIMITS.days} days; this one would have ${plan.days.length + days.length}.`
		);
	await savePlan(context, challenge.coachId, challenge.id, {
		revision,
		plan: insertDays(plan, first, days.length)
	});
	await setCancelled(
		context.db,
		challenge.id,
		days.map((_, i) => first + i),
		reason
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
	if (how === 'hold')
		return `Nobody has to do ${named}: ${reason}. ${days.length === 1 ? 'It counts' : 'They count'} for nobody.`;
	if (how === 'excuse')
		return `Everybody is excused from ${named}: ${reason}. What you did counts all the same.`;
	const end = dayText(dateOfDay(challenge.days + days.length, challenge.startsOn));
	return `${counted(days.length, 'day')} of rest from day ${first} (${dayText(dateOfDay(first, challenge.startsOn))}) on: ${reason}. Everything after comes ${counted(days.length, 'day')} later; the last day is now ${end}.`;
}

/**
 * Takes days off for everybody. `hold`: nobody has to do them and they count for nobody; `excuse`: those who have not
 * done them are excused, each on their own record; `shift`: rest comes in and all that is ahead moves on, which only
 * days can that are out for nobody. What somebody did counts in any case.
 *
 * @param raw.reason what people read
 * @param raw.tell whether a notice goes up as well
 * @throws Refusal 400, 404, 409
 */
export async function takeDaysOff(
	context: Context,
	coachId: string,
	challengeId: string,
	raw: unknown
): Promise<void> {
	const { how, days, reason, tell } = validate(daysOffSchema, raw);
	const challenge = await challengeWith(context.db, coachId, challengeId, days);
	await context.db.transaction(async (tx) => {
		const inside = withTransaction(context, tx);
		if (how === 'hold') await setCancelled(tx, challengeId, days, reason);
		else if (how === 'excuse') await excuseEverybody(tx, challengeId, days, reason, context.clock.now());
		else await shift(inside, challenge, days, reason);
		if (tell)
			await postAnnouncement(inside, coachId, challengeId, {
				text: announcementText(how, days, reason, challenge).slice(0, ANNOUNCEMENT_LENGTH),
				once: true
			});
	});
}

/** Lets held days go on. @throws Refusal 400, 404 */
export async function restoreDays(
	{ db }: Context,
	coachId: string,
	challengeId: string,
	raw: unknown
): Promise<void> {
	const { days } = validate(object({ days: dayList }), raw);
	await challengeWith(db, coachId, challengeId, days);
	await setCancelled(db, challengeId, days, null);
}

/** Days from which several people are excused for one reason. */
export interface ExcusedTogether {
	day: number;
	reason: string;
	people: number;
}

export function excusedTogether(db: Queries, challengeId: string): Promise<ExcusedTogether[]> {
	return db.query(
		`select x.day, x.reason, count(*)::int as people from excuse x join enrolment e on e.id = x.enrolment_id
		 where e.challenge_id = $1 group by x.day, x.reason having count(*) > 1 order by x.day, x.reason`,
		[challengeId]
	);
}

/** Takes an excuse back from all who have it for this reason. @throws Refusal 400, 404 */
export async function unexcuseTogether(
	{ db }: Context,
	coachId: string,
	challengeId: string,
	raw: unknown
): Promise<void> {
	const { day, reason } = validate(
		object({ day: number().integer().min(1).max(PLAN_LIMITS.days).required(), reason: text.required() }),
		raw
	);
	await challengeOf(db, coachId, challengeId);
	await db.query(
		`with those as (
			delete from excuse x using enrolment e
			where e.id = x.enrolment_id and e.challenge_id = $1 and x.day = ($2::text)::int and x.reason = $3 returning e.id
		 )
		 update enrolment set strip = strip - $2::text
		 where id in (select id from those) and strip->($2::text)->>0 = 'e'`,
		[challengeId, String(day), reason]
	);
}
