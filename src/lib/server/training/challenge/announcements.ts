import { announcementSchema } from '$contracts/announcement';
import { dateOfDay, dayInZone, instantOf, type DueWindow, DAY_MS } from '$core/calendar';
import type { Challenge, OwnedChallenge } from '../../records/challenge';
import type { Context } from '../../platform/context';
import { instant, type Queries } from '../../platform/db/database';
import { idOf, Refusal } from '../../platform/errors';
import type { ChallengeId } from '../../platform/ids';
import { validate } from '../../platform/validate';

/** Something that a coach tells everybody of a challenge; it stands on their page of today. */
export interface Announcement {
	id: string;
	text: string;
	/** When it goes up by the coach’s clock. Epoch milliseconds. */
	at: number;
	/** The day of which it is: everybody reads it from the opening of that day by their own clock; null: from `at`. */
	day: number | null;
}

/** For how long an announcement stands on people’s pages. */
const STANDS = 7 * DAY_MS;
/** Announcements of one challenge that are up or wait: more than two for each day of the longest. */
const MOST = 200;

/** When an announcement of a day goes up: as the day opens by the coach’s clock. */
const goesUp = (challenge: Challenge, day: number): number =>
	instantOf(dateOfDay(day, challenge.startsOn), challenge.opensAt, challenge.coachZone);

/**
 * Posts an announcement, at once or when a day that is ahead opens.
 * @param raw.day null: at once
 * @param raw.once whether it is of this time alone
 * @throws Refusal 400, 409 when too many are up or wait
 */
export async function postAnnouncement(
	{ db, clock, ids }: Context,
	challenge: OwnedChallenge,
	raw: unknown
): Promise<void> {
	const { text, day, once } = validate(announcementSchema, raw);
	if (day !== null && day > challenge.days)
		throw new Refusal(400, `The challenge has ${challenge.days} days; there is no day ${day}.`);
	const waiting = await allAnnouncements({ db, clock }, challenge.id);
	if (waiting.length >= MOST)
		throw new Refusal(409, `${MOST} announcements are up or waiting. Take one down before you post another.`);
	const at = day === null ? clock.now() : Math.max(clock.now(), goesUp(challenge, day));
	await db.query(
		'insert into announcement (id, challenge_id, text, at, once, day) values ($1, $2, $3, $4, $5, $6)',
		[ids.uuid(), challenge.id, text, instant(at), once, day]
	);
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

/** All that is up or waits to go up: the last first. */
export function allAnnouncements(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	challengeId: ChallengeId
): Promise<Announcement[]> {
	return db.query(
		'select id, text, at, day from announcement where challenge_id = $1 and at > $2 order by at desc, id limit $3',
		[challengeId, instant(clock.now() - STANDS), MOST]
	);
}

/** All that anybody may see by now or later: those of a day come to each person at a time of their own. */
export function announcementsFor(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	challengeId: ChallengeId
): Promise<Announcement[]> {
	return db.query(
		`select id, text, at, day from announcement where challenge_id = $1 and (day is not null or at > $2)
		 order by at desc, id limit $3`,
		[challengeId, instant(clock.now() - STANDS), 2 * MOST]
	);
}

/**
 * Of all that is up or waits to go up, what somebody sees at an instant: gone up for them within the last week, the
 * newest first, each with the time at which it did.
 * @param days of theirs, day 1 first
 */
export const upFor = (
	announcements: readonly Announcement[],
	days: readonly { window: DueWindow }[],
	now: number
): Announcement[] =>
	announcements
		.map((one) => ({ ...one, at: (one.day !== null && days[one.day - 1]?.window.opens) || one.at }))
		.filter(({ at }) => at > now - STANDS && at <= now)
		.sort((a, b) => b.at - a.at)
		.slice(0, 20);
