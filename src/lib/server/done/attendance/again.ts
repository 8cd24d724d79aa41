/** A session that was done once more, beside the plan. */
import { DAY_MS } from '$core/calendar';
import type { CheckinInput } from '$contracts/check-in';
import { creditOf, instantOfDevice } from '$core/day';
import type { Person } from '../../records/person';
import { ownSessionOf, standingOf } from '../day/own-day';
import { instant, type Queries } from '../../platform/db/database';
import { notePain } from '../../people/health/pain';
import { versionById } from '../../training/session/sessions';
import type { Context } from '../../platform/context';
import { notFound, Refusal } from '../../platform/errors';
import type { EnrolmentId, VersionId } from '../../platform/ids';
import { writeResult } from '../results';
import { logOf } from './parts';

/** How many one person does again within a day at most: who has done as many has had enough. */
const MOST_A_DAY = 3;

/**
 * Keeps a session that was done again; it changes nothing of the day. The same one sent again is kept once.
 *
 * @returns the share of it that was done, and whether it had not been received before
 * @throws Refusal 400 for a log that does not fit; 404 for a day that is not open or has no session; 409 where too many came within
 *   a day, or nothing is released to them
 */
export async function takeAgain(
	context: Context,
	person: Person,
	input: CheckinInput
): Promise<{ credit: number; fresh: boolean }> {
	const standing = await standingOf(context, person);
	const day = standing.days[input.day - 1];
	const planned = standing.plan[input.day - 1]?.versionId;
	if (!day?.open || !planned) throw notFound('day');
	if (standing.hold || day.state === 'held')
		throw new Refusal(409, 'Nothing is released to you at the moment. Ask your coach first.');
	const now = context.clock.now();
	return context.db.transaction(async (tx) => {
		await tx.query('select 1 from enrolment where id = $1 for update', [person.enrolmentId]);
		// What they began with holds, of this session.
		const [version] = await tx.query<{ id: VersionId }>(
			`select seen.id from session_version seen join session_version now on now.session_id = seen.session_id
			 where seen.id = $1 and now.id = $2`,
			[input.versionId, planned]
		);
		const versionId = version?.id ?? planned;
		const begun = input.startedAt === null ? now : instantOfDevice(input.startedAt, input.sentAt, now);
		const own = await ownSessionOf(tx, standing, person, input.day, versionId, Math.min(begun, now));
		if (!own) throw notFound('session');
		const sets = logOf(input, own.asked, []);
		const credit = creditOf(own.asked, sets);
		const [same] = await tx.query<{ enrolmentId: EnrolmentId }>(
			'select enrolment_id as "enrolmentId" from result where id = $1',
			[input.id]
		);
		if (same && same.enrolmentId !== person.enrolmentId) throw notFound('result');
		if (same) return { credit, fresh: false };
		if (credit === 0)
			throw new Refusal(
				409,
				'Nothing of it was done, so there is nothing to keep. What stands for the day stays.'
			);
		const told = input.doneAt === null ? now : instantOfDevice(input.doneAt, input.sentAt, now);
		const doneAt = Math.min(now, Math.max(told, day.window.opens));
		const near = await tx.query(
			`select 1 from result where enrolment_id = $1 and kind = 'again' and done_at > $2 and done_at < $3`,
			[person.enrolmentId, instant(doneAt - DAY_MS), instant(doneAt + DAY_MS)]
		);
		if (near.length >= MOST_A_DAY)
			throw new Refusal(
				409,
				`You have done ${MOST_A_DAY} sessions again within a day. That’s plenty: rest, and do the next one tomorrow.`
			);
		await writeResult(tx, person, {
			kind: 'again',
			id: input.id,
			day: input.day,
			versionId,
			credit,
			said: { effort: input.effort, hurts: input.hurts, note: input.note, run: input.run },
			asked: own.asked,
			differs: true,
			sets,
			startedAt: null,
			doneAt,
			receivedAt: now
		});
		const { day: on, hurts, run } = input;
		const { body } = await versionById(tx, versionId);
		await notePain(tx, context, person, { told: { day: on, hurts, run }, planned: body, now });
		return { credit, fresh: true };
	});
}

/** A session that somebody did again. */
interface DoneAgain {
	id: string;
	day: number;
	name: string;
	/** 0…10 */
	effort: number | null;
	hurts: string | null;
	note: string | null;
	/** Epoch milliseconds. */
	at: number;
}

/** What somebody did again up to an instant, the newest first. */
export const againOf = (db: Queries, enrolmentId: EnrolmentId, until: number): Promise<DoneAgain[]> =>
	db.query(
		`select a.id, a.day, coalesce(v.name, s.name) as name, a.effort, a.hurts, a.note, a.done_at as at
		 from result a join session_version v on v.id = a.version_id join session s on s.id = v.session_id
		 where a.enrolment_id = $1 and a.kind = 'again' and a.received_at <= $2 order by a.done_at desc, a.id`,
		[enrolmentId, instant(until)]
	);
