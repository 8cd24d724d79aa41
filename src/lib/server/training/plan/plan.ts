import { releasedTo } from '$core/calendar';
import type { Plan, PlannedDay, PlanSession } from '$core/plan';
import type { Session } from '$core/session';
import type { Context } from '../../platform/context';
import type { Queries } from '../../platform/db/database';
import { daysChanged } from '../../changes/changed';
import { challengeOf, type Challenge, type OwnedChallenge } from '../../records/challenge';
import type { CoachId, SessionId } from '../../platform/ids';
import { Refusal } from '../../platform/errors';
import { practiceOf } from '../../records/practice';
import { sessionOf, sessionsOf } from '../session/sessions';
import { validate } from '../../platform/validate';
import { layDaysSchema, planSchema } from '$contracts/plan';
import { planRules, refreshPrescribed } from '../../changes/prescribed';

/** A plan with everything that is needed to work it out. */
export interface OpenPlan {
	plan: Plan;
	/** The newest of each of the coach’s sessions, and older ones that days still have. */
	sessions: PlanSession[];
	revision: number;
	/** Days up to this one are released to somebody. */
	releasedTo: number;
}

/** A version of a session as it lies on a day. */
interface LaidSession {
	sessionId: SessionId;
	version: number;
	name: string;
	body: Session;
}
const laidJson = (version: string, session: string): string =>
	`case when ${version}.id is not null then jsonb_build_object('sessionId', ${version}.session_id, 'version', ${version}.version,
		'name', ${session}.name, 'body', ${version}.body) end`;

const olderKey = (sessionId: string, version: number): string => `${sessionId}@${version}`;

/** The plan of a challenge for the coach who changes it. */
export async function openPlan({ db, clock }: Context, challenge: Challenge): Promise<OpenPlan> {
	const { rules, revision } = await planRules(db, challenge.id);
	const newest = await sessionsOf(db, challenge.coachId);
	const rows = await db.query<
		Omit<PlannedDay, 'session' | 'evening'> & { first: LaidSession | null; second: LaidSession | null }
	>(
		`select p.kind, p.effort, p.tests, ${laidJson('b', 's')} as first, ${laidJson('e', 'es')} as second
		 from plan_day p
		 left join session_version b on b.id = p.base_id
		 left join session s on s.id = b.session_id
		 left join session_version e on e.id = p.evening_id
		 left join session es on es.id = e.session_id
		 where p.challenge_id = $1 order by p.day`,
		[challenge.id]
	);
	const versions = new Map(newest.map((session) => [session.id, session.version]));
	const sessions = new Map<string, PlanSession>(
		newest.map(({ id, name, body }) => [id, { key: id, name, body }])
	);
	const keyOf = ({ sessionId, version, name, body }: LaidSession): string => {
		if (versions.get(sessionId) === version) return sessionId;
		const key = olderKey(sessionId, version);
		sessions.set(key, { key, of: sessionId, name: `${name}, version ${version}`, body });
		return key;
	};
	const days = rows.map(({ first, second, ...day }): PlannedDay => ({
		...day,
		session: first && keyOf(first),
		...(second && { evening: keyOf(second) })
	}));
	return {
		plan: { ...rules, days },
		sessions: [...sessions.values()],
		revision,
		releasedTo: releasedTo(challenge.startsOn, clock.now())
	};
}

/** What days are laid with: by the key that a plan gives a session, the version and its place. */
async function laidVersions(
	tx: Queries,
	coachId: CoachId,
	keys: readonly string[]
): Promise<Map<string, string>> {
	const rows = await tx.query<{ key: string; id: string }>(
		`select v.id, k.key from unnest($2::text[]) as k(key)
		 join session s on s.coach_id = $1 and s.id::text = split_part(k.key, '@', 1)
		 join session_version v on v.session_id = s.id and v.version is not null
			and (v.version::text = split_part(k.key, '@', 2) or (position('@' in k.key) = 0
				and v.version = (select max(version) from session_version x where x.session_id = s.id)))`,
		[coachId, keys]
	);
	return new Map(rows.map(({ key, id }) => [key, id]));
}

/** Who has a day that moves or goes away, as far as it is released already. */
function checkLength(days: number, released: number): void {
	if (days < released)
		throw new Refusal(409, `Day ${released} is released already; the plan can’t end before it.`, [
			{ field: 'days', message: `at least ${released} days` }
		]);
}

/**
 * Saves a whole plan. Days that are released and keep their session keep what they were sent with; those who have done
 * one keep what they did in any case.
 *
 * @param raw.revision the one that was edited; a plan saved meanwhile is not written over
 * @returns the new revision
 * @throws Refusal 400 with faults, 404, 409
 */
export async function savePlan(
	context: Context,
	{ id: challengeId, coachId }: OwnedChallenge,
	raw: { revision: unknown; plan: unknown }
): Promise<number> {
	const { days, ...rules } = validate(planSchema, raw.plan);
	const practice = await practiceOf(context.db, coachId);
	return context.db.transaction(async (tx) => {
		await tx.query('select 1 from challenge where id = $1 for update', [challengeId]);
		const challenge = await challengeOf(tx, coachId, challengeId, 'coach');
		const { revision } = await planRules(tx, challengeId);
		if (revision !== raw.revision)
			throw new Refusal(
				409,
				'The plan was changed meanwhile, in another window or by a setting. Nothing was written over: open it anew and bring your changes there.'
			);
		checkLength(days.length, releasedTo(challenge.startsOn, context.clock.now()));
		const versions = await laidVersions(tx, coachId, [
			...new Set(days.flatMap(({ session, evening }) => [session ?? [], evening ?? []].flat()))
		]);
		for (const field of ['session', 'evening'] as const) {
			const unknown = days.findIndex(({ [field]: key }) => typeof key === 'string' && !versions.has(key));
			if (unknown >= 0)
				throw new Refusal(404, `Day ${unknown + 1} has a session that is not there any more.`, [
					{ field: `days[${unknown}].${field}`, message: 'choose another session' }
				]);
		}
		const versionOf = (key: string | null | undefined) => (key ? (versions.get(key) ?? null) : null);
		const laid = days.map(({ session, evening, ...day }, i) => ({
			...day,
			day: i + 1,
			base: versionOf(session),
			evening: versionOf(evening)
		}));
		const before = await tx.query<{ day: number; base: string | null; evening: string | null }>(
			'select day, base_id as base, evening_id as evening from plan_day where challenge_id = $1',
			[challengeId]
		);
		const had = new Map(before.map(({ day, base, evening }) => [day, `${base} ${evening}`]));
		await tx.query(
			`insert into plan_day (challenge_id, day, kind, base_id, evening_id, version_id, effort, tests)
			 select $1, d.day, d.kind, d.base, d.evening, d.base, d.effort, d.tests
			 from jsonb_to_recordset($2::jsonb)
				as d(day int, kind text, base uuid, evening uuid, effort double precision, tests text[])
			 on conflict (challenge_id, day) do update set kind = excluded.kind, effort = excluded.effort,
				tests = excluded.tests, base_id = excluded.base_id, evening_id = excluded.evening_id,
				version_id = case when plan_day.base_id = excluded.base_id then plan_day.version_id else excluded.base_id end`,
			[challengeId, JSON.stringify(laid)]
		);
		await tx.query('delete from plan_day where challenge_id = $1 and day > $2', [challengeId, days.length]);
		await tx.query(
			'update challenge set days = $2, plan = $3, plan_revision = plan_revision + 1 where id = $1',
			[challengeId, days.length, JSON.stringify(rules)]
		);
		const anew = laid
			.filter(({ day, base, evening }) => had.get(day) !== `${base} ${evening}`)
			.map(({ day }) => day);
		await refreshPrescribed(tx, context, challengeId, practice, anew);
		await daysChanged(context, tx, challengeId);
		return revision + 1;
	});
}

/**
 * Gives some days a kind and a session (its newest version). Those who have checked in on one of them keep what
 * they did.
 * @throws Refusal 400, 404
 */
export async function layDays(
	context: Context,
	{ id: challengeId, coachId }: OwnedChallenge,
	raw: unknown
): Promise<void> {
	const { days, kind, sessionId } = validate(layDaysSchema, raw);
	if (kind === 'rest' && sessionId)
		throw new Refusal(400, 'A rest day has no session; choose another kind of day for it.');
	const practice = await practiceOf(context.db, coachId);
	return context.db.transaction(async (tx) => {
		const challenge = await challengeOf(tx, coachId, challengeId, 'coach');
		const beyond = days.find((day) => day > challenge.days);
		if (beyond)
			throw new Refusal(400, `The challenge has ${challenge.days} days; there is no day ${beyond}.`);
		const session = sessionId ? await sessionOf(tx, coachId, sessionId) : null;
		await tx.query(
			`update plan_day set kind = $3, base_id = $4, version_id = $4, evening_id = null
			 where challenge_id = $1 and day = any($2::int[])`,
			[challengeId, days, kind, session?.versionId ?? null]
		);
		await tx.query('update challenge set plan_revision = plan_revision + 1 where id = $1', [challengeId]);
		await refreshPrescribed(tx, context, challengeId, practice, days);
		await daysChanged(context, tx, challengeId);
	});
}
