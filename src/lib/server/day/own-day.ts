/** A participant's own days: where they stand, and what a day asks of them. */
import { personalSession, type PersonDay, type PersonalChange, type LoggedSet, type Strip } from '$core/day';
import { outlineOf, type Outline } from '$core/analysis';
import type { Practice } from '$core/practice';
import type { PrescribedExercise, Session } from '$core/session';
import { CHECKIN_FACTS, type CheckinFacts } from '../attendance/facts';
import type { Person } from '../auth/link';
import { challengeById, type Challenge } from '../challenge/challenge';
import { only, type Queries } from '../db/database';
import type { Context } from '../platform/context';
import { idOf, notFound } from '../platform/errors';
import type { EnrolmentId, VersionId } from '../platform/ids';
import { planOf, type PlanDay } from '../plan/plan-days';
import { practiceOf } from '../practice/practice';
import { versionById } from '../session/sessions';
import { overridesOf } from './overrides';
import { daysOf } from './person-days';

/** Where one person stands in their challenge. */
export interface Standing {
	challenge: Challenge;
	plan: PlanDay[];
	days: PersonDay[];
	shiftDays: number;
	/** The newest day that has opened; null before the first. */
	today: number | null;
}

export async function standingOf({ db, clock }: Context, person: Person): Promise<Standing> {
	const challenge = await challengeById(db, person.challengeId);
	const plan = await planOf(db, challenge);
	const own = only(
		await db.query<{ strip: Strip; shiftDays: number; fromDay: number }>(
			`select strip, shift_days as "shiftDays", from_day as "fromDay" from enrolment where id = $1`,
			[person.enrolmentId]
		)
	);
	const now = clock.now();
	const days = daysOf(challenge, plan, { ...own, zone: person.zone }, now);
	const opened = days.filter(({ window }) => window.opens <= now).length;
	return { challenge, plan, days, shiftDays: own.shiftDays, today: opened > 0 ? opened : null };
}

/** What a version of a session asks of one person on a day, as it was at an instant. */
export async function prescriptionFor(
	db: Queries,
	enrolmentId: EnrolmentId,
	day: number,
	body: Session,
	practice: Practice,
	at: number
) {
	return personalSession(body, day, await overridesOf(db, enrolmentId, at), practice);
}

/** A session as a participant's page needs it: nothing is left to look up or to work out. */
export interface OwnSession {
	name: string;
	versionId: string;
	outline: Outline;
	asked: PrescribedExercise[];
	/** What is different for them, and why. */
	changes: PersonalChange[];
}

export interface OwnDay extends PersonDay {
	/** What came in for it, null when nothing did. */
	checkin: OwnCheckin | null;
	session: OwnSession | null;
}

export interface OwnCheckin extends CheckinFacts {
	versionId: VersionId | null;
	sets: LoggedSet[];
}

const CHECKIN = `select ${CHECKIN_FACTS}, c.version_id as "versionId",
		coalesce((select jsonb_agg(jsonb_build_object('block', s.block, 'part', s.part, 'set', s.set, 'amount', s.amount, 'kg', s.kg)
			order by s.block, s.part, s.set) from set_log s where s.checkin_id = c.id), '[]') as sets
	from checkin c`;

/** What stands for a day, after corrections. */
async function checkinOfDay(db: Queries, enrolmentId: EnrolmentId, day: number): Promise<OwnCheckin | null> {
	const [found] = await db.query<OwnCheckin>(
		`${CHECKIN} where c.enrolment_id = $1 and c.day = $2 and c.replaced_at is null`,
		[enrolmentId, day]
	);
	return found ?? null;
}

/** A check-in by its id, for the one who made it. @throws Refusal 404, also for somebody else's */
export async function ownCheckin(
	{ db }: Pick<Context, 'db'>,
	person: Person,
	id: string
): Promise<OwnCheckin> {
	const [found] = await db.query<OwnCheckin>(`${CHECKIN} where c.enrolment_id = $1 and c.id = $2`, [
		person.enrolmentId,
		idOf(id, 'check-in')
	]);
	if (!found) throw notFound('check-in');
	return found;
}

/**
 * A day with its session, as soon as it is open for this person. Who has done it sees what they did.
 * @throws Refusal 404 for a day that does not exist, is not theirs or has not opened: the three are not told apart
 */
export async function openDay(
	context: Context,
	person: Person,
	day: number,
	standing?: Standing
): Promise<OwnDay> {
	const { challenge, days, plan } = standing ?? (await standingOf(context, person));
	const found = days[day - 1];
	const planned = plan[day - 1];
	if (!found?.open || !planned) throw notFound('day');
	const checkin = await checkinOfDay(context.db, person.enrolmentId, day);
	const versionId = checkin?.versionId ?? planned.versionId;
	const at = checkin?.receivedAt ?? context.clock.now();
	const session = versionId ? await ownSession(context.db, challenge, person, day, versionId, at) : null;
	return { ...found, checkin, session };
}

async function ownSession(
	db: Queries,
	{ coachId }: Challenge,
	{ enrolmentId }: Person,
	day: number,
	versionId: VersionId,
	at: number
): Promise<OwnSession | null> {
	const { name, body } = await versionById(db, versionId);
	const practice = await practiceOf(db, coachId);
	const own = await prescriptionFor(db, enrolmentId, day, body, practice, at);
	if (!own) return null;
	return {
		name,
		versionId,
		outline: outlineOf(own.session, practice),
		asked: own.asked,
		changes: own.changes
	};
}
