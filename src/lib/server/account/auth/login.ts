import type { Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import { unlessFull } from '../../platform/db/room';
import { idOf, Refusal } from '../../platform/errors';
import { hashToken, type CoachId } from '../../platform/ids';
import type { Coach } from '../../records/coach';
import { passwordFits } from './password';
import { recordEvent } from './events';

const MINUTE = 60_000;
/** A login ends when it was not used for this long. */
const LOGIN_LASTS = 30 * 24 * 60 * MINUTE;
/** A login that waits for its code, since it was made. */
const CODE_LASTS = 10 * MINUTE;
/** A token is replaced by a new one when it is older than this. */
const ROTATE_AFTER = 60 * MINUTE;
/** For this long after the new token has arrived the one before stays good, for requests already under way. */
const GRACE = MINUTE;
/** For this long after the password was given it is not asked for again before what is sensitive. */
const PROVEN_FOR = 15 * MINUTE;

/** A coach on a device. */
export interface SignedInCoach extends Coach {
	login: {
		id: string;
		/** Epoch milliseconds at which the password was last given on this device. */
		provenAt: number;
	};
}

/** Whether the password was given on this device a short while ago. What was proven later than now was proven by a clock that was wrong. */
export const provenLately = ({ login }: SignedInCoach, now: number): boolean =>
	now < login.provenAt + PROVEN_FOR && now > login.provenAt - GRACE;

/** What a good password comes to. */
export interface SignIn {
	/** For the cookie. */
	token: string;
	coachId: CoachId;
	/** Whether the token lets nobody in before the code of the second factor. */
	awaitsCode: boolean;
}

/** The one sentence for every wrong pair: it does not say which half was wrong. */
const WRONG = 'No coach has this email address with this password. Both must be exact.';

/**
 * Signs a coach in.
 * @param device what it is called in the list of devices
 * @throws Refusal 401 that does not say which part was wrong
 */
export async function signIn(
	context: Context,
	email: string,
	password: string,
	device = 'Unknown device'
): Promise<SignIn> {
	const [found] = await context.db.query<{ id: CoachId; password_hash: string; second: boolean }>(
		'select id, password_hash, second_factor_since is not null as second from coach where email = $1',
		[email.trim().toLowerCase()]
	);
	if (!(await passwordFits(password, found?.password_hash ?? null)) || !found) throw new Refusal(401, WRONG);
	const awaitsCode = found.second;
	return { token: await startLogin(context, found.id, device, awaitsCode), coachId: found.id, awaitsCode };
}

async function startLogin(
	{ db, clock, ids }: Context,
	coachId: CoachId,
	device: string,
	awaitsCode: boolean
): Promise<string> {
	const token = ids.secret();
	const now = clock.now();
	await db.query('delete from coach_login where coach_id = $1 and expires_at < $2', [coachId, instant(now)]);
	await db.query(
		`insert into coach_login (id, coach_id, token_hash, rotated_at, created_at, proven_at, expires_at, device, awaits_code)
		 values ($1, $2, $3, $4, $4, $4, $5, $6, $7)`,
		[
			ids.uuid(),
			coachId,
			hashToken(token),
			instant(now),
			instant(now + (awaitsCode ? CODE_LASTS : LOGIN_LASTS)),
			device,
			awaitsCode
		]
	);
	return token;
}

/** Whose sign-in waits for a code; null when none does (any more). */
export async function waitingLogin(
	{ db, clock }: Context,
	token: string
): Promise<{ coachId: CoachId; email: string } | null> {
	const [found] = await db.query<{ coachId: CoachId; email: string }>(
		`select c.id as "coachId", c.email from coach_login l join coach c on c.id = l.coach_id
		 where l.token_hash = $1 and l.awaits_code and l.expires_at > $2`,
		[hashToken(token), instant(clock.now())]
	);
	return found ?? null;
}

/** Lets a sign-in that waited in, under a new token: the one before was known before anybody had shown the code. */
export async function letIn({ db, clock, ids }: Context, token: string): Promise<string> {
	const fresh = ids.secret();
	const now = clock.now();
	const [done] = await db.query(
		`update coach_login set token_hash = $2, awaits_code = false, rotated_at = $3, expires_at = $4
		 where token_hash = $1 and awaits_code and expires_at > $3 returning id`,
		[hashToken(token), hashToken(fresh), instant(now), instant(now + LOGIN_LASTS)]
	);
	if (!done) throw new Refusal(401, 'This sign-in took too long. Start again with your password.');
	return fresh;
}

interface LoginRow extends Coach {
	login_id: string;
	token_hash: string;
	rotated_at: number;
	proven_at: number;
	expires_at: number;
	arrived: boolean;
}

/**
 * The coach that a token belongs to, and the token to go on with when it was due to change.
 * An answer with a new token may be lost: the one before stays good until the new one has been used, and is given another.
 * An old token that turns up after that was stolen or restored from a copy: its login ends.
 */
export async function coachOf(
	context: Context,
	token: string
): Promise<{ coach: SignedInCoach; newToken: string | null } | null> {
	const { db, clock, ids } = context;
	const hash = hashToken(token);
	const now = clock.now();
	const [login] = await db.query<LoginRow>(
		`select l.id as login_id, l.token_hash, l.rotated_at, l.proven_at, l.expires_at, l.arrived,
			c.id, c.email, c.name, c.zone, c.operator, c.units
		 from coach_login l join coach c on c.id = l.coach_id
		 where (l.token_hash = $1 or l.previous_hash = $1) and not l.awaits_code`,
		[hash]
	);
	if (!login) return null;
	const old = login.token_hash !== hash;
	const reused = old && login.arrived && now > login.rotated_at + GRACE;
	if (login.expires_at <= now || reused) {
		await unlessFull(db.query('delete from coach_login where id = $1', [login.login_id]));
		if (reused) await recordEvent(context, { kind: 'token-reused', coachId: login.id });
		return null;
	}
	const coach = {
		id: login.id,
		email: login.email,
		name: login.name,
		zone: login.zone,
		operator: login.operator,
		units: login.units,
		login: { id: login.login_id, provenAt: login.proven_at }
	};
	if (!old && !login.arrived)
		await unlessFull(
			db.query('update coach_login set arrived = true, rotated_at = $2 where id = $1', [
				login.login_id,
				instant(now)
			])
		);
	// Within the minute after it was changed others of its requests are still under way, and one answer is enough.
	const lost = old && !login.arrived && now > login.rotated_at + GRACE;
	// A clock that was put back leaves a token that would not be due for as long.
	const isDue = now >= login.rotated_at + ROTATE_AFTER || now < login.rotated_at - GRACE;
	if (!lost && (old || !isDue)) return { coach, newToken: null };
	const newToken = ids.secret();
	const rotated = await unlessFull(
		db.query(
			`update coach_login set token_hash = $2, previous_hash = $3, rotated_at = $4, expires_at = $5, arrived = false
			 where id = $1 and token_hash = $6 returning id`,
			[login.login_id, hashToken(newToken), hash, instant(now), instant(now + LOGIN_LASTS), login.token_hash]
		)
	);
	return { coach, newToken: rotated.length > 0 ? newToken : null };
}

/** Notes that the password was given again on a device. @throws Refusal 401 for a wrong one */
export async function prove({ db, clock }: Context, coach: SignedInCoach, password: string): Promise<void> {
	await requirePassword({ db }, coach.id, password);
	await db.query('update coach_login set proven_at = $2 where id = $1', [
		coach.login.id,
		instant(clock.now())
	]);
}

/** @throws Refusal 401 when a password is not that of the coach */
export async function requirePassword(
	{ db }: Pick<Context, 'db'>,
	coachId: CoachId,
	password: string
): Promise<void> {
	const [found] = await db.query<{ password_hash: string }>('select password_hash from coach where id = $1', [
		coachId
	]);
	if (await passwordFits(password, found?.password_hash ?? null)) return;
	const message = 'This isn’t your current password.';
	throw new Refusal(401, message, [{ field: 'current', message }]);
}

export interface Device {
	id: string;
	name: string;
	/** Epoch milliseconds. */
	signedInAt: number;
	/** Epoch milliseconds of its last use, to the hour. */
	usedAt: number;
}

/** Where a coach is signed in, the device used last first. */
export const devicesOf = ({ db, clock }: Context, coachId: CoachId): Promise<Device[]> =>
	db.query<Device>(
		`select id, device as name, created_at as "signedInAt", rotated_at as "usedAt" from coach_login
		 where coach_id = $1 and not awaits_code and expires_at > $2 order by rotated_at desc, id limit 100`,
		[coachId, instant(clock.now())]
	);

/** Signs one device of a coach out. @throws Refusal 404 for one that is not theirs, or not signed in any more */
export async function endDevice({ db }: Pick<Context, 'db'>, coachId: CoachId, id: string): Promise<void> {
	const gone = await db.query('delete from coach_login where coach_id = $1 and id = $2 returning id', [
		coachId,
		idOf(id, 'device')
	]);
	if (gone.length === 0) throw new Refusal(404, 'This device is signed out already.');
}

export async function signOut({ db }: Pick<Context, 'db'>, token: string): Promise<void> {
	await db.query('delete from coach_login where token_hash = $1 or previous_hash = $1', [hashToken(token)]);
}

/** Ends every sign-in of a coach. @param but the one to leave, by its id */
export async function signOutEverywhere(
	db: Queries,
	coachId: CoachId,
	but: string | null = null
): Promise<void> {
	await db.query('delete from coach_login where coach_id = $1 and id is distinct from $2', [coachId, but]);
}
