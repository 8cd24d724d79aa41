import { newCoachSchema } from '$contracts/coach';
import type { Context } from '../../platform/context';
import { instant } from '../../platform/db/database';
import { Refusal } from '../../platform/errors';
import { newId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import { hashPassword } from './password';
import type { NewPassword } from './strength';
import { type Coach } from '../../records/coach';

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
