import { passwordSchema, profileSchema } from '$contracts/coach';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import { hashToken, type CoachId } from '../../platform/ids';
import type { Threads } from '../../platform/threads';
import { validate } from '../../platform/validate';
import { requirePassword, signOutEverywhere, type SignedInCoach } from './login';
import { hashPassword } from './password';

/** A link that sets a new password is good for this long, in milliseconds. */
const RESET_LASTS = 30 * 60_000;

type WithThreads = Context & { threads: Threads };

/** Hashes a password that may be taken. @throws Refusal 400 for one that is too short, too long or weak */
async function hashOfNew(
	{ threads }: WithThreads,
	coach: { id: CoachId; email: string; name: string },
	input: { password: string }
): Promise<string> {
	const { password } = validate(passwordSchema, input);
	await threads.run('password', { password, about: [coach.email, coach.name] }, coach.id);
	return hashPassword(password);
}

/** A new password ends what the old one, or a link in its place, could still do. @param but the sign-in that stays */
async function setPassword(
	tx: Queries,
	coachId: CoachId,
	hash: string,
	now: number,
	but: string | null
): Promise<void> {
	await tx.query('update coach set password_hash = $2, password_changed_at = $3 where id = $1', [
		coachId,
		hash,
		instant(now)
	]);
	await tx.query('delete from password_reset where coach_id = $1', [coachId]);
	await signOutEverywhere(tx, coachId, but);
}

/**
 * Changes a coach’s password; every other device is signed out, links that set a new one end.
 * @throws Refusal 401 when the current one is wrong, 400 when the new one cannot be taken
 */
export async function changePassword(
	context: WithThreads,
	coach: SignedInCoach,
	input: { current: string; password: string }
): Promise<void> {
	await requirePassword(context, coach.id, input.current);
	const hash = await hashOfNew(context, coach, input);
	await context.db.transaction((tx) => setPassword(tx, coach.id, hash, context.clock.now(), coach.login.id));
}

/**
 * Changes what a coach says of themselves. A new address ends links that set a password: they were sent to the one before.
 * @returns the address before, where it changed @throws Refusal 400; 409 when another coach has the address
 */
export async function changeProfile(
	{ db }: Pick<Context, 'db'>,
	coach: { id: CoachId; email: string },
	raw: unknown
): Promise<string | null> {
	const { email, name, zone, units } = validate(profileSchema, raw);
	return db.transaction(async (tx) => {
		const taken = await tx.query('select 1 from coach where email = $1 and id <> $2', [email, coach.id]);
		if (taken.length > 0)
			throw new Refusal(409, 'Somebody else signs in with this address.', [
				{ field: 'email', message: 'an address that nobody else signs in with' }
			]);
		await tx.query('update coach set email = $2, name = $3, zone = $4, units = $5 where id = $1', [
			coach.id,
			email,
			name,
			zone,
			units
		]);
		if (email === coach.email) return null;
		await tx.query('delete from password_reset where coach_id = $1', [coach.id]);
		return coach.email;
	});
}

/**
 * Makes a link that sets a new password, once; the one before ends.
 * @returns its secret: only its hash is kept
 */
export function makeReset({ db, clock, ids }: Context, coachId: CoachId): Promise<string> {
	const secret = ids.secret();
	return db.transaction(async (tx) => {
		await tx.query('delete from password_reset where coach_id = $1', [coachId]);
		await tx.query('insert into password_reset (token_hash, coach_id, expires_at) values ($1, $2, $3)', [
			hashToken(secret),
			coachId,
			instant(clock.now() + RESET_LASTS)
		]);
		return secret;
	});
}

/** Whose password a link sets; null when it is not good (any more). */
export async function resetOf(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	secret: string
): Promise<{ id: CoachId; email: string; name: string } | null> {
	const [found] = await db.query<{ id: CoachId; email: string; name: string }>(
		`select c.id, c.email, c.name from password_reset r join coach c on c.id = r.coach_id
		 where r.token_hash = $1 and r.expires_at > $2`,
		[hashToken(secret), instant(clock.now())]
	);
	return found ?? null;
}

/**
 * Sets the password that a link is for; every device is signed out. A second factor stays: the link is no proof of it.
 * @returns whose it was @throws Refusal 404 when the link is not good (any more), 400 when the password cannot be taken
 */
export async function resetPassword(
	context: WithThreads,
	secret: string,
	input: { password: string }
): Promise<CoachId> {
	const coach = await resetOf(context, secret);
	if (!coach) throw linkEnded();
	const hash = await hashOfNew(context, coach, input);
	await context.db.transaction(async (tx) => {
		// Two at once: the one who deletes it sets the password.
		const taken = await tx.query('delete from password_reset where token_hash = $1 returning coach_id', [
			hashToken(secret)
		]);
		if (taken.length === 0) throw linkEnded();
		await setPassword(tx, coach.id, hash, context.clock.now(), null);
	});
	return coach.id;
}

export const linkEnded = (): Refusal =>
	new Refusal(404, 'This link has been used or has expired. Ask for a new one on the sign-in page.');
