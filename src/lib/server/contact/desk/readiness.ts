/** Whether a group is ready before its challenge begins, as far as there is something to do about it. */
import { holdAt, type HoldReason } from '$core/health';
import type { Queries } from '../../platform/db/database';
import type { Enrolment } from '../../records/enrolments';
import type { ChallengeId, EnrolmentId } from '../../platform/ids';

interface Named {
	id: EnrolmentId;
	name: string;
}

export interface Readiness {
	people: number;
	/** Who has never opened their link. */
	unopened: Named[];
	/** Who has opened it and not answered the questions. */
	unanswered: Named[];
	/** Who waits for somebody’s OK, or is held otherwise. */
	held: (Named & { reason: HoldReason })[];
	/** Whether anything was written to the group yet. */
	hasWritten: boolean;
}

/** @param people those of the challenge who are still in it, as they were read in this request */
export async function readinessOf(
	db: Queries,
	challengeId: ChallengeId,
	people: readonly Enrolment[],
	now: number
): Promise<Readiness> {
	const opened = new Set(
		(
			await db.query<{ id: EnrolmentId }>(
				`select e.id from enrolment e where e.challenge_id = $1 and exists (select from participant_login d where d.enrolment_id = e.id)`,
				[challengeId]
			)
		).map(({ id }) => id)
	);
	const [{ written } = { written: 0 }] = await db.query<{ written: number }>(
		`select count(*)::int as written from message m join enrolment e on e.id = m.enrolment_id
		 where e.challenge_id = $1 and m.by_coach`,
		[challengeId]
	);
	const named = ({ id, name }: Named): Named => ({ id, name });
	const isOpened = (one: (typeof people)[number]) => opened.has(one.id) || one.answeredAt !== null;
	return {
		people: people.length,
		unopened: people.filter((one) => !isOpened(one)).map(named),
		unanswered: people.filter((one) => isOpened(one) && one.answeredAt === null).map(named),
		held: people.flatMap((one) => {
			const hold = holdAt(one.holds, now);
			return hold && hold.reason !== 'questions' ? [{ ...named(one), reason: hold.reason }] : [];
		}),
		hasWritten: written > 0
	};
}
