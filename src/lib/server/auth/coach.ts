import { newCoachSchema } from '$contracts/coach';
import type { Units } from '$core/kit';
import type { Context } from '../platform/context';
import { instant } from '../db/database';
import { Refusal } from '../platform/errors';
import { newId, type CoachId } from '../platform/ids';
import { validate } from '../web/validate';
import { hashPassword } from './password';
import type { NewPassword } from './strength';

export interface Coach {
	id: CoachId;
	email: string;
	name: string;
	zone: string;
	/** Whether they look after the installation. */
	operator: boolean;
	/** In which they read loads. */
	units: Units;
}

/**
 * Makes a coach.
 * @param operator whether they look after the installation @throws Refusal 400 with faults; 409 when the address is taken
 */
export async function createCoach(
	{ db, clock, ids }: Context,
	input: unknown,
	operator = true
): Promise<Coach> {
	const { email, name, zone, password } = validate(newCoachSchema, input);
	const coach = { id: newId<'coach'>(ids), email, name, zone, operator, units: 'kg' as const };
	const made = await db.query(
		`insert into coach (id, email, name, zone, password_hash, created_at, operator) values ($1, $2, $3, $4, $5, $6, $7)
		 on conflict (email) do nothing returning id`,
		[coach.id, email, name, zone, await hashPassword(password), instant(clock.now()), operator]
	);
	if (made.length === 0) throw new Refusal(409, `There is a coach with the address ${email} already.`);
	return coach;
}

export async function coachById({ db }: Pick<Context, 'db'>, id: CoachId): Promise<Coach | null> {
	const [found] = await db.query<Coach>(
		'select id, email, name, zone, operator, units from coach where id = $1',
		[id]
	);
	return found ?? null;
}

/** Epoch milliseconds of the last change of a password; null when it is the first one. */
export async function passwordChangedAt({ db }: Pick<Context, 'db'>, id: CoachId): Promise<number | null> {
	const [row] = await db.query<{ at: number | null }>(
		'select password_changed_at as at from coach where id = $1',
		[id]
	);
	return row?.at ?? null;
}

/** The coach of an address, however it is written; null when nobody has it. */
export async function coachByEmail({ db }: Pick<Context, 'db'>, email: string): Promise<Coach | null> {
	const [found] = await db.query<Coach>(
		'select id, email, name, zone, operator, units from coach where email = $1',
		[email.trim().toLowerCase()]
	);
	return found ?? null;
}

export async function anyCoach({ db }: Pick<Context, 'db'>): Promise<boolean> {
	return (await db.query('select 1 from coach limit 1')).length > 0;
}

/**
 * Makes a coach whose password somebody chose.
 * @param judge refuses a weak password, in whatever thread has the time
 * @throws Refusal as `createCoach`; 400 also for a weak password
 */
export async function registerCoach(
	context: Context,
	input: unknown,
	judge: (wish: NewPassword) => Promise<void>,
	operator = true
): Promise<Coach> {
	const { email, name, password } = validate(newCoachSchema, input);
	await judge({ password, about: [email, name] });
	return createCoach(context, input, operator);
}
