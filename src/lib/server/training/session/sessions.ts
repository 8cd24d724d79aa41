import type { Practice } from '$core/practice';
import { compileSession, type Session } from '$core/session';
import type { Context } from '../../platform/context';
import { instant, only, type Queries } from '../../platform/db/database';
import { idOf, notFound, Refusal } from '../../platform/errors';
import { freeName } from '../../platform/free-name';
import { newId, type CoachId, type SessionId, type VersionId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import { practiceOf } from '../../records/practice';
import { moveToVersion } from '../../changes/prescribed';
import { readSession, sessionHeadSchema } from '$contracts/session';

export interface SessionSummary {
	id: SessionId;
	name: string;
	versionId: VersionId;
	version: number;
	/** Expected length in seconds. */
	seconds: number;
	tags: string[];
}

export interface SessionVersion extends SessionSummary {
	body: Session;
	savedAt: number;
}

const LATEST = `select s.id, s.name, s.tags, v.id as "versionId", v.version, v.seconds, v.body, v.created_at as "savedAt"
	from session s join session_version v on v.session_id = s.id
	where v.version = (select max(version) from session_version x where x.session_id = s.id)`;

/** A coach's sessions with their newest versions, by name. */
export function sessionsOf(db: Queries, coachId: CoachId): Promise<SessionVersion[]> {
	return db.query(`${LATEST} and s.coach_id = $1 order by s.name`, [coachId]);
}

/** The newest version of a session. @throws Refusal 404 */
export async function sessionOf(db: Queries, coachId: CoachId, id: string): Promise<SessionVersion> {
	const [found] = await db.query<SessionVersion>(`${LATEST} and s.coach_id = $1 and s.id = $2`, [
		coachId,
		idOf(id, 'session')
	]);
	if (!found) throw notFound('session');
	return found;
}

export interface VersionNote {
	version: number;
	savedAt: number;
	seconds: number;
}

export function versionsOf(db: Queries, sessionId: SessionId): Promise<VersionNote[]> {
	return db.query(
		`select version, created_at as "savedAt", seconds from session_version where session_id = $1 and version is not null order by version desc`,
		[sessionId]
	);
}

/**
 * Takes a session from outside: its shape first, then what its numbers mean.
 * @throws Refusal 400 with every fault and its place
 */
export function soundSession(input: unknown, practice: Practice): Session {
	const { session, faults } = readSession(input, practice);
	if (session && faults.length === 0) return session;
	throw new Refusal(
		400,
		'The session cannot be saved as it is.',
		faults.map(({ path, message }) => ({ field: path, message }))
	);
}

/** What comes in to be saved: nothing of it is trusted. */
export interface RawSession {
	name: unknown;
	body: unknown;
	tags?: unknown;
}

export interface Saved {
	id: SessionId;
	name: string;
	versionId: VersionId;
	version: number;
	/** Days of the coach's challenges that now send the new version. */
	days: number;
}

async function nameIsFree(tx: Queries, coachId: CoachId, name: string, except: string | null): Promise<void> {
	const rows = await tx.query(
		'select 1 from session where coach_id = $1 and name = $2 and id is distinct from $3',
		[coachId, name, except]
	);
	if (rows.length > 0)
		throw new Refusal(409, `There is a session called “${name}” already.`, [
			{ field: 'name', message: 'choose another name' }
		]);
}

async function addVersion(
	tx: Queries,
	{ clock, ids }: Context,
	sessionId: SessionId,
	version: number,
	body: Session,
	practice: Practice
): Promise<VersionId> {
	const versionId = newId<'version'>(ids);
	await tx.query(
		'insert into session_version (id, session_id, version, body, seconds, created_at) values ($1, $2, $3, $4, $5, $6)',
		[
			versionId,
			sessionId,
			version,
			JSON.stringify(body),
			compileSession(body, practice).totals.duration,
			instant(clock.now())
		]
	);
	return versionId;
}

/** Saves a new session as its version 1. @throws Refusal 400 with faults, 409 when the name is taken */
export async function createSession(context: Context, coachId: CoachId, raw: RawSession): Promise<Saved> {
	const { db, clock, ids } = context;
	const { name, tags } = validate(sessionHeadSchema, raw);
	const practice = await practiceOf(db, coachId);
	const body = soundSession(raw.body, practice);
	return db.transaction(async (tx) => {
		await nameIsFree(tx, coachId, name, null);
		const id = newId<'session'>(ids);
		await tx.query('insert into session (id, coach_id, name, tags, created_at) values ($1, $2, $3, $4, $5)', [
			id,
			coachId,
			name,
			[...new Set(tags)],
			instant(clock.now())
		]);
		return { id, name, versionId: await addVersion(tx, context, id, 1, body, practice), version: 1, days: 0 };
	});
}

/**
 * Saves a new version. Days that nobody has opened yet go over to it; days that are released keep the version that
 * they were sent with.
 *
 * @param raw.basedOn the version that was edited; another one saved meanwhile is not written over
 * @throws Refusal 400, 404, 409
 */
export async function saveSession(
	context: Context,
	coachId: CoachId,
	id: string,
	raw: RawSession & { basedOn: number }
): Promise<Saved> {
	const { name, tags } = validate(sessionHeadSchema, raw);
	const practice = await practiceOf(context.db, coachId);
	const body = soundSession(raw.body, practice);
	return context.db.transaction(async (tx) => {
		const sessionId = idOf<'session'>(id, 'session');
		await tx.query('select 1 from session where id = $1 for update', [sessionId]);
		const before = await sessionOf(tx, coachId, id);
		if (before.version !== raw.basedOn)
			throw new Refusal(
				409,
				`Version ${before.version} was saved meanwhile, yours began from ${raw.basedOn}. Nothing was written over: ` +
					'open the newest in another window and bring your changes there.'
			);
		await nameIsFree(tx, coachId, name, id);
		await tx.query('update session set name = $2, tags = $3 where id = $1', [id, name, [...new Set(tags)]]);
		const versionId = await addVersion(tx, context, sessionId, before.version + 1, body, practice);
		const days = await moveToVersion(tx, context, sessionId, versionId, practice);
		return { id: sessionId, name, versionId, version: before.version + 1, days };
	});
}

/** The exact version that a day was sent with; of one that the rules of a plan made, the number is that of its base. */
export async function versionById(db: Queries, versionId: VersionId): Promise<SessionVersion> {
	return only(
		await db.query<SessionVersion>(
			`select s.id, coalesce(v.name, s.name) as name, s.tags, v.id as "versionId", b.version, v.seconds, v.body, v.created_at as "savedAt"
			 from session_version v join session s on s.id = v.session_id
			 join session_version b on b.id = coalesce(v.made_from, v.id) where v.id = $1`,
			[versionId]
		)
	);
}

/** One version of a session, for looking back and comparing. @throws Refusal 404 */
export async function versionOf(
	db: Queries,
	coachId: CoachId,
	id: string,
	version: number
): Promise<SessionVersion> {
	const [found] = await db.query<SessionVersion>(
		`select s.id, s.name, s.tags, v.id as "versionId", v.version, v.seconds, v.body, v.created_at as "savedAt"
		 from session_version v join session s on s.id = v.session_id
		 where s.coach_id = $1 and s.id = $2 and v.version = $3`,
		[coachId, idOf(id, 'session'), Number.isInteger(version) ? version : 0]
	);
	if (!found) throw notFound('version');
	return found;
}

export interface UsedOn {
	challengeId: string;
	challenge: string;
	day: number;
	version: number;
}

/** Every day of every challenge that sends some version of a session; newest challenge first. */
export function usedOn(db: Queries, coachId: CoachId, id: string): Promise<UsedOn[]> {
	return db.query(
		`select c.id as "challengeId", c.name as challenge, p.day, v.version
		 from plan_day p
		 join session_version v on v.id in (p.base_id, p.evening_id)
		 join challenge c on c.id = p.challenge_id
		 where v.session_id = $2 and c.coach_id = $1
		 order by c.starts_on desc, p.day`,
		[coachId, idOf(id, 'session')]
	);
}

async function freeSessionName(db: Queries, coachId: CoachId, wished: string): Promise<string> {
	const rows = await db.query<{ name: string }>('select name from session where coach_id = $1', [coachId]);
	const taken = new Set(rows.map(({ name }) => name));
	return freeName(wished, (name) => taken.has(name));
}

/** The newest version of a session as a session of its own. @throws Refusal 404 */
export async function copySession(context: Context, coachId: CoachId, id: string): Promise<Saved> {
	const { name, body, tags } = await sessionOf(context.db, coachId, id);
	return createSession(context, coachId, {
		name: await freeSessionName(context.db, coachId, `${name}, copy`),
		body,
		tags
	});
}

/** A session from a file, under its own name or, where that is taken, one beside it. @throws Refusal 400 */
export async function importSession(
	context: Context,
	coachId: CoachId,
	raw: { name: string; body: unknown; tags?: unknown }
): Promise<Saved> {
	return createSession(context, coachId, {
		...raw,
		name: await freeSessionName(context.db, coachId, raw.name.trim() || 'Session from a file')
	});
}
