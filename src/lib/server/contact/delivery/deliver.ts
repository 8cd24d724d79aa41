import { afterQuiet, isFinal, nextTry } from '$core/post';
import { instant, type Queries } from '../../platform/db/database';
import type { Context } from '../../platform/context';
import type { CoachId, EnrolmentId } from '../../platform/ids';
import type { Job } from '../../platform/jobs';
import type { Mail } from '../../platform/mail';
import { noteWritten } from '../reach/reaches';
import { htmlOfText } from '$core/text/html';
import { withLink } from '../post/invitations';
import { LETTERS, type LetterState } from '../post/letters';
import { postSettingsOf, quietOf } from '../post/settings';
import { tellAnswers, tellIncidents } from './tell-coaches';

/** Brought into the application with one transaction. */
const SHOWN_AT_ONCE = 100;
/** Taken in hand at once, and for how long; whoever dies with them leaves them to the next. */
const IN_HAND = 25;
const LEASE = '2 minutes';
/** Given to one run of the job: what is left waits for the next, long before the queue takes it for lost. */
const MOST_A_RUN = 4000;

interface Due {
	id: string;
	enrolmentId: EnrolmentId;
	coachId: CoachId;
	body: string;
	dueAt: number;
	zone: string;
	mailed: boolean;
	left: boolean;
}

/** Brings messages that have become due into the application. @returns how many */
async function showDue({ db, clock }: Context): Promise<number> {
	const now = clock.now();
	return db.transaction(async (tx) => {
		const due = await tx.query<Due>(
			`select l.id, l.enrolment_id as "enrolmentId", l.coach_id as "coachId", l.body, l.due_at as "dueAt", p.zone, p.mailed,
				e.left_at is not null and e.left_at <= $1 as left
			 from letter l join enrolment e on e.id = l.enrolment_id join participant p on p.id = e.participant_id
			 where l.state = 'planned' and l.next_at <= $1 order by l.next_at, l.id limit ${SHOWN_AT_ONCE} for update of l skip locked`,
			[instant(now)]
		);
		const staying = due.filter(({ left }) => !left);
		await tx.query(
			`insert into message (id, enrolment_id, by_coach, coach_id, body, at)
			 select r.id, r."enrolmentId", true, r."coachId", r.body, r.due
			 from jsonb_to_recordset($1) as r(id uuid, "enrolmentId" uuid, "coachId" uuid, body text, due timestamptz)
			 on conflict (id) do nothing`,
			[JSON.stringify(staying.map(({ dueAt, ...one }) => ({ ...one, due: instant(dueAt) })))]
		);
		await noteWritten(tx, staying);
		const quiet = new Map<CoachId | null, ReturnType<typeof quietOf>>();
		for (const { coachId } of staying)
			if (!quiet.has(coachId)) quiet.set(coachId, quietOf(await postSettingsOf(tx, coachId)));
		await tx.query(
			`update letter l set state = r.state, next_at = r.next, error = r.error, done_at = case when r.state = 'waiting' then null else $2::timestamptz end
			 from jsonb_to_recordset($1) as r(id uuid, state text, next timestamptz, error text) where l.id = r.id`,
			[
				JSON.stringify(
					due.map(({ id, left, mailed, zone, coachId }) => {
						const state: LetterState = left ? 'cancelled' : mailed ? 'waiting' : 'not mailed';
						const hours = quiet.get(coachId);
						return {
							id,
							state,
							next: instant(hours ? afterQuiet(now, zone, hours) : now),
							error: left ? 'they had left the challenge' : mailed ? null : WANTS_NONE
						};
					})
				),
				instant(now)
			]
		);
		return due.length;
	});
}

const WANTS_NONE = 'they want no mail';

interface InHand {
	id: string;
	subject: string;
	body: string;
	html: string | null;
	dueAt: number;
	tries: number;
	name: string;
	email: string;
	mailed: boolean;
	coach: string;
	challenge: string;
	/** Whether they have read it in the application by now. */
	read: boolean;
	left: boolean;
	enrolmentId: EnrolmentId;
	coachId: CoachId;
	/** In front of the link that it brings; null: it brings none. */
	base: string | null;
	/** Of that link, where it was made already. */
	secret: string | null;
}

/** Takes letters in hand that are to go now. */
const take = (db: Queries, now: number): Promise<InHand[]> =>
	db.query(
		`with mine as (
			update letter set leased_until = now() + interval '${LEASE}', tries = tries + 1
			where id in (select id from letter where state = 'waiting' and next_at <= $1 and (leased_until is null or leased_until < now())
				order by next_at, id limit ${IN_HAND} for update skip locked)
			returning *)
		 select l.id, l.subject, l.body, l.html, l.due_at as "dueAt", l.tries, p.name, p.email, p.mailed, coalesce(co.name, ow.name) as coach,
			ch.name as challenge, m.read_at is not null as read, l.enrolment_id as "enrolmentId", coalesce(l.coach_id, ow.id) as "coachId",
			l.invite_base as base, l.secret, e.left_at is not null and e.left_at <= $1 as left
		 from mine l join enrolment e on e.id = l.enrolment_id join participant p on p.id = e.participant_id
		 join challenge ch on ch.id = e.challenge_id join coach ow on ow.id = ch.coach_id
		 left join coach co on co.id = l.coach_id left join message m on m.id = l.id
		 order by l.next_at, l.id`,
		[instant(now)]
	);

/** How a try ended. */
interface Ended {
	state: LetterState;
	error: string | null;
	/** When it is tried again; null: it is over. */
	again: number | null;
}

const over = (state: LetterState, error: string | null = null): Ended => ({ state, error, again: null });

/** What a mail server said, in a line that fits beside a letter. */
const saidBy = (error: unknown): string =>
	(error instanceof Error ? error.message : String(error)).replace(/\s+/g, ' ').slice(0, 300);

async function tryOne(context: Delivering, letter: InHand, mail: Mail, now: number): Promise<Ended> {
	const { base } = letter;
	if (letter.left) return over('cancelled', 'they had left the challenge');
	// Who wants no mail about messages still needs the link to read any.
	if (!letter.mailed && base === null) return over('not mailed', WANTS_NONE);
	if (!letter.email) return over('not mailed', 'no email address is stored');
	if (letter.read) return over('not mailed', 'they had read it in Cadrex');
	try {
		await mail.send({
			to: { name: letter.name, address: letter.email },
			subject: letter.subject,
			text:
				base === null
					? mailTextOf(letter, context.config.origin)
					: await withLink(context, { ...letter, base }),
			...(letter.html !== null && { html: mailHtmlOf(letter, context.config.origin) }),
			once: { key: letter.id, at: letter.dueAt }
		});
		return over('sent');
	} catch (error) {
		const { responseCode } = error as { responseCode?: number };
		const again = isFinal(responseCode) ? null : nextTry(letter.tries, now);
		return again === null ? over('failed', saidBy(error)) : { state: 'waiting', error: saidBy(error), again };
	}
}

/** What was written, and where to answer it: nobody reads what comes back to the address that sends. */
const mailTextOf = (letter: InHand, origin: string | null): string =>
	`${letter.body}

-- 
${footOf(letter, origin)}
`;

/** The same as it was set. */
const mailHtmlOf = (letter: InHand, origin: string | null): string =>
	`${letter.html}<hr>${htmlOfText(footOf(letter, origin))}`;

const footOf = ({ coach, challenge }: InHand, origin: string | null): string =>
	`${coach} wrote this to you in “${challenge}”. Please answer in Cadrex, under Messages${origin ? `: ${origin}/me/messages` : ''}.
Mail to this address isn’t read. You can turn these emails off under Messages too.`;

type Delivering = Context & { config: { origin: string | null } };

/**
 * Carries messages on: what is due comes into the application, and what may go goes by mail. Safe to do in several
 * processes at once, and to break off anywhere: a letter that was sent as its process died is sent again as the same one.
 * @returns how many tries were made
 */
export async function deliver(context: Delivering, mail: Mail): Promise<number> {
	const { db, clock } = context;
	await tellIncidents(context, mail);
	await tellAnswers(context, mail);
	while ((await showDue(context)) > 0);
	let tries = 0;
	while (tries < MOST_A_RUN) {
		const letters = await take(db, clock.now());
		if (letters.length === 0) break;
		tries += letters.length;
		const ended = await Promise.all(
			letters.map(async (letter) => ({
				id: letter.id,
				tries: letter.tries,
				...(await tryOne(context, letter, mail, clock.now()))
			}))
		);
		await db.query(
			`update letter l set state = r.state, error = r.error, leased_until = null, next_at = coalesce(r.again, l.next_at),
				secret = case when r.again is null then null else l.secret end,
				done_at = case when r.again is null then $2::timestamptz end
			 from jsonb_to_recordset($1) as r(id uuid, tries int, state text, error text, again timestamptz)
			 where l.id = r.id and l.state = 'waiting' and l.tries = r.tries`,
			[
				JSON.stringify(
					ended.map(({ again, ...one }) => ({ ...one, again: again === null ? null : instant(again) }))
				),
				instant(clock.now())
			]
		);
	}
	return tries;
}

export const lettersJob = (context: Delivering, mail: Mail): Job<object> => ({
	...LETTERS,
	what: 'Carries messages into the application and out by mail',
	every: '* * * * *',
	run: async () => {
		await deliver(context, mail);
	}
});
