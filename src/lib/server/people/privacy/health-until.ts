/** Health answers that are needed no longer: a coach says until when. */
import { object, string } from 'yup';
import { isDate } from '$core/calendar';
import type { OwnedChallenge } from '../../records/challenge';
import type { Context } from '../../platform/context';
import { only, type Queries } from '../../platform/db/database';
import type { ChallengeId, ParticipantId } from '../../platform/ids';
import type { Job } from '../../platform/jobs';
import { validate } from '../../platform/validate';
import { noteSuited } from '../../changes/suited';
import { noteChange, projectHolds } from '../../changes/holds';

const untilSchema = object({
	until: string()
		.trim()
		.test('date', 'a day of the calendar; empty for no end', (value) => !value || isDate(value))
		.default('')
});

export const healthUntilOf = async (db: Queries, id: ChallengeId): Promise<string | null> =>
	only(
		await db.query<{ until: string | null }>('select health_until as until from challenge where id = $1', [
			id
		])
	).until;

/** Sets the day on which the health answers of a challenge are deleted; empty: none. @throws Refusal 400 */
export async function setHealthUntil({ db }: Context, { id }: OwnedChallenge, raw: unknown): Promise<void> {
	const { until } = validate(untilSchema, raw);
	await db.query('update challenge set health_until = $2 where id = $1', [id, until || null]);
}

/**
 * Deletes the health answers of everybody all of whose challenges have come to that day. What must not be asked of them
 * beside the answers, as the coach knows it, goes too. @returns how many people
 */
export async function deleteHealth({ db, clock }: Pick<Context, 'db' | 'clock'>): Promise<number> {
	const people = await db.query<{ id: ParticipantId }>(
		`select h.participant_id as id from health h where h.answers is not null
			and exists (select from enrolment e where e.participant_id = h.participant_id)
			and not exists (select from enrolment e join challenge ch on ch.id = e.challenge_id
				where e.participant_id = h.participant_id
				and (ch.health_until is null or ch.health_until > (to_timestamp($1 / 1000.0) at time zone 'utc')::date))`,
		[clock.now()]
	);
	for (const { id } of people)
		await db.transaction(async (tx) => {
			const now = clock.now();
			for (const table of ['screening', 'clearance'])
				await tx.query(`delete from ${table} where participant_id = $1`, [id]);
			await tx.query(
				"update health set answers = null, added = '{}', limits = '{}' where participant_id = $1",
				[id]
			);
			await tx.query('update participant set answered_at = null where id = $1', [id]);
			await tx.query('delete from suited where participant_id = $1', [id]);
			await noteSuited(tx, [id], now);
			await projectHolds(tx, [id], now);
			await noteChange(
				tx,
				id,
				'rule',
				'Health answers deleted, as was set for the end of the challenge',
				now
			);
		});
	return people.length;
}

export const healthUntilJob = (context: Pick<Context, 'db' | 'clock'>): Job<object> => ({
	name: 'health-until',
	what: 'Deletes health answers on the day that the coach set',
	every: '41 2 * * *',
	run: async () => {
		await deleteHealth(context);
	}
});
