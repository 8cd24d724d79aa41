/** Messages on their way: kept with what they are about, looked at until they have arrived or are given up. */
import type { Job, Jobs } from '../../platform/jobs';
import { instant, type Queries } from '../../platform/db/database';
import type { CoachId, EnrolmentId } from '../../platform/ids';

/** Where a message stands on its way out of the application. */
export type LetterState = 'planned' | 'waiting' | 'sent' | 'failed' | 'not mailed' | 'cancelled';

export interface NewLetter {
	/** Of the message in the application too. */
	id: string;
	enrolmentId: EnrolmentId;
	subject: string;
	body: string;
	/** As it was set, tidy; none: as text alone. */
	html?: string | null;
	/** When it stands in the application. Epoch milliseconds. */
	dueAt: number;
	/** When it is first looked at: as it is due, or once quiet hours are over. */
	nextAt: number;
}

/** Written with one statement, so that nobody waits for a thousand of them. */
const AT_ONCE = 250;

/**
 * Puts messages on their way, in the transaction in which the reason for them is written.
 * @param state planned: each comes into the application when it is due; waiting: it is there, and only the mail is to go
 */
export async function queueLetters(
	tx: Queries,
	letters: readonly NewLetter[],
	{ state, coachId, postId }: { state: 'planned' | 'waiting'; coachId: CoachId; postId: string | null }
): Promise<void> {
	for (let from = 0; from < letters.length; from += AT_ONCE)
		await tx.query(
			`insert into letter (id, enrolment_id, coach_id, post_id, subject, body, html, due_at, state, next_at)
			 select r.id, r."enrolmentId", $2, $3, r.subject, r.body, r.html, r.due, $4, r.next
			 from jsonb_to_recordset($1) as r(id uuid, "enrolmentId" uuid, subject text, body text, html text, due timestamptz, next timestamptz)`,
			[
				JSON.stringify(
					letters.slice(from, from + AT_ONCE).map(({ dueAt, nextAt, ...letter }) => ({
						...letter,
						due: instant(dueAt),
						next: instant(nextAt)
					}))
				),
				coachId,
				postId,
				state
			]
		);
}

/** The job that carries messages on; it also comes round by itself, so that a nudge that is lost delays and loses nothing. */
export const LETTERS: Pick<Job<object>, 'name'> = { name: 'letters' };

/** Has what is due carried on at once. */
export const carryOn = ({ db, jobs }: { db: Queries; jobs: Pick<Jobs, 'send'> }): Promise<void> =>
	jobs.send(db, LETTERS, {});

/** Lets go of what was in hand when the only process that there can be ended. */
export const letGo = async (db: Queries): Promise<void> => {
	await db.query('update letter set leased_until = null where leased_until is not null');
};
