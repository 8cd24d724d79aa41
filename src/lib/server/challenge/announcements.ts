import { announcementSchema } from '$contracts/announcement';
import { dateOfDay, dayInZone, instantOf } from '$core/calendar';
import type { Challenge, OwnedChallenge } from './challenge';
import type { Context } from '../platform/context';
import { instant, type Queries } from '../db/database';
import { idOf, Refusal } from '../platform/errors';
import type { ChallengeId } from '../platform/ids';
import { validate } from '../web/validate';

/** Something that a coach tells everybody of a challenge; it stands on their page of today. */
export interface Announcement {
	id: string;
	text: string;
	/** Epoch milliseconds. */
	at: number;
}

/** When an announcement of a day goes up: as the day opens by the coach’s clock. */
const goesUp = (challenge: Challenge, day: number): number =>
	instantOf(dateOfDay(day, challenge.startsOn), challenge.opensAt, challenge.coachZone);

/**
 * Posts an announcement, at once or when a day that is ahead opens.
 * @param raw.day null: at once
 * @param raw.once whether it is of this time alone
 * @throws Refusal 400, 404
 */
export async function postAnnouncement(
	{ db, clock, ids }: Context,
	challenge: OwnedChallenge,
	raw: unknown
): Promise<void> {
	const { text, day, once } = validate(announcementSchema, raw);
	if (day !== null && day > challenge.days)
		throw new Refusal(400, `The challenge has ${challenge.days} days; there is no day ${day}.`);
	const at = day === null ? clock.now() : Math.max(clock.now(), goesUp(challenge, day));
	await db.query('insert into announcement (id, challenge_id, text, at, once) values ($1, $2, $3, $4, $5)', [
		ids.uuid(),
		challenge.id,
		text,
		instant(at),
		once
	]);
}

/** Announcements that may be used again, by the day on which each goes up; those from before day 1 are of day 1. */
export async function messagesOf(
	db: Queries,
	challenge: Challenge
): Promise<{ day: number; text: string }[]> {
	const rows = await db.query<{ text: string; at: number }>(
		'select text, at from announcement where challenge_id = $1 and not once order by at',
		[challenge.id]
	);
	return rows.map(({ text, at }) => ({
		day: Math.min(challenge.days, Math.max(1, dayInZone(challenge.startsOn, challenge.coachZone, at))),
		text
	}));
}

/** Takes one down. @throws Refusal 404 */
export async function removeAnnouncement(
	db: Queries,
	{ id }: OwnedChallenge,
	announcementId: string
): Promise<void> {
	await db.query('delete from announcement where challenge_id = $1 and id = $2', [
		id,
		idOf(announcementId, 'announcement')
	]);
}

/** For how long an announcement stands on people’s pages. */
const STANDS = 7 * 86_400_000;
/** Announcements of one challenge that are up or wait: more than one for each day of the longest. */
const MOST = 200;

/** All that is up or waits to go up: the last first. */
export function allAnnouncements(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	challengeId: ChallengeId
): Promise<Announcement[]> {
	return db.query(
		'select id, text, at from announcement where challenge_id = $1 and at > $2 order by at desc, id limit $3',
		[challengeId, instant(clock.now() - STANDS), MOST]
	);
}

/** Of all that is up or waits to go up, what people see at an instant: gone up within the last week, the newest first. */
export const upAt = (announcements: readonly Announcement[], now: number): Announcement[] =>
	announcements.filter(({ at }) => at > now - STANDS && at <= now).slice(0, 20);
