import { entryOf, type Strip } from '$core/day';
import { dayState, type DayResult } from '$core/day';
import { type DayKind, type DueWindow } from '$core/calendar';
import type { LoggedSet } from '$core/day';
import { outlineOf, type Outline } from '$core/analysis';
import { prescriptionOf, type PrescribedExercise } from '$core/session';
import type { Person } from '../auth/link';
import { challengeById, creditPolicyOf, type Challenge } from '../challenge/challenge';
import type { Context } from '../platform/context';
import { only } from '../db/database';
import { idOf, notFound } from '../platform/errors';
import { windowsOf } from './windows';
import { planOf, type PlanDay } from '../plan/plan';
import { practiceOf } from '../practice/practice';
import { versionById } from '../session/sessions';
import { CHECKIN_FACTS, type CheckinFacts } from '../attendance/facts';

/** Where one person stands in their challenge. */
export interface Standing {
	challenge: Challenge;
	plan: PlanDay[];
	windows: DueWindow[];
	days: DayResult[];
	strip: Strip;
	fromDay: number;
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
	const windows = windowsOf(challenge, { zone: person.zone, shiftDays: own.shiftDays });
	const now = clock.now();
	const policy = creditPolicyOf(challenge);
	const days = plan.map((day, i) =>
		dayState(day.kind, windows[i] as DueWindow, entryOf(own.strip, day.day), policy, now, {
			notYours: day.day < own.fromDay,
			cancelled: day.cancelled !== null
		})
	);
	const opened = windows.filter((window) => window.opens <= now).length;
	return {
		challenge,
		plan,
		windows,
		days,
		strip: own.strip,
		fromDay: own.fromDay,
		shiftDays: own.shiftDays,
		today: opened > 0 ? opened : null
	};
}

export interface OwnDay {
	day: number;
	kind: DayKind;
	/** Why nobody has to do it; null: they do. */
	cancelled: string | null;
	window: DueWindow;
	result: DayResult;
	/** What came in for it, null when nothing did. */
	checkin: OwnCheckin | null;
	session: OwnSession | null;
}

/** A session as a participant's page needs it: nothing is left to look up or to work out. */
export interface OwnSession {
	name: string;
	versionId: string;
	outline: Outline;
	asked: PrescribedExercise[];
}

export interface OwnCheckin extends CheckinFacts {
	versionId: string | null;
	sets: LoggedSet[];
}

const CHECKIN = `select ${CHECKIN_FACTS}, c.version_id as "versionId",
		coalesce((select jsonb_agg(jsonb_build_object('block', s.block, 'part', s.part, 'set', s.set, 'amount', s.amount, 'kg', s.kg)
			order by s.block, s.part, s.set) from set_log s where s.checkin_id = c.id), '[]') as sets
	from checkin c`;

/** What stands for a day, after corrections. */
export async function checkinOfDay(
	{ db }: Pick<Context, 'db'>,
	enrolmentId: string,
	day: number
): Promise<OwnCheckin | null> {
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
	const { windows, days, plan, fromDay } = standing ?? (await standingOf(context, person));
	const window = windows[day - 1];
	const planned = plan[day - 1];
	const result = days[day - 1];
	if (!window || !planned || !result || day < fromDay || context.clock.now() < window.opens)
		throw notFound('day');
	const checkin = await checkinOfDay(context, person.enrolmentId, day);
	const versionId = checkin?.versionId ?? planned.versionId;
	const session = versionId ? await ownSession(context, person, versionId) : null;
	return { day, kind: planned.kind, cancelled: planned.cancelled, window, result, checkin, session };
}

async function ownSession({ db }: Context, person: Person, versionId: string): Promise<OwnSession> {
	const { coachId } = await challengeById(db, person.challengeId);
	const { name, body } = await versionById(db, versionId);
	const practice = await practiceOf(db, coachId);
	return { name, versionId, outline: outlineOf(body, practice), asked: prescriptionOf(body, practice) };
}
