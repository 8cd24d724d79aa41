import { array, mixed, number, object, string } from 'yup';
import { DAY_KINDS, dateOfDay, type DayKind } from '$core/release';
import type { Context } from '../context';
import type { Queries } from '../db/database';
import { challengeOf, type Challenge } from '../challenges/challenge';
import { Refusal } from '../errors';
import { sessionOf } from '../sessions/sessions';
import { validate } from '../validate';

export interface PlanDay {
	day: number;
	date: string;
	kind: DayKind;
	versionId: string | null;
	sessionId: string | null;
	session: string | null;
	version: number | null;
	/** Expected length in seconds; null without a session. */
	seconds: number | null;
}

/** Every day of a challenge in order, with what it sends. */
export async function planOf(db: Queries, challenge: Pick<Challenge, 'id' | 'startsOn'>): Promise<PlanDay[]> {
	const rows = await db.query<Omit<PlanDay, 'date'>>(
		`select p.day, p.kind, p.version_id as "versionId", s.id as "sessionId", s.name as session, v.version, v.seconds
		 from plan_day p
		 left join session_version v on v.id = p.version_id
		 left join session s on s.id = v.session_id
		 where p.challenge_id = $1 order by p.day`,
		[challenge.id]
	);
	return rows.map((row) => ({ ...row, date: dateOfDay(row.day, challenge.startsOn) }));
}

const layDaysSchema = object({
	days: array(number().integer().min(1).required()).min(1, 'choose at least one day').max(84).required(),
	kind: mixed<DayKind>()
		.oneOf([...DAY_KINDS], 'choose a kind of day')
		.required('choose a kind of day'),
	sessionId: string().trim().nullable().default(null)
});

/**
 * Gives days a kind and a session (its newest version). Those who have checked in on one of them keep what
 * they did.
 * @throws Refusal 400, 404
 */
export async function layDays(
	{ db }: Context,
	coachId: string,
	challengeId: string,
	raw: unknown
): Promise<void> {
	const { days, kind, sessionId } = validate(layDaysSchema, raw);
	if (kind === 'rest' && sessionId)
		throw new Refusal(400, 'A rest day has no session; choose another kind of day for it.');
	return db.transaction(async (tx) => {
		const challenge = await challengeOf(tx, coachId, challengeId);
		const beyond = days.find((day) => day > challenge.weeks * 7);
		if (beyond)
			throw new Refusal(400, `The challenge has ${challenge.weeks * 7} days; there is no day ${beyond}.`);
		const session = sessionId ? await sessionOf(tx, coachId, sessionId) : null;
		await tx.query(
			'update plan_day set kind = $3, version_id = $4 where challenge_id = $1 and day = any($2::int[])',
			[challengeId, days, kind, session?.versionId ?? null]
		);
	});
}
