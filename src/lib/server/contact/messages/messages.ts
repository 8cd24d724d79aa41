/** What a coach and somebody in a challenge write to each other. */
import { DAY_MS } from '$core/calendar';
import { messageSchema, setMessageSchema, type Message } from '$contracts/message';
import { calledBy } from '$core/people';
import { afterQuiet, type QuietHours } from '$core/post';
import { lastUnanswered, type Dealt, type ReasonKind, type Written } from '$core/triage';
import type { Person } from '../../records/person';
import type { OwnedChallenge } from '../../records/challenge';
import { instant, only, type Queries } from '../../platform/db/database';
import type { OwnPerson } from '../../records/enrolments';
import { withTransaction, type Context } from '../../platform/context';
import { notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../../platform/ids';
import { queueLetters } from '../post/letters';
import { postSettingsOf, quietOf } from '../post/settings';
import { noteReach } from '../reach/reaches';
import { letterTextOf, tidyHtml } from '../../platform/rich-html';
import { validate } from '../../platform/validate';

/** Messages shown of a thread, the newest. */
const SHOWN = 100;
/** Messages of one side in a day, at most. */
const MOST_A_DAY = 40;

/** The newest messages with somebody that had been written by an instant, the older first; of one instant the coach's. */
export async function threadOf(db: Queries, id: EnrolmentId, until: number): Promise<Message[]> {
	const newest = await db.query<Message>(
		`select m.id, m.by_coach as "byCoach", case when m.by_coach then c.name else p.name end as by, m.body as text, m.html, m.at,
			m.read_at as "readAt", m.about_day as "aboutDay", m.is_draft as "isDraft",
			exists (select from letter l where l.id = m.id and l.post_id is not null) as "toSeveral"
		 from message m join enrolment e on e.id = m.enrolment_id join participant p on p.id = e.participant_id
		 left join coach c on c.id = m.coach_id
		 where m.enrolment_id = $1 and m.at <= $2 order by m.at desc, m.by_coach, m.id limit ${SHOWN}`,
		[id, instant(until)]
	);
	return newest.reverse();
}

/** Somebody who wrote and waits for an answer. */
export interface Waiting {
	id: EnrolmentId;
	name: string;
	/** When they wrote last. */
	since: number;
	/** What of it no coach has seen. */
	unseen: number;
}

/**
 * Who in a challenge has written and waits for an answer, the first to wait first.
 * @param people what was done about them
 */
export async function unansweredIn(
	db: Queries,
	challengeId: ChallengeId,
	people: readonly { person: { id: EnrolmentId }; reaches: readonly Dealt[] }[],
	now: number
): Promise<Waiting[]> {
	const wrote = await db.query<Waiting & Written>(
		`select e.id, p.name, last.at, last.at as since, last.by_coach as "byCoach", false as "toSeveral", last.about_day as "aboutDay",
			(select count(*)::int from message u where u.enrolment_id = e.id and not u.by_coach and u.read_at is null and u.at <= $2) as unseen
		 from enrolment e join participant p on p.id = e.participant_id
		 cross join lateral (
			select m.at, m.by_coach, m.about_day from message m
			where m.enrolment_id = e.id and m.at <= $2 and (not m.by_coach
				or m.about_day is null and not m.is_draft and not exists (select from letter l where l.id = m.id and l.post_id is not null))
			order by m.at desc, m.by_coach, m.id limit 1
		 ) last
		 where e.challenge_id = $1 and not last.by_coach order by last.at, e.id`,
		[challengeId, instant(now)]
	);
	const dealt = new Map(people.map(({ person, reaches }) => [person.id, reaches]));
	return wrote
		.filter((last) => lastUnanswered([last], dealt.get(last.id) ?? [], now))
		.map(({ id, name, since, unseen }) => ({ id, name, since, unseen }));
}

/** Marks what the other side wrote as seen. @param from whose messages */
export async function markRead(
	{ db, clock }: Context,
	id: EnrolmentId,
	from: 'coach' | 'participant'
): Promise<void> {
	await db.query(
		'update message set read_at = $3 where enrolment_id = $1 and by_coach = $2 and read_at is null and at <= $3',
		[id, from === 'coach', instant(clock.now())]
	);
}

/** A message as it is kept. */
interface Kept {
	id: string;
	text: string;
	html: string | null;
	/** Whether it is a draft that was sent as it was proposed. */
	isDraft: boolean;
}

/** Whether two texts say the same: how they are set and broken into lines is no matter. */
const sameWords = (one: string, other: string): boolean => {
	const plain = (text: string) => text.replace(/\s+/g, ' ').trim();
	return plain(one) === plain(other);
};

/** @param sets whether whoever writes can set what they write @throws Refusal 400 for one that is empty or too long */
function messageFrom(raw: unknown, sets: boolean): Kept {
	if (!sets) return { ...validate(messageSchema, raw), html: null, isDraft: false };
	const typed = validate(setMessageSchema, raw);
	const html = tidyHtml(typed.html);
	const text = html ? letterTextOf(html) : typed.text;
	const message = validate(messageSchema, { id: typed.id, text });
	const isDraft = typed.draft !== '' && sameWords(message.text, typed.draft);
	return { ...message, html: html || null, isDraft };
}

/** The result that a message is about, and of which day it is; null: none. */
interface About {
	about: string | null;
	day: number | null;
}

/**
 * Keeps a message; one that is there already is not kept again.
 * @throws Refusal 400; 404 for the id of another's; 409 when one side writes too much
 */
async function write(
	{ db, clock }: Context,
	id: EnrolmentId,
	coach: CoachId | null,
	/** With what sets it, if it is set. */
	raw: unknown,
	/** What else is done in the same transaction, where the message is new. */
	and: (tx: Queries, message: Kept) => Promise<void> = () => Promise.resolve(),
	{ about, day }: About = { about: null, day: null }
): Promise<void> {
	const message = messageFrom(raw, coach !== null);
	const { id: own, text, html, isDraft } = message;
	const now = clock.now();
	await db.transaction(async (tx) => {
		// Held: two at once are counted one after the other.
		await tx.query('select 1 from enrolment where id = $1 for update', [id]);
		const [known] = await tx.query<{ same: boolean }>(
			'select enrolment_id = $2 and by_coach = $3 as same from message where id = $1',
			[own, id, coach !== null]
		);
		if (known?.same) return;
		if (known) throw notFound('message');
		const { n } = only(
			await tx.query<{ n: number }>(
				'select count(*)::int as n from message where enrolment_id = $1 and by_coach = $2 and at > $3',
				[id, coach !== null, instant(now - DAY_MS)]
			)
		);
		if (n >= MOST_A_DAY)
			throw new Refusal(409, `There are ${MOST_A_DAY} messages within a day already. Write again tomorrow.`);
		await tx.query(
			'insert into message (id, enrolment_id, by_coach, coach_id, body, at, about, about_day, html, is_draft) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)',
			[own, id, coach !== null, coach, text, instant(now), about, day, html, isDraft]
		);
		// Whoever answers has seen what the other side wrote; who says a line about a result may not have.
		if (about === null)
			await tx.query(
				'update message set read_at = $3 where enrolment_id = $1 and by_coach = $2 and read_at is null',
				[id, coach === null, instant(now)]
			);
		await and(tx, message);
	});
}

/** Who a coach is to those she writes to, and when none of it rings. */
async function writerOf(db: Queries, coach: CoachId): Promise<{ name: string; quiet: QuietHours }> {
	const { name } = only(await db.query<{ name: string }>('select name from coach where id = $1', [coach]));
	return { name, quiet: quietOf(await postSettingsOf(db, coach)) };
}

/**
 * A coach writes to somebody, it is on record that they did, and a mail is on its way, all or nothing of it.
 * @param reasons why somebody needed them then @param note of the record
 * @throws Refusal 400, 404; 409 for somebody who has left, and when it is too much
 */
export async function writeTo(
	context: Context,
	challenge: OwnedChallenge,
	person: OwnPerson,
	coach: CoachId,
	raw: unknown,
	reasons: readonly ReasonKind[],
	note = ''
): Promise<void> {
	if (person.leftAt !== null && person.leftAt <= context.clock.now())
		throw new Refusal(409, `${person.name} has left this challenge and would not see it.`);
	await write(context, person.id, coach, raw, async (tx, { id, text, html }) => {
		await noteReach(withTransaction(context, tx), challenge, person, coach, reasons, { way: 'wrote', note });
		if (!person.mailed) return;
		const { name, quiet } = await writerOf(tx, coach);
		const now = context.clock.now();
		const letter = {
			id,
			enrolmentId: person.id,
			subject: `${calledBy(name)} wrote to you`,
			body: text,
			html,
			dueAt: now,
			nextAt: afterQuiet(now, person.zone, quiet)
		};
		await queueLetters(tx, [letter], { state: 'waiting', coachId: coach, postId: null });
	});
}

/**
 * A coach says something about a result, and it is on record that they did; it goes by no mail.
 * @param praise reasons that are dealt with by it
 * @throws Refusal 400, 404, 409
 */
export const writeAbout = (
	context: Context,
	challenge: OwnedChallenge,
	person: OwnPerson,
	coach: CoachId,
	raw: unknown,
	{ praise, ...about }: About & { praise: readonly ReasonKind[] }
): Promise<void> =>
	write(
		context,
		person.id,
		coach,
		raw,
		(tx) =>
			noteReach(withTransaction(context, tx), challenge, person, coach, praise, {
				way: praise.length > 0 ? 'praised' : 'wrote'
			}),
		about
	);

/** What coaches said about results of a day, the older first. */
export const saidAbout = (
	db: Queries,
	id: EnrolmentId,
	day: number
): Promise<{ by: string | null; text: string; at: number }[]> =>
	db.query(
		`select c.name as by, m.body as text, m.at from message m left join coach c on c.id = m.coach_id
		 where m.enrolment_id = $1 and m.about_day = $2 and m.by_coach order by m.at, m.id limit ${SHOWN}`,
		[id, day]
	);

/** Somebody writes to their coach. @throws Refusal 400, 404, 409 */
export const writeToCoach = (context: Context, person: Person, raw: unknown): Promise<void> =>
	write(context, person.enrolmentId, null, raw);
