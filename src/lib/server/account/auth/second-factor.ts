/**
 * Two-step sign-in: a code that the coach’s own device works out from a shared secret and the time (RFC 6238), or a
 * recovery code when that device is lost. Each is good for once.
 */
import { randomInt } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import { hashToken, type CoachId } from '../../platform/ids';
import { instant, type Queries } from '../../platform/db/database';

/** What every program for codes takes: six digits of HMAC-SHA-1, a new one every thirty seconds. */
const PERIOD = 30;
const DIGITS = 6;
/** Steps that a device’s clock may be off, to either side (RFC 6238, 5.2: at most one is recommended). */
const WINDOW = 1;
/** Bytes of the secret, as many as the hash has (RFC 4226, 4 R6: 20 recommended). */
const SECRET_BYTES = 20;

const RECOVERY_CODES = 10;
/** Letters and digits that are not taken for one another; five bits each. */
const ALPHABET = 'abcdefghjkmnpqrstuvwxyz23456789';
const RECOVERY_LETTERS = 16;

const totpOf = (secret: string, email = ''): TOTP =>
	new TOTP({
		issuer: 'Cadrex',
		label: email,
		algorithm: 'SHA1',
		digits: DIGITS,
		period: PERIOD,
		secret: Secret.fromBase32(secret)
	});

/**
 * The time step of a code, counted from 1970; null when it is the code of no step near.
 * @param at epoch milliseconds of the real time, which devices go by
 */
export function stepOfCode(secret: string, code: string, at: number): number | null {
	const digits = code.replace(/\s/g, '');
	if (!/^\d{6}$/.test(digits)) return null;
	const delta = totpOf(secret).validate({ token: digits, timestamp: at, window: WINDOW });
	return delta === null ? null : Math.floor(at / 1000 / PERIOD) + delta;
}

export interface Offer {
	/** Base32, to be typed where no picture can be taken. */
	secret: string;
	/** For the picture: `otpauth://totp/…`. */
	uri: string;
}

/** Makes a secret and offers it; nothing is asked for at sign-in before a first code has come of it. */
export async function offerSecondFactor(
	{ db }: Pick<Context, 'db'>,
	coach: { id: CoachId; email: string }
): Promise<void> {
	const secret = new Secret({ size: SECRET_BYTES }).base32;
	const done = await db.query(
		'update coach set second_factor = $2 where id = $1 and second_factor_since is null returning id',
		[coach.id, secret]
	);
	if (done.length === 0) throw new Refusal(409, 'Two-step sign-in is on already. Turn it off first.');
}

export interface SecondFactor {
	/** Epoch milliseconds since when it is asked for; null when it is not. */
	since: number | null;
	/** What was offered and waits for its first code. */
	offer: Offer | null;
	/** Recovery codes that are left. */
	codesLeft: number;
}

export async function secondFactorOf(
	{ db }: Pick<Context, 'db'>,
	coach: { id: CoachId; email: string }
): Promise<SecondFactor> {
	const [row] = await db.query<{ secret: string | null; since: number | null; left: number }>(
		`select second_factor as secret, second_factor_since as since,
			(select count(*)::int from recovery_code r where r.coach_id = c.id) as "left"
		 from coach c where id = $1`,
		[coach.id]
	);
	const { secret = null, since = null, left = 0 } = row ?? {};
	const offer =
		secret !== null && since === null ? { secret, uri: totpOf(secret, coach.email).toString() } : null;
	return { since, offer, codesLeft: left };
}

/**
 * Takes a code, once.
 * @returns whether it was good
 */
async function takeCode(tx: Queries, coachId: CoachId, code: string, at: number): Promise<boolean> {
	const [row] = await tx.query<{ secret: string | null }>(
		'select second_factor as secret from coach where id = $1',
		[coachId]
	);
	const step = row?.secret ? stepOfCode(row.secret, code, at) : null;
	if (step === null) return false;
	const taken = await tx.query(
		'update coach set second_factor_step = $2 where id = $1 and second_factor_step < $2 returning id',
		[coachId, step]
	);
	return taken.length > 0;
}

const recoveryHash = (id: string, code: string): string => hashToken(`${id}:${code}`);

/** Takes a recovery code and deletes it. @returns whether it was good */
async function takeRecoveryCode(tx: Queries, coachId: CoachId, code: string): Promise<boolean> {
	const bare = code.toLowerCase().replace(/[^a-z0-9]/g, '');
	if (bare.length !== RECOVERY_LETTERS) return false;
	const rows = await tx.query<{ id: string; code_hash: string }>(
		'select id, code_hash from recovery_code where coach_id = $1',
		[coachId]
	);
	const found = rows.find(({ id, code_hash }) => code_hash === recoveryHash(id, bare));
	if (!found) return false;
	const taken = await tx.query('delete from recovery_code where id = $1 returning id', [found.id]);
	return taken.length > 0;
}

/**
 * Checks what a coach answered when asked for a code.
 * @param at epoch milliseconds of the real time
 * @returns which of the two it was @throws Refusal 401
 */
export function answerCode(
	{ db }: Pick<Context, 'db'>,
	coachId: CoachId,
	code: string,
	at: number
): Promise<'code' | 'recovery code'> {
	return db.transaction(async (tx) => {
		if (await takeCode(tx, coachId, code, at)) return 'code';
		if (await takeRecoveryCode(tx, coachId, code)) return 'recovery code';
		throw new Refusal(
			401,
			'This code isn’t right, or it has been used already. Codes change every 30 seconds: enter the newest one.'
		);
	});
}

/** Makes new recovery codes in place of those before. @returns them, shown now and never again */
async function newCodes(tx: Queries, { ids }: Pick<Context, 'ids'>, coachId: CoachId): Promise<string[]> {
	await tx.query('delete from recovery_code where coach_id = $1', [coachId]);
	const codes = Array.from({ length: RECOVERY_CODES }, () =>
		Array.from({ length: RECOVERY_LETTERS }, () => ALPHABET[randomInt(ALPHABET.length)]).join('')
	);
	const rows = codes.map((code) => {
		const id = ids.uuid();
		return { id, hash: recoveryHash(id, code) };
	});
	await tx.query(
		`insert into recovery_code (id, coach_id, code_hash)
		 select id, $1, hash from jsonb_to_recordset($2) as r(id uuid, hash text)`,
		[coachId, JSON.stringify(rows)]
	);
	return codes.map((code) => code.replace(/(.{4})(?!$)/g, '$1-'));
}

/**
 * Turns two-step sign-in on, with a first code as proof that the device has the secret.
 * @returns recovery codes @throws Refusal 400 for a wrong code, 409 when it was not offered or is on
 */
export function turnOnSecondFactor(
	context: Context,
	coachId: CoachId,
	code: string,
	at: number
): Promise<string[]> {
	const { db, clock } = context;
	return db.transaction(async (tx) => {
		const [row] = await tx.query<{ ready: boolean }>(
			'select second_factor is not null and second_factor_since is null as ready from coach where id = $1',
			[coachId]
		);
		if (!row?.ready) throw new Refusal(409, 'Begin again: there is nothing here that waits for a code.');
		if (!(await takeCode(tx, coachId, code, at)))
			throw new Refusal(
				400,
				'This code isn’t right. Check that the clock of your device is set by itself, then enter the newest code.'
			);
		await tx.query('update coach set second_factor_since = $2 where id = $1', [
			coachId,
			instant(clock.now())
		]);
		return newCodes(tx, context, coachId);
	});
}

/** New recovery codes in place of those before. @throws Refusal 409 when two-step sign-in is off */
export function renewRecoveryCodes(context: Context, coachId: CoachId): Promise<string[]> {
	return context.db.transaction(async (tx) => {
		const on = await tx.query('select 1 from coach where id = $1 and second_factor_since is not null', [
			coachId
		]);
		if (on.length === 0) throw new Refusal(409, 'Two-step sign-in is off: there is nothing to recover.');
		return newCodes(tx, context, coachId);
	});
}

/** Turns two-step sign-in off, or takes back an offer. */
export function turnOffSecondFactor({ db }: Pick<Context, 'db'>, coachId: CoachId): Promise<void> {
	return db.transaction(async (tx) => {
		await tx.query('delete from recovery_code where coach_id = $1', [coachId]);
		await tx.query('update coach set second_factor = null, second_factor_since = null where id = $1', [
			coachId
		]);
	});
}
