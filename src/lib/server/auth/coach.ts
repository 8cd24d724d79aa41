import { newCoachSchema } from '$contracts/person';
import type { Context } from '../platform/context';
import { instant } from '../db/database';
import { Refusal } from '../platform/errors';
import { hashToken, newId, type CoachId } from '../platform/ids';
import { validate } from '../web/validate';
import { hashPassword, passwordFits } from './password';

export interface Coach {
	id: CoachId;
	email: string;
	name: string;
	zone: string;
}

const MINUTE = 60_000;
/** A login ends when it was not used for this long. */
const LOGIN_LASTS = 30 * 24 * 60 * MINUTE;
/** A token is replaced by a new one when it is older than this. */
const ROTATE_AFTER = 60 * MINUTE;
/** For this long the token before stays good, for requests already under way. */
const GRACE = MINUTE;

/** Makes a coach. @throws Refusal 400 with faults; 409 when the address is taken */
export async function createCoach({ db, clock, ids }: Context, input: unknown): Promise<Coach> {
	const { email, name, zone, password } = validate(newCoachSchema, input);
	const coach = { id: newId<'coach'>(ids), email, name, zone };
	const made = await db.query(
		`insert into coach (id, email, name, zone, password_hash, created_at) values ($1, $2, $3, $4, $5, $6)
		 on conflict (email) do nothing returning id`,
		[coach.id, email, name, zone, await hashPassword(password), instant(clock.now())]
	);
	if (made.length === 0) throw new Refusal(409, `There is a coach with the address ${email} already.`);
	return coach;
}

export async function anyCoach({ db }: Pick<Context, 'db'>): Promise<boolean> {
	return (await db.query('select 1 from coach limit 1')).length > 0;
}

/** Signs a coach in. @returns the token for the cookie @throws Refusal 401 that does not say which part was wrong */
export async function signIn(context: Context, email: string, password: string): Promise<string> {
	const { db } = context;
	const [found] = await db.query<{ id: CoachId; password_hash: string }>(
		'select id, password_hash from coach where email = $1',
		[email.trim().toLowerCase()]
	);
	if (!(await passwordFits(password, found?.password_hash ?? null)) || !found)
		throw new Refusal(401, 'No coach has this email address with this password. Both must be exact.');
	return startLogin(context, found.id);
}

async function startLogin({ db, clock, ids }: Context, coachId: CoachId): Promise<string> {
	const token = ids.secret();
	const now = clock.now();
	await db.query('delete from coach_login where coach_id = $1 and expires_at < $2', [coachId, instant(now)]);
	await db.query(
		`insert into coach_login (id, coach_id, token_hash, rotated_at, created_at, expires_at)
		 values ($1, $2, $3, $4, $4, $5)`,
		[ids.uuid(), coachId, hashToken(token), instant(now), instant(now + LOGIN_LASTS)]
	);
	return token;
}

interface LoginRow extends Coach {
	login_id: string;
	token_hash: string;
	rotated_at: number;
	expires_at: number;
}

/**
 * The coach that a token belongs to, and the token to go on with when it was due to change.
 * An old token that turns up after its time was stolen or restored from a copy: its login ends.
 */
export async function coachOf(
	{ db, clock, ids }: Context,
	token: string
): Promise<{ coach: Coach; newToken: string | null } | null> {
	const hash = hashToken(token);
	const now = clock.now();
	const [login] = await db.query<LoginRow>(
		`select l.id as login_id, l.token_hash, l.rotated_at, l.expires_at, c.id, c.email, c.name, c.zone
		 from coach_login l join coach c on c.id = l.coach_id
		 where l.token_hash = $1 or l.previous_hash = $1`,
		[hash]
	);
	if (!login) return null;
	const old = login.token_hash !== hash;
	if (login.expires_at <= now || (old && now > login.rotated_at + GRACE)) {
		await db.query('delete from coach_login where id = $1', [login.login_id]);
		return null;
	}
	const coach = { id: login.id, email: login.email, name: login.name, zone: login.zone };
	if (old || now < login.rotated_at + ROTATE_AFTER) return { coach, newToken: null };
	const newToken = ids.secret();
	const rotated = await db.query(
		`update coach_login set token_hash = $2, previous_hash = $3, rotated_at = $4, expires_at = $5
		 where id = $1 and token_hash = $3 returning id`,
		[login.login_id, hashToken(newToken), hash, instant(now), instant(now + LOGIN_LASTS)]
	);
	return { coach, newToken: rotated.length > 0 ? newToken : null };
}

export async function signOut({ db }: Context, token: string): Promise<void> {
	await db.query('delete from coach_login where token_hash = $1 or previous_hash = $1', [hashToken(token)]);
}

export async function signOutEverywhere({ db }: Context, coachId: CoachId): Promise<void> {
	await db.query('delete from coach_login where coach_id = $1', [coachId]);
}
