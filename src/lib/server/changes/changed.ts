import { project, projectChallenge } from './projection';
import type { Queries } from '../platform/db/database';
import { keepCalendars } from './calendar/calendars';
import type { Context } from '../platform/context';
import type { ChallengeId, EnrolmentId, ParticipantId } from '../platform/ids';

/**
 * What follows from a change of days, in the transaction that made it: their summaries are worked out anew, and
 * calendars that are followed get their next number.
 *
 * @param people those whom it is about; left out: everybody of the challenge
 */
export async function daysChanged(
	context: Pick<Context, 'clock'>,
	tx: Queries,
	challengeId: ChallengeId,
	people?: readonly EnrolmentId[]
): Promise<void> {
	if (people) await project(tx, people);
	else await projectChallenge(tx, challengeId);
	await keepCalendars(context, tx, challengeId, people);
}

/** What follows from people having joined. */
export async function peopleJoined(
	context: Pick<Context, 'clock'>,
	tx: Queries,
	challengeId: ChallengeId,
	people: readonly EnrolmentId[]
): Promise<void> {
	await project(tx, people);
	await keepCalendars(context, tx, challengeId, people, true);
}

/** What follows from a challenge having been made. */
export const challengeMade = (
	context: Pick<Context, 'clock'>,
	tx: Queries,
	challengeId: ChallengeId
): Promise<void> => keepCalendars(context, tx, challengeId, undefined, true);

/** The same where it is about who somebody is: their zone and their hour hold in every challenge they are in. */
export async function participantChanged(
	context: Pick<Context, 'clock'>,
	tx: Queries,
	participantId: ParticipantId
): Promise<void> {
	const rows = await tx.query<{ id: EnrolmentId; challengeId: ChallengeId }>(
		'select id, challenge_id as "challengeId" from enrolment where participant_id = $1',
		[participantId]
	);
	for (const { id, challengeId } of rows) await daysChanged(context, tx, challengeId, [id]);
}
