/** Sessions that participants may take when they like, beside the plan. */
import { DAY_MS } from '$core/calendar';
import { notePain } from '../../people/health/pain';
import { readIn } from '$core/kit';
import { MOST_ON_SHELF, shelfSchema, takenSchema } from '$contracts/shelf';
import { fullLog } from '$core/day';
import { removeResults, writeResult } from '../results';
import type { Person } from '../../records/person';
import type { OwnedChallenge } from '../../records/challenge';
import { ownSessionOf, standingOf, type OwnSession, type Standing } from '../day/own-day';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, EnrolmentId, SessionId } from '../../platform/ids';
import { sessionOf } from '../../training/session/sessions';
import { validate } from '../../platform/validate';
import { shelfOf, type ShelfItem } from '../../training/shelf/items';

/** Something that somebody took. */
export interface Taking {
	id: string;
	name: string;
	counts: boolean;
	credit: number;
	effort: number | null;
	hurts: string | null;
	note: string | null;
	/** Epoch milliseconds. */
	at: number;
}

/** Sessions that one person takes within a day at most. */
export const MOST_A_DAY = 3;

/** How often each session was taken, and by how many, by its id. */
export async function takingsBySession(
	db: Queries,
	challengeId: ChallengeId
): Promise<Map<string, { times: number; people: number }>> {
	const rows = await db.query<{ id: string; times: number; people: number }>(
		`select v.session_id as id, count(*)::int as times, count(distinct l.enrolment_id)::int as people
		 from result l join enrolment e on e.id = l.enrolment_id join session_version v on v.id = l.version_id
		 where e.challenge_id = $1 and l.kind = 'extra' group by v.session_id`,
		[challengeId]
	);
	return new Map(rows.map(({ id, ...taken }) => [id, taken]));
}

/**
 * Puts a session on the shelf; of one that lies there, says anew whether it counts. What was taken stays as it was.
 * @throws Refusal 400, 404, 409 when the shelf is full
 */
export async function putOnShelf(
	{ db, clock }: Context,
	{ id, coachId }: OwnedChallenge,
	raw: unknown
): Promise<void> {
	const { sessionId, counts } = validate(shelfSchema, raw);
	const session = await sessionOf(db, coachId, sessionId);
	const there = await shelfOf(db, id);
	if (there.length >= MOST_ON_SHELF && !there.some((item) => item.sessionId === session.id))
		throw new Refusal(409, `The shelf is full: it holds ${MOST_ON_SHELF} sessions. Remove one first.`);
	await db.query(
		`insert into shelf_session (challenge_id, session_id, counts, put_at) values ($1, $2, $3, $4)
		 on conflict (challenge_id, session_id) do update set counts = excluded.counts`,
		[id, session.id, counts, instant(clock.now())]
	);
}

/** Takes a session off the shelf; what was taken stays. @throws Refusal 404 */
export async function takeOffShelf(
	{ db }: Context,
	{ id }: OwnedChallenge,
	sessionId: string
): Promise<void> {
	const gone = await db.query(
		'delete from shelf_session where challenge_id = $1 and session_id = $2 returning session_id',
		[id, idOf(sessionId, 'session')]
	);
	if (gone.length === 0) throw notFound('session');
}

/** What somebody took from the shelf up to an instant, the newest first. */
export const takingsOf = (db: Queries, enrolmentId: EnrolmentId, until: number): Promise<Taking[]> =>
	db.query(
		`select l.id, s.name, l.counts, l.credit, l.effort, l.hurts, l.note, l.done_at as at
		 from result l join session_version v on v.id = l.version_id join session s on s.id = v.session_id
		 where l.enrolment_id = $1 and l.kind = 'extra' and l.done_at <= $2 order by l.done_at desc, l.id`,
		[enrolmentId, instant(until)]
	);

/** A session of the shelf as one person gets it. */
export interface ShelfSession extends Pick<OwnSession, 'name' | 'outline' | 'changes'> {
	sessionId: SessionId;
	counts: boolean;
}

/**
 * What lies on somebody's shelf; nothing while they are held, before their first day opens, and after their last has closed.
 * @param standing where they stand, read in this request
 */
export function shelfOn(
	{ clock }: Pick<Context, 'clock'>,
	{ today, days, shelf, hold }: Standing
): readonly ShelfItem[] {
	const last = days.at(-1);
	if (hold) return [];
	return today !== null && last !== undefined && clock.now() < last.window.closes ? shelf : [];
}

export const ownShelf = async (context: Context, person: Person): Promise<readonly ShelfItem[]> =>
	shelfOn(context, await standingOf(context, person));

/** @throws Refusal 404 for a session that does not lie there */
function itemOn(shelf: readonly ShelfItem[], id: string): ShelfItem {
	const sessionId = idOf(id, 'session');
	const item = shelf.find((one) => one.sessionId === sessionId);
	if (!item) throw notFound('session');
	return item;
}

/** @throws Refusal 404 for a session that does not lie on their shelf, or has nothing left that is asked of them */
export async function shelfSession(context: Context, person: Person, id: string): Promise<ShelfSession> {
	const standing = await standingOf(context, person);
	const { sessionId, versionId, name, counts } = itemOn(shelfOn(context, standing), id);
	const now = context.clock.now();
	const own = await ownSessionOf(context.db, standing, person, standing.today ?? 1, versionId, now);
	if (!own) throw notFound('session');
	return {
		sessionId,
		name,
		counts,
		outline: readIn(own.outline, person.units),
		changes: readIn(own.changes, person.units)
	};
}

/**
 * Notes a session that somebody took. Sending the same once more changes nothing.
 * @throws Refusal 400, 404 for one that does not lie there, 409 beyond what one takes within a day
 */
export async function takeFromShelf(context: Context, person: Person, raw: unknown): Promise<void> {
	const { id, sessionId, credit, effort, hurts, note } = validate(takenSchema, raw);
	const standing = await standingOf(context, person);
	const item = itemOn(shelfOn(context, standing), sessionId);
	await context.db.transaction(async (tx) => {
		await tx.query('select 1 from enrolment where id = $1 for update', [person.enrolmentId]);
		const [again] = await tx.query<{ enrolmentId: EnrolmentId }>(
			'select enrolment_id as "enrolmentId" from result where id = $1',
			[id]
		);
		if (again?.enrolmentId === person.enrolmentId) return;
		if (again) throw notFound('session');
		const now = context.clock.now();
		const recent = await tx.query(
			`select 1 from result where enrolment_id = $1 and kind = 'extra' and done_at > $2`,
			[person.enrolmentId, instant(now - DAY_MS)]
		);
		if (recent.length >= MOST_A_DAY)
			throw new Refusal(
				409,
				`You have logged ${MOST_A_DAY} sessions from the shelf within a day. That’s plenty: rest, and take the next one tomorrow.`
			);
		const own = await ownSessionOf(tx, standing, person, standing.today ?? 1, item.versionId, now);
		const asked = own?.asked ?? [];
		await writeResult(tx, person, {
			kind: 'extra',
			id,
			versionId: item.versionId,
			counts: item.counts,
			credit,
			said: { effort, hurts, note },
			asked,
			differs: false,
			// Only a share is reported: its sets are known if all of it was done.
			sets: credit === 1 ? fullLog(asked) : [],
			startedAt: null,
			doneAt: now,
			receivedAt: now
		});
		await notePain(tx, context, person, { told: { day: null, hurts }, planned: null, now });
	});
}

/** Takes back something that somebody noted. @throws Refusal 404 */
export async function untake(context: Context, person: Person, id: string): Promise<void> {
	await context.db.transaction(async (tx) => {
		const removed = await removeResults(tx, person, { extra: idOf(id, 'session') });
		if (removed.length === 0) throw notFound('session');
	});
}
