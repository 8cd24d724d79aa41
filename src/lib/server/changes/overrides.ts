/** Overrides of a person: added, removed, revoked by what they came from. */
import { overrideSchema } from '$contracts/override';
import type { Origin } from '$core/day';
import type { Context } from '../platform/context';
import { instant, type Queries } from '../platform/db/database';
import { idOf, notFound, Refusal } from '../platform/errors';
import type { OwnPerson } from '../records/enrolments';
import type { EnrolmentId } from '../platform/ids';
import { practiceOf } from '../records/practice';
import { validate } from '../platform/validate';
import { overridesOf } from '../records/overrides';

/** Overrides a person may have at once: more is another plan. */
const MOST = 100;

/**
 * Adds an override.
 * @throws Refusal 400 with faults, 409 if there are too many
 */
export async function addOverride(
	{ db, clock, ids }: Context,
	person: OwnPerson,
	origin: Origin,
	raw: unknown
): Promise<void> {
	const { target, change, fromDay, toDay, why } = validate(overrideSchema, raw);
	const { library } = await practiceOf(db, person.coachId);
	for (const [field, name] of [
		['target.exercise', target.kind === 'exercise' ? target.exercise : null],
		['change.exercise', change.kind === 'replace' ? change.exercise : null]
	] as const)
		if (name !== null && !library.find(name))
			throw new Refusal(400, `The library has no ${name}.`, [{ field, message: 'choose an exercise' }]);
	if ((await overridesOf(db, person.id, clock.now())).length >= MOST)
		throw new Refusal(409, `${person.name} has ${MOST} differences already; take some back first.`);
	await db.query(
		`insert into override (id, enrolment_id, target, change, from_day, to_day, why, origin, origin_id, made_at)
		 values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
		[
			ids.uuid(),
			person.id,
			JSON.stringify(target),
			JSON.stringify(change),
			fromDay,
			toDay,
			why,
			origin.kind,
			origin.id,
			instant(clock.now())
		]
	);
}

/**
 * Revokes the overrides of one kind of origin: of one origin by its id, or of some exercises whatever the id.
 * @param now epoch milliseconds
 */
export async function revokeOverrides(
	tx: Queries,
	enrolmentId: EnrolmentId,
	origin: { kind: Origin['kind'] } & ({ id: string } | { exercises: readonly string[] }),
	now: number
): Promise<void> {
	await tx.query(
		`update override set removed_at = $3 where enrolment_id = $1 and origin = $2 and removed_at is null
			and (origin_id = $4 or exercise = any($5::text[]))`,
		[
			enrolmentId,
			origin.kind,
			instant(now),
			'id' in origin ? origin.id : null,
			'exercises' in origin ? origin.exercises : null
		]
	);
}

/** Removes an override: days from now on are as planned again. @throws Refusal 404 */
export async function removeOverride({ db, clock }: Context, person: OwnPerson, id: string): Promise<void> {
	const gone = await db.query(
		'update override set removed_at = $3 where enrolment_id = $1 and id = $2 and removed_at is null returning id',
		[person.id, idOf(id, 'difference'), instant(clock.now())]
	);
	if (gone.length === 0) throw notFound('difference');
}
