import { array, number, object, string } from 'yup';
import { packEntry } from '$core/day';
import type { Context } from '../platform/context';
import { instant } from '../db/database';
import { idOf } from '../platform/errors';
import { validate } from '../web/validate';
import { enrolmentOf } from '../people/enrolments';

const excuseSchema = object({
	days: array(number().integer().min(1).max(84).required()).min(1, 'choose a day').required(),
	reason: string()
		.trim()
		.max(300, 'at most 300 letters')
		.required('an excuse needs a reason; the coach alone sees it')
});

/** Excuses a person from days that they have not checked in on; those then count for nothing. @throws Refusal 400, 404 */
export async function excuse(
	{ db, clock }: Context,
	challengeId: string,
	enrolmentId: string,
	raw: unknown
): Promise<void> {
	const { days, reason } = validate(excuseSchema, raw);
	const now = clock.now();
	return db.transaction(async (tx) => {
		await tx.query('select 1 from enrolment where id = $1 for update', [idOf(enrolmentId, 'person')]);
		const person = await enrolmentOf(tx, challengeId, enrolmentId);
		for (const day of days) {
			await tx.query(
				`insert into excuse (enrolment_id, day, reason, at) values ($1, $2, $3, $4)
				 on conflict (enrolment_id, day) do update set reason = excluded.reason`,
				[person.id, day, reason, instant(now)]
			);
			await tx.query(
				`update enrolment set strip = jsonb_set(strip, array[$2], $3::jsonb)
				 where id = $1 and coalesce(strip->$2->>0, 'e') = 'e'`,
				[
					person.id,
					String(day),
					JSON.stringify(packEntry({ kind: 'excuse', credit: 0, at: now, pain: false }))
				]
			);
		}
	});
}

/** Takes an excuse back. */
export function unexcuse(
	{ db }: Context,
	challengeId: string,
	enrolmentId: string,
	day: number
): Promise<void> {
	return db.transaction(async (tx) => {
		const person = await enrolmentOf(tx, challengeId, enrolmentId);
		await tx.query('delete from excuse where enrolment_id = $1 and day = $2', [person.id, day]);
		await tx.query(`update enrolment set strip = strip - $2 where id = $1 and strip->$2->>0 = 'e'`, [
			person.id,
			String(day)
		]);
	});
}

export function excusesOf(
	{ db }: Pick<Context, 'db'>,
	enrolmentId: string
): Promise<{ day: number; reason: string }[]> {
	return db.query('select day, reason from excuse where enrolment_id = $1 order by day', [enrolmentId]);
}
