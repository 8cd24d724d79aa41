/**
 * What a day sends: the version that was laid on it, or what the rules of the plan make of that in its week. The
 * latter are rows of session_version too, without a number, so that they are sent, logged and kept like any other.
 */
import { dayOfTwo, EMPTY_PLAN, followsRules, sessionInWeek, unchanged, weekOf, type Plan } from '$core/plan';
import { dateIn, dateOfDay, FIRST_ZONE, releasedTo, type DayKind } from '$core/calendar';
import type { Practice } from '$core/practice';
import { compileSession, type Session } from '$core/session';
import { newId, type ChallengeId, type SessionId, type VersionId } from '../platform/ids';
import type { Context } from '../platform/context';
import { daysChanged } from './changed';
import { instant, only, type Queries } from '../platform/db/database';

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
	name: string;
	body: Session;
	/** The second session of the day. */
	evening: { id: VersionId; sessionId: SessionId; name: string; body: Session } | null;
}

/** What a day sends: its session as the rules have it, with that of the evening; the same object where it is as it was laid. */
function sentOn(row: PlannedRow, week: number, rules: PlanRules, practice: Practice): Session {
	const inWeek = ({ body, sessionId }: { body: Session; sessionId: SessionId }) =>
		followsRules(row) ? sessionInWeek(body, sessionId, week, rules, practice) : unchanged(body);
	const first = inWeek(row);
	const { evening } = row;
	if (!evening) return first.session;
	return dayOfTwo({ ...first, name: row.name }, { ...inWeek(evening), name: evening.name }).session;
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
		`insert into session_version (id, session_id, version, made_from, body, seconds, created_at, prescribed_from, name)
		 values ($1, $2, null, $3, $4, $5, $6, $7, $8)`,
		[
			id,
			row.sessionId,
			row.baseId,
			json,
			compileSession(body, practice).totals.duration,
			instant(clock.now()),
			date,
			row.evening && `${row.name} + ${row.evening.name}`
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
		`select p.day, p.kind, p.base_id as "baseId", v.session_id as "sessionId", s.name, v.body,
			case when e.id is not null then jsonb_build_object('id', e.id, 'sessionId', e.session_id, 'name', es.name, 'body', e.body)
				end as evening
		 from plan_day p join session_version v on v.id = p.base_id join session s on s.id = v.session_id
		 left join session_version e on e.id = p.evening_id left join session es on es.id = e.session_id
		 where p.challenge_id = $1 and (p.day > $2 or p.day = any($3::int[])) order by p.day`,
		[challengeId, releasedTo(startsOn, context.clock.now()), also]
	);
	const made = new Map<string, VersionId>();
	const given: { day: number; version: VersionId }[] = [];
	for (const row of rows) {
		const week = weekOf(row.day);
		const key = `${row.baseId} ${row.evening?.id ?? ''} ${followsRules(row) ? week : 'as laid'}`;
		let id = made.get(key);
		if (id === undefined) {
			const session = sentOn(row, week, rules, practice);
			id =
				session === row.body
					? row.baseId
					: await madeVersion(tx, context, row, session, practice, dateOfDay(row.day, startsOn));
			made.set(key, id);
		}
		given.push({ day: row.day, version: id });
	}
	await tx.query(
		`update plan_day p set version_id = g.version
		 from jsonb_to_recordset($2::jsonb) as g(day int, version uuid)
		 where p.challenge_id = $1 and p.day = g.day and p.version_id is distinct from g.version`,
		[challengeId, JSON.stringify(given)]
	);
	await tx.query(
		`delete from session_version v
		 where v.made_from is not null
			and v.session_id in (select s.id from session s join challenge ch on ch.coach_id = s.coach_id where ch.id = $1)
			and v.prescribed_from > $2
			and not exists (select 1 from plan_day p where p.version_id = v.id)
			and not exists (select 1 from result c where c.version_id = v.id)`,
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
		`with mine as (select id from session_version where session_id = $1)
		 update plan_day p set
			base_id = case when p.base_id in (select id from mine) then $2 else p.base_id end,
			version_id = case when p.base_id in (select id from mine) then $2 else p.version_id end,
			evening_id = case when p.evening_id in (select id from mine) then $2 else p.evening_id end
		 from challenge ch
		 where ch.id = p.challenge_id
			and (p.base_id in (select id from mine) or p.evening_id in (select id from mine))
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
