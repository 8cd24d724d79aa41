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
	// One statement: each costs the embedded database about a millisecond.
	await tx.query(
		`with done as (
			select participant_id, exercise, unit, count(distinct result_id)::int as results, count(*)::int as sets,
				max(at) as last_at, (array_agg(amount ${LATEST}))[1] as last_amount, (array_agg(kg ${LATEST}))[1] as last_kg,
				(array_agg(at ${BEST}))[1] as best_at, (array_agg(amount ${BEST}))[1] as best_amount, (array_agg(kg ${BEST}))[1] as best_kg
			from (${SETS} ${of}) one group by participant_id, exercise, unit),
		 gone as (
			delete from performance p where p.participant_id = any($1::uuid[]) ${of.replace('exercise', 'p.exercise')}
				and not exists (select from done d where (d.participant_id, d.exercise, d.unit) = (p.participant_id, p.exercise, p.unit)))
		 insert into performance select * from done
		 on conflict (participant_id, exercise, unit) do update set results = excluded.results, sets = excluded.sets,
			last_at = excluded.last_at, last_amount = excluded.last_amount, last_kg = excluded.last_kg,
			best_at = excluded.best_at, best_amount = excluded.best_amount, best_kg = excluded.best_kg`,
		exercises === null ? [participants] : [participants, exercises]
	);
}
