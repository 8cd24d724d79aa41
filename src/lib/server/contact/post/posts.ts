/** What a coach writes to several people at once: filled in for each, planned, seen on its way. */
import { addDays, dateIn, instantOf, DAY_MS } from '$core/calendar';
import { calledBy } from '$core/people';
import { streakOf } from '$core/attendance';
import { afterQuiet, isMeant, type Addressee, type Audience } from '$core/post';
import { fillTemplate, readTemplate, type FieldValues } from '$core/text/template';
import { MOST_ADDRESSEES, PLANNED_AHEAD, postSchema, type PostState } from '$contracts/post';
import { MOST_LETTERS } from '$contracts/message';
import { minutesOfDay } from '$contracts/values';
import type { OwnedChallenge } from '../../records/challenge';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import { idOf, notFound, Refusal } from '../../platform/errors';
import type { ChallengeId, CoachId, EnrolmentId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import type { InNeed } from '../reach/triage';
import { queueLetters, type NewLetter } from './letters';
import { postSettingsOf, quietOf } from './settings';

/** Messages to several that one challenge sends in a day, and that wait at once. */
const MOST_A_DAY = 20;

/** Somebody who may be written to, with what a template says of them. */
export interface Recipient extends Addressee {
	id: EnrolmentId;
	name: string;
	zone: string;
	mailed: boolean;
	values: FieldValues;
}

/** What a template says of somebody. */
export const valuesOf = (
	{ person, row }: Pick<InNeed, 'person' | 'row'>,
	{ coach, challenge, team }: { coach: string; challenge: string; team: string | null }
): FieldValues => {
	const opened = row.days.filter(({ open, theirs }) => open && theirs);
	const { rate } = row.adherence;
	return {
		name: calledBy(person.name),
		'full name': person.name,
		coach: calledBy(coach),
		challenge,
		day: opened.length > 0 ? String(opened.at(-1)!.day) : null,
		'days left': String(row.days.filter(({ open, theirs }) => !open && theirs).length),
		'sessions done': String(row.days.filter(({ credit, kind }) => credit > 0 && kind !== 'rest').length),
		done: rate === null ? null : `${Math.round(rate * 100)} %`,
		streak: String(streakOf(row.days)),
		team
	};
};

/** Everybody in a challenge as a message to several sees them. */
export function recipientsOf(
	all: readonly InNeed[],
	{ coach, challenge, teams }: { coach: string; challenge: string; teams: ReadonlyMap<string, string> }
): Recipient[] {
	return all.map((one) => ({
		id: one.person.id,
		name: one.person.name,
		zone: one.person.zone,
		team: one.person.team,
		level: one.person.level,
		mailed: one.person.mailed,
		reasons: one.reasons.map(({ kind }) => kind),
		toDo: one.row.days.some(({ state, kind }) => state === 'open' && kind !== 'rest'),
		values: valuesOf(one, {
			coach,
			challenge,
			team: one.person.team === null ? null : (teams.get(one.person.team) ?? null)
		})
	}));
}

interface When {
	date: string;
	minutes: number;
}

/** @throws Refusal 400 for a time that is over or too far away for the first to have it */
function planned(date: string, time: string, { coachZone }: OwnedChallenge, now: number): When {
	const today = dateIn(coachZone, now);
	const refuse = (message: string) => new Refusal(400, message, [{ field: 'date', message }]);
	if (date < today) throw refuse('choose today or a day after it');
	if (date > addDays(today, PLANNED_AHEAD)) throw refuse(`at most ${PLANNED_AHEAD} days from today`);
	return { date, minutes: minutesOfDay(time) };
}

/** Refuses a message that would have a gap for somebody, with who they are. */
function withoutGaps(recipients: readonly Recipient[], texts: { subject: string; text: string }) {
	const subject = readTemplate(texts.subject);
	const body = readTemplate(texts.text);
	const missing = new Map<string, string[]>();
	const filled = recipients.map((one) => {
		const [title, text] = [fillTemplate(subject, one.values), fillTemplate(body, one.values)];
		for (const field of new Set([...title.missing, ...text.missing]))
			missing.set(field, [...(missing.get(field) ?? []), one.name]);
		return { one, subject: title.text, text: text.text };
	});
	const [gap] = missing;
	if (gap) {
		const [field, names] = gap;
		const shown = names.slice(0, 3).join(', ');
		const more = names.length > 3 ? ` and ${names.length - 3} more` : '';
		throw new Refusal(
			400,
			`There is no {${field}} for ${shown}${more}. Leave the field out, or write to others.`
		);
	}
	const long = filled.find(({ text }) => text.length > MOST_LETTERS);
	if (long)
		throw new Refusal(
			400,
			`For ${long.one.name} it has ${long.text.length} letters; at most ${MOST_LETTERS}.`
		);
	return filled;
}

/**
 * Writes to several people: at once, or on a day at a time by each one's own clock. Sent twice with its id, it goes once.
 *
 * @param audience null: none was chosen
 * @returns to how many it goes
 * @throws Refusal 400 with what is wrong, 409 when it is too much
 */
export async function postTo(
	context: Context,
	challenge: OwnedChallenge,
	coach: CoachId,
	{ audience, raw, everybody }: { audience: Audience | null; raw: unknown; everybody: readonly Recipient[] }
): Promise<number> {
	const { db, clock, ids } = context;
	const { id, subject, text, when, date, time } = validate(postSchema, raw);
	if (!audience) throw new Refusal(400, 'Choose whom it is for.');
	const now = clock.now();
	const then = when === 'later' ? planned(date ?? '', time ?? '', challenge, now) : null;
	const meant = everybody.filter((one) => isMeant(one, audience));
	if (meant.length === 0) throw new Refusal(400, 'That is nobody at the moment. Choose others.');
	if (meant.length > MOST_ADDRESSEES)
		throw new Refusal(400, `That is ${meant.length} people; at most ${MOST_ADDRESSEES} at once.`);
	const filled = withoutGaps(meant, { subject, text });
	const quiet = quietOf(await postSettingsOf(db, coach));
	const letters = filled.map(({ one, ...texts }): NewLetter => {
		// Where the time is over already by their clock they have it at once, outside their quiet hours.
		const due = then ? Math.max(instantOf(then.date, then.minutes, one.zone), now) : now;
		return {
			id: ids.uuid(),
			enrolmentId: one.id,
			subject: texts.subject,
			body: texts.text,
			dueAt: due,
			nextAt: then ? afterQuiet(due, one.zone, quiet) : due
		};
	});
	await db.transaction(async (tx) => {
		await tx.query('select 1 from challenge where id = $1 for update', [challenge.id]);
		const [known] = await tx.query<{ own: boolean }>(
			'select challenge_id = $2 as own from post where id = $1',
			[id, challenge.id]
		);
		if (known?.own) return;
		if (known) throw notFound('message');
		const [{ n } = { n: 0 }] = await tx.query<{ n: number }>(
			'select count(*)::int as n from post where challenge_id = $1 and at > $2',
			[challenge.id, instant(now - DAY_MS)]
		);
		if (n >= MOST_A_DAY)
			throw new Refusal(
				409,
				`${MOST_A_DAY} messages to several people within a day are enough. Write tomorrow.`
			);
		await tx.query(
			`insert into post (id, challenge_id, coach_id, subject, body, audience, at, on_date, on_minutes)
			 values ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
			[
				id,
				challenge.id,
				coach,
				subject,
				text,
				JSON.stringify(audience),
				instant(now),
				then?.date ?? null,
				then?.minutes ?? null
			]
		);
		await queueLetters(tx, letters, { state: 'planned', coachId: coach, postId: id });
	});
	return meant.length;
}

/** Shown at once. */
const SHOWN = 30;

/** The newest messages to several. */
export const postsOf = (db: Queries, challengeId: ChallengeId): Promise<PostState[]> =>
	db.query(
		`select p.id, p.subject, p.body as text, p.audience, co.name as by, p.at, p.on_date as "onDate", p.on_minutes as "onMinutes", n.*
		 from (select * from post where challenge_id = $1 order by at desc, id limit ${SHOWN}) p
		 left join coach co on co.id = p.coach_id
		 cross join lateral (select (count(*) filter (where l.state = 'planned'))::int as planned,
				(count(*) filter (where l.state = 'waiting'))::int as waiting,
				(count(*) filter (where l.state = 'sent'))::int as sent,
				(count(*) filter (where l.state = 'failed'))::int as failed,
				(count(*) filter (where l.state = 'not mailed'))::int as "notMailed",
				(count(*) filter (where l.state = 'cancelled'))::int as cancelled,
				(count(m.read_at))::int as read
			from letter l left join message m on m.id = l.id where l.post_id = p.id) n
		 order by p.at desc, p.id`,
		[challengeId]
	);

/** Somebody whom messages do not reach by mail, or not yet. */
export interface Stuck {
	/** Of the letter that stands for them: the one that was tried last. */
	id: string;
	personId: EnrolmentId;
	name: string;
	email: string;
	state: 'waiting' | 'failed';
	tries: number;
	error: string | null;
	nextAt: number;
	/** Letters of theirs that are given up, and that are tried again. */
	failed: number;
	waiting: number;
}

/** Whom letters have not reached: those first for whom some are given up, then by when it is tried again. */
export const stuckIn = (db: Queries, challengeId: ChallengeId): Promise<Stuck[]> =>
	db.query(
		`select * from (select distinct on (e.id) l.id, e.id as "personId", p.name, p.email, l.state, l.tries, l.error, l.next_at as "nextAt",
			(count(*) filter (where l.state = 'failed') over (partition by e.id))::int as failed,
			(count(*) filter (where l.state = 'waiting') over (partition by e.id))::int as waiting
		 from letter l join enrolment e on e.id = l.enrolment_id join participant p on p.id = e.participant_id
		 where e.challenge_id = $1 and (l.state = 'failed' or (l.state = 'waiting' and l.error is not null))
		 order by e.id, l.state, l.due_at desc, l.id) s
		 order by s.failed = 0, s."nextAt", s.id limit ${SHOWN}`,
		[challengeId]
	);

/** How many single messages of a challenge wait for a morning. */
export async function waitingIn(db: Queries, challengeId: ChallengeId): Promise<number> {
	const [{ n } = { n: 0 }] = await db.query<{ n: number }>(
		`select count(*)::int as n from letter l join enrolment e on e.id = l.enrolment_id
		 where e.challenge_id = $1 and l.state = 'waiting' and l.error is null`,
		[challengeId]
	);
	return n;
}

/** Takes back what of a message to several has not gone yet. @returns how many @throws Refusal 404 */
export async function cancelPost(
	{ db, clock }: Context,
	{ id }: OwnedChallenge,
	post: string
): Promise<number> {
	const own = await db.query('select id from post where challenge_id = $1 and id = $2', [
		id,
		idOf(post, 'message')
	]);
	if (own.length === 0) throw notFound('message');
	const gone = await db.query(
		`update letter set state = 'cancelled', done_at = $2, error = 'you took it back' where post_id = $1 and state = 'planned' returning id`,
		[post, instant(clock.now())]
	);
	return gone.length;
}

/** Tries all letters of somebody again that were given up. @param letter one of them @throws Refusal 404 */
export async function tryAgain(
	{ db, clock }: Context,
	{ id }: OwnedChallenge,
	letter: string
): Promise<void> {
	const found = await db.query(
		`update letter set state = 'waiting', tries = 0, next_at = $3, done_at = null
		 where state = 'failed' and enrolment_id = (select l.enrolment_id from letter l join enrolment e on e.id = l.enrolment_id
			where e.challenge_id = $1 and l.id = $2 and l.state = 'failed') returning id`,
		[id, idOf(letter, 'letter'), instant(clock.now())]
	);
	if (found.length === 0) throw notFound('letter');
}
