import { array, number, object, string } from 'yup';
import { challengeOf } from '../challenges/challenge';
import type { Context } from '../context';
import { Refusal } from '../errors';
import { validate } from '../validate';

const holdSchema = object({
	days: array(number().integer().min(1).max(84).required()).min(1, 'choose a day').required(),
	reason: string().trim().max(300, 'at most 300 letters').default('')
});

/**
 * Holds days for everybody, with the reason that people read: nobody has to do them, and they count for nobody. What
 * was done on one counts all the same. An empty reason lets them go on.
 * @throws Refusal 400, 404
 */
export async function holdDays(
	{ db }: Context,
	coachId: string,
	challengeId: string,
	raw: unknown
): Promise<void> {
	const { days, reason } = validate(holdSchema, raw);
	return db.transaction(async (tx) => {
		const challenge = await challengeOf(tx, coachId, challengeId);
		const beyond = days.find((day) => day > challenge.days);
		if (beyond)
			throw new Refusal(400, `The challenge has ${challenge.days} days; there is no day ${beyond}.`);
		await tx.query('update plan_day set held = $3 where challenge_id = $1 and day = any($2::int[])', [
			challengeId,
			days,
			reason || null
		]);
	});
}
