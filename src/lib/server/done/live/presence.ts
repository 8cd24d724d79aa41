/** Who is in a session right now. */
import { liveSchema, type Present } from '$contracts/live';
import type { Person } from '../../records/person';
import { standingOf } from '../day/own-day';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { notFound } from '../../platform/errors';
import type { ChallengeId } from '../../platform/ids';
import { validate } from '../../platform/validate';

/** Milliseconds after which what a phone told is of no use: no session is as long. */
const FORGOTTEN = 4 * 3_600_000;
/** Milliseconds without a word from which nobody knows whether somebody is still at it. */
const QUIET = 5 * 60_000;

/**
 * Takes down where somebody is in a session. It changes nothing that counts.
 * @throws Refusal 400; 404 for a day that is not open to them
 */
export async function tellPresence(context: Context, person: Person, raw: unknown): Promise<void> {
	const { day, phase, what, share, hurts } = validate(liveSchema, raw);
	const { days } = await standingOf(context, person);
	if (!days[day - 1]?.open) throw notFound('day');
	await context.db.query(
		`insert into presence (enrolment_id, day, phase, what, share, hurts, at) values ($1, $2, $3, $4, $5, $6, $7)
		 on conflict (enrolment_id) do update set day = excluded.day, phase = excluded.phase, what = excluded.what,
			share = excluded.share, hurts = excluded.hurts, at = excluded.at`,
		[person.enrolmentId, day, phase, what || null, share, JSON.stringify(hurts), instant(context.clock.now())]
	);
}

/** Everybody of a challenge who was heard of in the last hours: pain first, then those in it, then the newest. */
export async function presentIn(db: Queries, challengeId: ChallengeId, now: number): Promise<Present[]> {
	const rows = await db.query<Omit<Present, 'quiet'>>(
		`select e.id, p.name, l.day, l.phase, l.what, l.share, l.hurts, l.at
		 from presence l join enrolment e on e.id = l.enrolment_id join participant p on p.id = e.participant_id
		 where e.challenge_id = $1 and l.at > $2 and l.at <= $3
		 order by jsonb_array_length(l.hurts) = 0, l.phase not in ('going', 'paused'), l.at desc, p.name limit 300`,
		[challengeId, instant(now - FORGOTTEN), instant(now)]
	);
	return rows.map((row) => ({
		...row,
		quiet: (row.phase === 'going' || row.phase === 'paused') && now - row.at > QUIET
	}));
}
