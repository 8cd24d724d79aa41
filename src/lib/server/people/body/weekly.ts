/** The week as somebody looks back on it. */
import { weeklySchema } from '$contracts/body';
import type { Person } from '../../records/person';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { notFound, Refusal } from '../../platform/errors';
import type { EnrolmentId } from '../../platform/ids';
import { validate } from '../../platform/validate';

export interface Weekly {
	week: number;
	favourite: string | null;
	hardest: string | null;
	obstacle: string | null;
	/** 0…10 */
	confidence: number | null;
	at: number;
}

/** What somebody said of their weeks, the newest first. */
export const weekliesOf = (db: Queries, id: EnrolmentId, until: number): Promise<Weekly[]> =>
	db.query(
		`select week, favourite, hardest, obstacle, confidence, at from weekly where enrolment_id = $1 and at <= $2 order by week desc`,
		[id, instant(until)]
	);

/**
 * Keeps what somebody says of a week; said again it takes the place of what was said before.
 * @param week of the challenge, from 1 @throws Refusal 400 for what makes none, or where nothing is said; 404 for a week that has not begun
 */
export async function keepWeekly(
	{ db, clock }: Context,
	{ enrolmentId }: Person,
	{ week, begun }: { week: number; begun: number },
	raw: unknown
): Promise<void> {
	if (!Number.isInteger(week) || week < 1 || week > begun)
		throw new Refusal(404, 'There is no such week yet.');
	const { id, favourite, hardest, obstacle, confidence } = validate(weeklySchema, raw);
	if (!favourite && !hardest && !obstacle && confidence === null)
		throw new Refusal(400, 'Say at least one thing of the week.');
	const kept = await db.query(
		`insert into weekly (id, enrolment_id, week, favourite, hardest, obstacle, confidence, at)
		 select $1, $2, $3, $4, $5, $6, $7, $8
		 where not exists (select from weekly w where w.id = $1 and (w.enrolment_id <> $2 or w.week <> $3))
		 on conflict (enrolment_id, week) do update set favourite = excluded.favourite, hardest = excluded.hardest,
			obstacle = excluded.obstacle, confidence = excluded.confidence, at = excluded.at returning id`,
		[id, enrolmentId, week, favourite, hardest, obstacle, confidence, instant(clock.now())]
	);
	// The id stands for another week, or for somebody else's.
	if (kept.length === 0) throw notFound('week');
}
