/** What people measure of themselves. */
import { measureSchema } from '$contracts/body';
import { addDays, dateIn, instantOf } from '$core/calendar';
import { unitOfMeasure, type Measured, type MeasureKind } from '$core/measures';
import type { Person } from '../../records/person';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ParticipantId } from '../../platform/ids';
import { validate } from '../../platform/validate';

export interface KeptMeasure extends Measured {
	id: string;
	kind: MeasureKind;
	source: 'typed' | 'scale';
}

/** Of one person at most: one of each kind on every day of a year. */
const MOST = 2200;
const NOON = 12 * 60;

/** Days back to which something of the body may be dated. */
const LONGEST_AGO = 3653;

/** @throws Refusal 400 for a day that is still to come, or so long ago that it was mistyped */
export function refuseDay(on: string, today: string): void {
	if (on > today)
		throw new Refusal(400, 'That day is still to come.', [
			{ field: 'on', message: 'today or a day before it' }
		]);
	if (on < addDays(today, -LONGEST_AGO))
		throw new Refusal(400, 'That is more than ten years ago.', [
			{ field: 'on', message: 'a day of the last ten years' }
		]);
}

/** What somebody has measured, the oldest first. */
export const measuresOf = (db: Queries, id: ParticipantId, until: number): Promise<KeptMeasure[]> =>
	db.query(
		'select id, kind, value, at, source from measure where participant_id = $1 and at <= $2 order by at, id',
		[id, instant(until)]
	);

/**
 * Keeps a measure, typed in somebody's own units; one that is there already is not kept again.
 * @throws Refusal 400 with what would be right, 409 when there are too many
 */
export async function keepMeasure({ db, clock }: Context, person: Person, raw: unknown): Promise<void> {
	const { id, kind, value, on, source } = validate(measureSchema(person.units), raw);
	const now = clock.now();
	const today = dateIn(person.zone, now);
	refuseDay(on, today);
	await db.transaction(async (tx) => {
		await tx.query('select 1 from participant where id = $1 for update', [person.participantId]);
		const [known] = await tx.query<{ own: boolean }>(
			'select participant_id = $2 as own from measure where id = $1',
			[id, person.participantId]
		);
		if (known?.own) return;
		if (known) throw notFound('measure');
		const [{ n } = { n: 0 }] = await tx.query<{ n: number }>(
			'select count(*)::int as n from measure where participant_id = $1',
			[person.participantId]
		);
		if (n >= MOST) throw new Refusal(409, `There are ${MOST} values already; delete some first.`);
		await tx.query(
			'insert into measure (id, participant_id, kind, value, at, source) values ($1, $2, $3, $4, $5, $6)',
			[
				id,
				person.participantId,
				kind,
				value / unitOfMeasure(kind, person.units).perSi,
				instant(on === today ? now : instantOf(on, NOON, person.zone)),
				source
			]
		);
	});
}

/** @throws Refusal 404 */
export async function removeMeasure({ db }: Pick<Context, 'db'>, person: Person, id: string): Promise<void> {
	const gone = await db.query('delete from measure where participant_id = $1 and id = $2 returning id', [
		person.participantId,
		idOf(id, 'measure')
	]);
	if (gone.length === 0) throw notFound('measure');
}
