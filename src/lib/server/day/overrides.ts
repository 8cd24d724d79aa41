import { overrideSchema } from '$contracts/override';
import type { Override } from '$core/day';
import type { Context } from '../platform/context';
import { instant, type Queries } from '../db/database';
import { idOf, notFound, Refusal } from '../platform/errors';
import type { ChallengeId, EnrolmentId } from '../platform/ids';
import type { OwnPerson } from '../people/enrolments';
import type { KeptOverride, MadeBy, PastOverride } from './standing-row';
import { practiceOf } from '../practice/practice';
import { validate } from '../web/validate';

/** Everything that ever was different for a person, the older first. */
export function allOverrides(db: Queries, enrolmentId: EnrolmentId): Promise<PastOverride[]> {
	return db.query(
		`select id, target, change, from_day as "fromDay", to_day as "toDay", why, made_by as "madeBy", made_at as "madeAt",
			removed_at as "removedAt"
		 from override where enrolment_id = $1 order by made_at, id`,
		[enrolmentId]
	);
}

/** Whether an override held at an instant. */
export const heldAt =
	(at: number) =>
	({ madeAt, removedAt }: PastOverride): boolean =>
		madeAt <= at && (removedAt === null || removedAt > at);

/** What is different for a person, the older first. @param at as it was at an instant */
export async function overridesOf(
	db: Queries,
	enrolmentId: EnrolmentId,
	at: number
): Promise<KeptOverride[]> {
	return (await allOverrides(db, enrolmentId)).filter(heldAt(at));
}

/** What is different for everybody of a challenge at an instant, the older first, by enrolment. */
export async function overridesIn(
	db: Queries,
	challengeId: ChallengeId,
	at: number
): Promise<Map<EnrolmentId, Override[]>> {
	const rows = await db.query<Override & { enrolmentId: EnrolmentId }>(
		`select o.enrolment_id as "enrolmentId", o.target, o.change, o.from_day as "fromDay", o.to_day as "toDay", o.why
		 from override o join enrolment e on e.id = o.enrolment_id
		 where e.challenge_id = $1 and o.made_at <= $2 and (o.removed_at is null or o.removed_at > $2)
		 order by o.made_at, o.id`,
		[challengeId, instant(at)]
	);
	const found = new Map<EnrolmentId, Override[]>();
	for (const { enrolmentId, ...one } of rows)
		found.set(enrolmentId, [...(found.get(enrolmentId) ?? []), one]);
	return found;
}

/** Overrides a person may have at once: more is another plan. */
const MOST = 100;

/**
 * Writes down what is different for a person from a day on, or until another.
 * @throws Refusal 400 with faults, 409 when there are too many
 */
export async function addOverride(
	{ db, clock, ids }: Context,
	person: OwnPerson,
	madeBy: MadeBy,
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
		`insert into override (id, enrolment_id, target, change, from_day, to_day, why, made_by, made_at)
		 values ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
		[
			ids.uuid(),
			person.id,
			JSON.stringify(target),
			JSON.stringify(change),
			fromDay,
			toDay,
			why,
			madeBy,
			instant(clock.now())
		]
	);
}

/** Takes one back: days from now on are as planned again. @throws Refusal 404 */
export async function removeOverride({ db, clock }: Context, person: OwnPerson, id: string): Promise<void> {
	const gone = await db.query(
		'update override set removed_at = $3 where enrolment_id = $1 and id = $2 and removed_at is null returning id',
		[person.id, idOf(id, 'difference'), instant(clock.now())]
	);
	if (gone.length === 0) throw notFound('difference');
}
