/** What a person has done of each exercise, kept beside their results. */
import type { Queries } from '../platform/db/database';
import type { ParticipantId } from '../platform/ids';

/** Every set that counts as done, of some people: sets of results that were corrected do not. */
const SETS = `select e.participant_id, s.exercise, s.unit, s.amount, s.kg, r.id as result_id, coalesce(r.done_at, r.received_at) as at
	from enrolment e
	join result r on r.enrolment_id = e.id and r.replaced_at is null
	join result_set s on s.result_id = r.id
	where e.participant_id = any($1::uuid[]) and s.amount > 0`;

const LATEST = 'order by at desc, kg desc nulls last, amount desc, result_id';
const BEST = 'order by kg desc nulls last, amount desc, at, result_id';

/**
 * Recomputes the performance of some people. Callers write results in the same transaction.
 * @param exercises of these alone; all of them if left out
 */
export async function projectPerformance(
	tx: Queries,
	participants: readonly ParticipantId[],
	exercises: readonly string[] | null = null
): Promise<void> {
	const of = exercises === null ? '' : 'and exercise = any($2::text[])';
	const values = exercises === null ? [participants] : [participants, exercises];
	await tx.query(`delete from performance where participant_id = any($1::uuid[]) ${of}`, values);
	await tx.query(
		`insert into performance (participant_id, exercise, unit, results, sets, last_at, last_amount, last_kg, best_at, best_amount,
			best_kg)
		 select participant_id, exercise, unit, count(distinct result_id)::int, count(*)::int,
			max(at), (array_agg(amount ${LATEST}))[1], (array_agg(kg ${LATEST}))[1],
			(array_agg(at ${BEST}))[1], (array_agg(amount ${BEST}))[1], (array_agg(kg ${BEST}))[1]
		 from (${SETS} ${of}) done group by participant_id, exercise, unit`,
		values
	);
}
