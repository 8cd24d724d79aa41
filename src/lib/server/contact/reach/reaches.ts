/** What coaches did about people who needed them. */
import { MOST_LATER, reachSchema } from '$contracts/reach';
import { addDays, dateIn, instantOf } from '$core/calendar';
import type { ReachWay, ReasonKind } from '$core/triage';
import type { OwnedChallenge } from '../../records/challenge';
import { instant, type Queries } from '../../platform/db/database';
import type { OwnPerson } from '../../records/enrolments';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../../platform/ids';
import { validate } from '../../platform/validate';

export interface Reach {
	id: string;
	enrolmentId: EnrolmentId;
	/** Who did it; null: somebody whose account is gone. */
	by: string | null;
	way: ReachWay;
	reasons: ReasonKind[];
	note: string | null;
	at: number;
	until: number | null;
}

/** Of one person at most; whoever has so many is written to every day of the longest challenge. */
const MOST = 200;

/** Of one person that are read; what is older decides nothing that is shown. */
export const REACHES_SHOWN = 20;

/** What was last done about everybody in a challenge by an instant, the newest first. */
export const reachesIn = (db: Queries, challengeId: ChallengeId, until: number): Promise<Reach[]> =>
	db.query(
		`select r.id, r.enrolment_id as "enrolmentId", c.name as by, r.way, r.reasons, r.note, r.at, r.until
		 from enrolment e
		 cross join lateral (select * from reach r where r.enrolment_id = e.id and r.at <= $2 order by r.at desc, r.id limit ${REACHES_SHOWN}) r
		 left join coach c on c.id = r.coach_id
		 where e.challenge_id = $1 order by r.at desc, r.id`,
		[challengeId, instant(until)]
	);

/**
 * Puts on record what a coach did about somebody.
 *
 * @param by the coach
 * @param reasons why somebody needed them then
 * @throws Refusal 400, 409 when there are too many
 */
export async function noteReach(
	{ db, clock, ids }: Context,
	challenge: OwnedChallenge,
	person: OwnPerson,
	by: CoachId,
	reasons: readonly ReasonKind[],
	raw: unknown
): Promise<void> {
	const { way, note, until } = validate(reachSchema, raw);
	const now = clock.now();
	const [{ n } = { n: 0 }] = await db.query<{ n: number }>(
		'select count(*)::int as n from reach where enrolment_id = $1',
		[person.id]
	);
	if (n >= MOST) throw new Refusal(409, `There are ${MOST} entries about ${person.name}; remove some first.`);
	await db.query(
		`insert into reach (id, enrolment_id, coach_id, way, reasons, note, at, until) values ($1, $2, $3, $4, $5, $6, $7, $8)`,
		[
			ids.uuid(),
			person.id,
			by,
			way,
			reasons,
			note,
			instant(now),
			way === 'later' && until ? instant(laterOn(until, challenge, now)) : null
		]
	);
}

/** Puts on record that a coach wrote to people, as far as there is room for it: a message to many is no answer to a reason. */
export async function noteWritten(
	tx: Queries,
	written: readonly { id: string; enrolmentId: EnrolmentId; coachId: CoachId | null; dueAt: number }[]
): Promise<void> {
	await tx.query(
		`insert into reach (id, enrolment_id, coach_id, way, reasons, at)
		 select gen_random_uuid(), r."enrolmentId", r."coachId", 'post', '{}', r.due
		 from jsonb_to_recordset($1) as r("enrolmentId" uuid, "coachId" uuid, due timestamptz)
		 where (select count(*) from reach o where o.enrolment_id = r."enrolmentId") < ${MOST}`,
		[JSON.stringify(written.map(({ dueAt, ...one }) => ({ ...one, due: instant(dueAt) })))]
	);
}

/** The beginning of a day by the coach's clock. @throws Refusal 400 for one that is over, too far away or none */
function laterOn(date: string, { coachZone }: OwnedChallenge, now: number): number {
	const today = dateIn(coachZone, now);
	const refuse = (message: string) => new Refusal(400, message, [{ field: 'until', message }]);
	if (date <= today) throw refuse('choose a day after today');
	if (date > addDays(today, MOST_LATER)) throw refuse(`at most ${MOST_LATER} days from today`);
	return instantOf(date, 0, coachZone);
}

/** Takes back what was put on record by mistake. @throws Refusal 404 */
export async function removeReach({ db }: Pick<Context, 'db'>, person: OwnPerson, id: string): Promise<void> {
	const gone = await db.query('delete from reach where enrolment_id = $1 and id = $2 returning id', [
		person.id,
		idOf(id, 'entry')
	]);
	if (gone.length === 0) throw notFound('entry');
}
