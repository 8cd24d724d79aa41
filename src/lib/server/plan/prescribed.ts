/**
 * What a day sends: the version that was laid on it, or what the rules of the plan make of that in its week. The
 * latter are rows of session_version too, without a number, so that they are sent, logged and kept like any other.
 */
import { EMPTY_PLAN, followsRules, sessionInWeek, weekOf, type Plan } from '$core/plan';
import { dateIn, dateOfDay, FIRST_ZONE, releasedTo, type DayKind } from '$core/calendar';
import type { Practice } from '$core/practice';
import { compileSession, type Session } from '$core/session';
import { newId, type ChallengeId, type SessionId, type VersionId } from '../platform/ids';
import type { Context } from '../platform/context';
import { daysChanged } from '../day/changed';
import { instant, only, type Queries } from '../db/database';

/** Rules, deload, tests and audience of a plan, without its days. */
export type PlanRules = Omit<Plan, 'days'>;

const { days: _none, ...NO_RULES } = EMPTY_PLAN;

export async function planRules(
	db: Queries,
	challengeId: ChallengeId
): Promise<{
	rules: PlanRules;
	revision: number;
	startsOn: string;
	/** Ids of tests by day. */
	testsOn: Map<number, string[]>;
}> {
	const row = only(
		await db.query<{
			plan: Partial<Omit<PlanRules, 'audience'>> & { audience?: Partial<PlanRules['audience']> };
			revision: number;
			startsOn: string;
			tests: { day: number; tests: string[] }[];
		}>(
			`select plan, plan_revision as revision, starts_on as "startsOn",
				coalesce((select jsonb_agg(jsonb_build_object('day', d.day, 'tests', d.tests)) from plan_day d
					where d.challenge_id = challenge.id and d.tests <> '{}'), '[]') as tests
			 from challenge where id = $1`,
			[challengeId]
		)
	);
	return {
		rules: { ...NO_RULES, ...row.plan, audience: { ...NO_RULES.audience, ...row.plan.audience } },
		revision: row.revision,
		startsOn: row.startsOn,
		testsOn: new Map(row.tests.map(({ day, tests }) => [day, tests]))
	};
}

interface PlannedRow {
	day: number;
	kind: DayKind;
	baseId: VersionId;
	sessionId: SessionId;
	body: Session;
}

/** The row of what the rules make of a version; one that is there already is used again. */
async function madeVersion(
	tx: Queries,
	{ clock, ids }: Context,
	row: PlannedRow,
	body: Session,
	practice: Practice,
	date: string
): Promise<VersionId> {
	const json = JSON.stringify(body);
	const [known] = await tx.query<{ id: VersionId }>(
		'select id from session_version where made_from = $1 and body = $2::jsonb',
		[row.baseId, json]
	);
	if (known) {
		await tx.query('update session_version set prescribed_from = least(prescribed_from, $2) where id = $1', [
			known.id,
			date
		]);
		return known.id;
	}
	const id = newId<'version'>(ids);
	await tx.query(
		`insert into session_version (id, session_id, version, made_from, body, seconds, created_at, prescribed_from)
		 values ($1, $2, null, $3, $4, $5, $6, $7)`,
		[
			id,
			row.sessionId,
			row.baseId,
			json,
			compileSession(body, practice).totals.duration,
			instant(clock.now()),
			date
		]
	);
	return id;
}

/**
 * Works out anew what days send. Days that are released keep what they were sent with, unless they are among `also`. What
 * was made for days that do not send it any more, and nobody can have seen, goes.
 */
export async function refreshPrescribed(
	tx: Queries,
	context: Context,
	challengeId: ChallengeId,
	practice: Practice,
	also: readonly number[] = []
): Promise<void> {
	const { rules, startsOn } = await planRules(tx, challengeId);
	const rows = await tx.query<PlannedRow>(
		`select p.day, p.kind, p.base_id as "baseId", v.session_id as "sessionId", v.body
		 from plan_day p join session_version v on v.id = p.base_id
		 where p.challenge_id = $1 and (p.day > $2 or p.day = any($3::int[])) order by p.day`,
		[challengeId, releasedTo(startsOn, context.clock.now()), also]
	);
	const made = new Map<string, VersionId>();
	for (const row of rows) {
		const week = weekOf(row.day);
		const key = `${row.baseId} ${week}`;
		let id = followsRules(row) ? made.get(key) : row.baseId;
		if (id === undefined) {
			const { session, changes } = sessionInWeek(row.body, row.sessionId, week, rules, practice);
			id =
				changes.length === 0
					? row.baseId
					: await madeVersion(tx, context, row, session, practice, dateOfDay(row.day, startsOn));
			made.set(key, id);
		}
		await tx.query('update plan_day set version_id = $3 where challenge_id = $1 and day = $2', [
			challengeId,
			row.day,
			id
		]);
	}
	await tx.query(
		`delete from session_version v
		 where v.made_from is not null
			and v.session_id in (select s.id from session s join challenge ch on ch.coach_id = s.coach_id where ch.id = $1)
			and v.prescribed_from > $2
			and not exists (select 1 from plan_day p where p.version_id = v.id)
			and not exists (select 1 from checkin c where c.version_id = v.id)`,
		[challengeId, dateIn(FIRST_ZONE, context.clock.now())]
	);
}

/** A new version of a session takes the place of those before it on all days that nobody has opened yet. */
export async function moveToVersion(
	tx: Queries,
	context: Context,
	sessionId: SessionId,
	versionId: VersionId,
	practice: Practice
): Promise<number> {
	const moved = await tx.query<{ challengeId: ChallengeId }>(
		`update plan_day p set base_id = $2, version_id = $2
		 from challenge ch
		 where ch.id = p.challenge_id
			and p.base_id in (select id from session_version where session_id = $1)
			and ch.starts_on + (p.day - 1) > ($3::timestamptz at time zone 'UTC' + interval '14 hours')::date
		 returning p.challenge_id as "challengeId"`,
		[sessionId, versionId, instant(context.clock.now())]
	);
	for (const challengeId of new Set(moved.map((row) => row.challengeId))) {
		await refreshPrescribed(tx, context, challengeId, practice);
		await daysChanged(context, tx, challengeId);
	}
	return moved.length;
}
