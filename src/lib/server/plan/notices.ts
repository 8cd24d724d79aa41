import { object, string } from 'yup';
import { challengeOf } from '../challenges/challenge';
import type { Context } from '../context';
import { instant, type Queries } from '../db/database';
import { idOf } from '../errors';
import { validate } from '../validate';

/** Something that a coach tells everybody of a challenge; it stands on their page of today. */
export interface Notice {
	id: string;
	text: string;
	/** Epoch milliseconds. */
	at: number;
}

const noticeSchema = object({
	text: string().trim().max(600, 'at most 600 letters').required('a notice needs some words')
});

/** Puts up a notice. @throws Refusal 400, 404 */
export async function announce(
	{ db, clock, ids }: Context,
	coachId: string,
	challengeId: string,
	raw: unknown
): Promise<void> {
	const { text } = validate(noticeSchema, raw);
	const { id } = await challengeOf(db, coachId, challengeId);
	await db.query('insert into notice (id, challenge_id, text, at) values ($1, $2, $3, $4)', [
		ids.uuid(),
		id,
		text,
		instant(clock.now())
	]);
}

/** Takes one down. @throws Refusal 404 */
export async function takeDown(
	db: Queries,
	coachId: string,
	challengeId: string,
	noticeId: string
): Promise<void> {
	const { id } = await challengeOf(db, coachId, challengeId);
	await db.query('delete from notice where challenge_id = $1 and id = $2', [id, idOf(noticeId, 'notice')]);
}

/** For how long a notice stands on people’s pages. */
const STANDS_DAYS = 7;

/** What has been put up within the last week, the newest first. */
export function noticesOf(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	challengeId: string
): Promise<Notice[]> {
	const now = clock.now();
	return db.query(
		'select id, text, at from notice where challenge_id = $1 and at > $2 and at <= $3 order by at desc, id limit 20',
		[challengeId, instant(now - STANDS_DAYS * 86_400_000), instant(now)]
	);
}
