/** Results that were done in time and came in too late to count by themselves: the coach takes them, or leaves them. */
import { standingAt, type Standing } from '$core/day';
import type { CatchUp, EarlierZone } from '$core/calendar';
import type { OwnedChallenge } from '../../records/challenge';
import { windowsOf } from '../../records/windows';
import type { Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, EnrolmentId, ParticipantId } from '../../platform/ids';
import { projectOne } from '../../changes/projection';
import { projectPerformance } from '../../changes/performance';
import { replaceResult } from '../results';

/** A result that waits for a decision. */
export interface Offered {
	id: string;
	enrolmentId: EnrolmentId;
	name: string;
	zone: string;
	day: number;
	credit: number;
	/** Epoch milliseconds. */
	doneAt: number;
	receivedAt: number;
}

/** Whether a row of a table `result c` waits: it is current, or would be added to the current one. */
const WAITS = 'c.offered and (c.replaced_at is null or c.adds_to is not null)';

/** Those that wait in a challenge, the first to come first. */
export const offeredIn = (db: Queries, id: ChallengeId): Promise<Offered[]> =>
	db.query(
		`select c.id, e.id as "enrolmentId", p.name, p.zone, c.day, c.credit, c.done_at as "doneAt", c.received_at as "receivedAt"
		 from result c join enrolment e on e.id = c.enrolment_id join participant p on p.id = e.participant_id
		 where e.challenge_id = $1 and ${WAITS} order by c.received_at, c.id`,
		[id]
	);

interface OfferedRow {
	enrolmentId: EnrolmentId;
	participantId: ParticipantId;
	day: number;
	doneAt: number;
	/** What it would be added to. */
	addsTo: string | null;
	zone: string;
	earlierZones: EarlierZone[];
	shiftDays: number;
	catchUp: CatchUp | null;
}

/**
 * Takes one, with the standing that it had when it was done; or leaves it as it came, counting nothing.
 * @throws Refusal 404 where none of this challenge waits under that id; 409 where what it would be added to is not what stands any more
 */
export async function decideOffered(
	{ db, clock }: Context,
	challenge: OwnedChallenge,
	id: string,
	taken: boolean
): Promise<void> {
	await db.transaction(async (tx) => {
		const [row] = await tx.query<OfferedRow>(
			`select e.id as "enrolmentId", p.id as "participantId", c.day, c.done_at as "doneAt", c.adds_to as "addsTo", p.zone, p.earlier_zones as "earlierZones",
				e.shift_days as "shiftDays", e.catch_up as "catchUp"
			 from result c join enrolment e on e.id = c.enrolment_id join participant p on p.id = e.participant_id
			 where c.id = $1 and e.challenge_id = $2 and ${WAITS} for update of e`,
			[idOf(id, 'result'), challenge.id]
		);
		const window = row && windowsOf(challenge, row)[row.day - 1];
		if (!row || !window) throw notFound('result');
		// Where the day or the zone was moved since, it is late at the worst: the coach has decided that it counts.
		const found = standingAt(window, row.doneAt);
		const own: Standing = found === 'after close' ? 'late' : found;
		const standing = taken && row.addsTo ? await inPlaceOf(tx, row.addsTo, clock.now()) : own;
		await tx.query(
			`update result set offered = false, adds_to = null, standing = case when $2 then $3 else standing end,
				replaced_at = case when $2 then null else replaced_at end where id = $1`,
			[id, taken, standing]
		);
		await projectPerformance(tx, [row.participantId]);
		await projectOne(tx, row.enrolmentId);
	});
}

/** Replaces the current result of a day by one that includes it. @returns its standing, which applies to the whole */
async function inPlaceOf(tx: Queries, id: string, now: number): Promise<Standing> {
	const before = await replaceResult(tx, id, now);
	if (!before)
		throw new Refusal(
			409,
			'Their result of this day has been corrected since, so this cannot be added to it any more. Leave it out, or ask them.'
		);
	return before.standing;
}
