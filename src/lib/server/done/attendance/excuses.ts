import { excuseSchema, pauseSchema, takenBackSchema } from '$contracts/excuse';
import type { OwnedChallenge } from '../../records/challenge';
import type { Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { EnrolmentId } from '../../platform/ids';
import type { OwnPerson } from '../../records/enrolments';
import { validate } from '../../platform/validate';
import { daysChanged } from '../../changes/changed';

/** Excuses a person from days; those that they have not checked in on then count for nothing. @throws Refusal 400 */
export async function excuse({ db, clock }: Context, person: OwnPerson, raw: unknown): Promise<void> {
	const { days, reason } = validate(excuseSchema, raw);
	return db.transaction(async (tx) => {
		await tx.query(
			`insert into excuse (enrolment_id, day, reason, at) select $1, day, $3, $4 from unnest($2::int[]) as day
			 on conflict (enrolment_id, day) do update set reason = excluded.reason`,
			[person.id, [...new Set(days)], reason, instant(clock.now())]
		);
		await daysChanged({ clock }, tx, person.challengeId, [person.id]);
	});
}

/** Excuses a person from all days between two, both included, as a form has them. @throws Refusal 400 */
export async function excuseSpan(
	context: Context,
	{ days }: Pick<OwnedChallenge, 'days'>,
	person: OwnPerson,
	raw: { from: string; to: string; reason: string }
): Promise<void> {
	const from = Number(raw.from);
	const to = Number(raw.to || raw.from);
	if (!(from >= 1 && to >= from && to <= days))
		throw new Refusal(400, `Days go from 1 to ${days}, the first before the last.`);
	return excuse(context, person, {
		days: Array.from({ length: to - from + 1 }, (_, i) => from + i),
		reason: raw.reason
	});
}

/** Takes an excuse back. @param raw what a form or a program gave as the day @throws Refusal 400 */
export async function unexcuse(
	{ db, clock }: Context,
	person: OwnPerson,
	raw: { day: unknown }
): Promise<void> {
	const { day } = validate(takenBackSchema, raw);
	return db.transaction(async (tx) => {
		await tx.query('delete from excuse where enrolment_id = $1 and day = $2', [person.id, day]);
		await daysChanged({ clock }, tx, person.challengeId, [person.id]);
	});
}

export function excusesOf(
	{ db }: Pick<Context, 'db'>,
	enrolmentId: EnrolmentId
): Promise<{ day: number; reason: string }[]> {
	return db.query('select day, reason from excuse where enrolment_id = $1 order by day', [enrolmentId]);
}

export interface Pause {
	id: string;
	/** Whether the person took it by themselves. */
	own: boolean;
	fromDay: number;
	/** Null: until it is ended. */
	toDay: number | null;
	reason: string;
}

/** Whose days a pause is about. */
type Pausing = Pick<OwnPerson, 'id' | 'challengeId'>;

/** Lets a person pause: days within count for nothing, as far as nothing came in for them. @param own whether they do so by themselves @throws Refusal 400 */
export async function pause(
	{ db, clock, ids }: Context,
	person: Pausing,
	raw: unknown,
	own = false
): Promise<void> {
	const { fromDay, toDay, reason } = validate(pauseSchema, raw);
	return db.transaction(async (tx) => {
		await tx.query(
			'insert into pause (id, enrolment_id, from_day, to_day, reason, at, own) values ($1, $2, $3, $4, $5, $6, $7)',
			[ids.uuid(), person.id, fromDay, toDay, reason, instant(clock.now()), own]
		);
		await daysChanged({ clock }, tx, person.challengeId, [person.id]);
	});
}

/** Takes a pause back as if it had not been. @throws Refusal 404 */
export async function removePause({ db, clock }: Context, person: Pausing, id: string): Promise<void> {
	return db.transaction(async (tx) => {
		const gone = await tx.query('delete from pause where enrolment_id = $1 and id = $2 returning id', [
			person.id,
			idOf(id, 'pause')
		]);
		if (gone.length === 0) throw notFound('pause');
		await daysChanged({ clock }, tx, person.challengeId, [person.id]);
	});
}

export function pausesOf(db: Queries, enrolmentId: EnrolmentId): Promise<Pause[]> {
	return db.query(
		'select id, own, from_day as "fromDay", to_day as "toDay", reason from pause where enrolment_id = $1 order by from_day',
		[enrolmentId]
	);
}
