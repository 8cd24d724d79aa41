/** Reminders on a person's device: turned on and off by that person, sent outside quiet hours, and silent about health. */
import { reminderChoiceSchema, subscriptionSchema } from '$contracts/reminders';
import { messageReminder, nextTry, sessionReminders, type MessageFacts, type Reminder } from '$core/post';
import type { Person } from '../../records/person';
import { instant, type Queries } from '../../platform/db/database';
import { groupNow } from '../../training/challenge/group';
import { daysOf } from '../../records/person-days';
import type { Context } from '../../platform/context';
import { idOf, Refusal } from '../../platform/errors';
import type { ChallengeId, EnrolmentId } from '../../platform/ids';
import type { Job } from '../../platform/jobs';
import type { Push, PushTarget } from '../../platform/push';
import { enrolmentsById, type Enrolment } from '../../records/enrolments';
import { validate } from '../../platform/validate';
import { postSettingsOf, quietOf } from './settings';

type Kind = Reminder['kind'] | 'welcome';

/** Devices of one person that receive reminders; the oldest gives way. */
const MOST_DEVICES = 10;
/** Devices that one step looks at, and reminders that it sends. */
const AT_ONCE = 50;
const LEASE = '2 minutes';
/** Milliseconds after which a device is looked at again: a new hour, zone or message has its effect by then. */
const LOOK_EVERY = 15 * 60_000;
/** Milliseconds in which the notification arrives that reminders are on. */
const WELCOME_FOR = 3_600_000;

/** Reminders that one device receives. */
export interface ReminderChoice {
	sessions: boolean;
	messages: boolean;
	endpoint: string;
}

/** @param login hash of the token of the device */
export async function remindersOf(db: Queries, login: string): Promise<ReminderChoice | null> {
	const [found] = await db.query<ReminderChoice>(
		'select sessions, messages, endpoint from push_subscription where login_hash = $1',
		[login]
	);
	return found ?? null;
}

/** Changes what the device of a login is reminded of. @throws Refusal 400 with faults; 409 where its reminders are off */
export async function choose({ db, clock }: Context, login: string, raw: unknown): Promise<void> {
	const { sessions, messages } = validate(reminderChoiceSchema, raw);
	const [changed] = await db.query(
		'update push_subscription set sessions = $2, messages = $3, look_at = $4 where login_hash = $1 returning id',
		[login, sessions, messages, instant(clock.now())]
	);
	if (!changed) throw new Refusal(409, 'Reminders are off on this device. Turn them on again.');
}

/**
 * Turns reminders on for the device of a login. A first notification says so.
 * @throws Refusal 400 with faults
 */
export async function turnOn(
	{ db, clock, ids }: Context,
	{ enrolmentId }: Pick<Person, 'enrolmentId'>,
	login: string,
	raw: unknown
): Promise<void> {
	const { endpoint, p256dh, auth, sessions, messages } = validate(subscriptionSchema, raw);
	const now = clock.now();
	await db.transaction(async (tx) => {
		// A device has one subscription: the person who uses it now takes it over.
		await tx.query('delete from push_subscription where login_hash = $1 or endpoint = $2', [login, endpoint]);
		const id = ids.uuid();
		await tx.query(
			`insert into push_subscription (id, login_hash, enrolment_id, endpoint, p256dh, auth, sessions, messages, created_at, look_at)
			 values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $9)`,
			[id, login, enrolmentId, endpoint, p256dh, auth, sessions, messages, instant(now)]
		);
		await queue(tx, () => ids.uuid(), [
			{ subscriptionId: id, kind: 'welcome', about: '', at: now, until: now + WELCOME_FOR }
		]);
		await tx.query(
			`delete from push_subscription where id in (select id from push_subscription where enrolment_id = $1
				order by created_at desc, id offset ${MOST_DEVICES})`,
			[enrolmentId]
		);
	});
}

export const turnOff = async (db: Queries, login: string): Promise<void> => {
	await db.query('delete from push_subscription where login_hash = $1', [login]);
};

/** Stops the reminders of the device that shows a notification, by the id in it. @throws Refusal 404 where it is no id; one that is not known has stopped already */
export const stopFromNotification = async (db: Queries, id: string): Promise<void> => {
	await db.query('delete from push_subscription where id = $1', [idOf(id, 'reminder')]);
};

interface Queued extends Omit<Reminder, 'kind'> {
	subscriptionId: string;
	kind: Kind;
}

const queue = async (tx: Queries, newId: () => string, reminders: readonly Queued[]): Promise<void> => {
	await tx.query(
		`insert into reminder (id, subscription_id, kind, about, next_at, until)
		 select r.id, r."subscriptionId", r.kind, r.about, r.next, r.until
		 from jsonb_to_recordset($1) as r(id uuid, "subscriptionId" uuid, kind text, about text, next timestamptz, until timestamptz)
		 join push_subscription s on s.id = r."subscriptionId"
		 on conflict (subscription_id, kind, about) do nothing`,
		[
			JSON.stringify(
				reminders.map(({ at, until, ...one }) => ({
					...one,
					id: newId(),
					next: instant(at),
					until: instant(until)
				}))
			)
		]
	);
};

interface Looked {
	id: string;
	enrolmentId: EnrolmentId;
	challengeId: ChallengeId;
	sessions: boolean;
	messages: boolean;
	/** The newest message of a coach, or null. */
	message: MessageFacts | null;
}

/** Devices that are to be looked at and are still signed in; leaving a challenge ends the sign-in. */
const toLookAt = (tx: Queries, now: number): Promise<Looked[]> =>
	tx.query(
		`select s.id, s.enrolment_id as "enrolmentId", e.challenge_id as "challengeId", s.sessions, s.messages,
			(select jsonb_build_object('id', m.id, 'at', extract(epoch from m.at) * 1000, 'readAt', extract(epoch from m.read_at) * 1000,
				'answered', exists (select from message a where a.enrolment_id = m.enrolment_id and not a.by_coach and a.at >= m.at),
				'isPersonal', not exists (select from letter l where l.id = m.id and l.post_id is not null))
			 from message m where s.messages and m.enrolment_id = s.enrolment_id and m.by_coach and m.at <= $1
			 order by m.at desc, m.id limit 1) as message
		 from push_subscription s join enrolment e on e.id = s.enrolment_id
		 join participant_login d on d.token_hash = s.login_hash
		 where s.look_at <= $1 and d.expires_at > $1
		 order by s.look_at, s.id limit ${AT_ONCE}`,
		[instant(now)]
	);

/** Reminders of a person that are due or coming, the earliest first. */
async function remindersFor(
	context: Context,
	person: Enrolment,
	{ challengeId, sessions, message }: Pick<Looked, 'challengeId' | 'sessions' | 'message'>
): Promise<Reminder[]> {
	const now = context.clock.now();
	const { challenge, plan } = await groupNow(context, challengeId);
	const hours = {
		zone: person.zone,
		trainsAt: person.trainsAt,
		quiet: quietOf(await postSettingsOf(context.db, challenge.coachId))
	};
	const days = sessions ? daysOf(challenge, plan, person, now) : [];
	const reminders = sessionReminders(days, (day) => Boolean(plan[day - 1]?.versionId), hours, now);
	const unread = message && messageReminder(message, hours);
	return [...reminders, ...(unread && unread.until > now ? [unread] : [])].sort((a, b) => a.at - b.at);
}

/** Puts what is due to be reminded of in the queue. @returns how many devices were looked at */
async function look(context: Context): Promise<number> {
	const { db, clock, ids } = context;
	const now = clock.now();
	const devices = await toLookAt(db, now);
	if (devices.length === 0) return 0;
	const people = new Map(
		(
			await enrolmentsById(
				db,
				devices.map(({ enrolmentId }) => enrolmentId)
			)
		).map((one) => [one.id, one])
	);
	const due: Queued[] = [];
	const next: { id: string; at: string }[] = [];
	for (const device of devices) {
		const person = people.get(device.enrolmentId);
		const reminders = person ? await remindersFor(context, person, device) : [];
		for (const reminder of reminders)
			if (reminder.at <= now) due.push({ ...reminder, subscriptionId: device.id });
		const coming = reminders.find(({ at }) => at > now)?.at ?? Infinity;
		next.push({ id: device.id, at: instant(Math.min(coming, now + LOOK_EVERY)) });
	}
	await db.transaction(async (tx) => {
		await queue(tx, () => ids.uuid(), due);
		await tx.query(
			`update push_subscription s set look_at = r.at from jsonb_to_recordset($1) as r(id uuid, at timestamptz) where s.id = r.id`,
			[JSON.stringify(next)]
		);
	});
	return devices.length;
}

interface InHand extends PushTarget {
	id: string;
	subscriptionId: string;
	kind: Kind;
	about: string;
	/** Epoch milliseconds. */
	until: number;
	tries: number;
}

const take = (db: Queries, now: number): Promise<InHand[]> =>
	db.query(
		`with mine as (
			update reminder set leased_until = now() + interval '${LEASE}', tries = tries + 1
			where id in (select id from reminder where state = 'waiting' and next_at <= $1 and (leased_until is null or leased_until < now())
				order by next_at, id limit ${AT_ONCE} for update skip locked)
			returning *)
		 select m.id, m.subscription_id as "subscriptionId", m.kind, m.about, m.until, m.tries, s.endpoint, s.p256dh, s.auth
		 from mine m join push_subscription s on s.id = m.subscription_id`,
		[instant(now)]
	);

/** Texts of notifications. They contain no name, session or message, which could reveal something about health. */
const TEXT: Record<Kind, (about: string) => { title: string; body: string; url: string }> = {
	welcome: () => ({ title: 'Reminders are on', body: 'This is what they look like.', url: '/me/reminders' }),
	session: (day) => ({
		title: `Day ${day} is open`,
		body: 'Your session is ready when you are.',
		url: '/me'
	}),
	message: () => ({
		title: 'A message is waiting for you',
		body: 'Open it to read and answer.',
		url: '/me/messages'
	})
};

/** Sends one reminder and notes how it went. */
async function send({ db, clock }: Context, push: Push, one: InHand): Promise<void> {
	const now = clock.now();
	const finish = (state: 'sent' | 'failed', error: string | null = null) =>
		db.query('update reminder set state = $2, error = $3, leased_until = null where id = $1', [
			one.id,
			state,
			error
		]);
	if (one.until <= now) return void (await finish('failed', 'it was stale'));
	const answer = await push.send(one, {
		payload: JSON.stringify({ ...TEXT[one.kind](one.about), tag: one.kind, stop: one.subscriptionId }),
		ttl: Math.ceil((one.until - now) / 1000),
		topic: one.kind
	});
	switch (answer.kind) {
		case 'sent':
			await finish('sent');
			return;
		case 'gone':
			await db.query('delete from push_subscription where id = $1', [one.subscriptionId]);
			return;
		case 'refused':
			await finish('failed', answer.error);
			return;
		case 'later': {
			const pause = answer.seconds === null ? nextTry(one.tries, now) : now + answer.seconds * 1000;
			if (pause === null || pause >= one.until) return void (await finish('failed', answer.error));
			await db.query('update reminder set next_at = $2, error = $3, leased_until = null where id = $1', [
				one.id,
				instant(pause),
				answer.error
			]);
		}
	}
}

/** Sends what is due to be reminded of. Safe in several processes at once. @returns how many tries were made */
export async function remind(context: Context, push: Push): Promise<number> {
	while ((await look(context)) === AT_ONCE);
	let tries = 0;
	for (;;) {
		const reminders = await take(context.db, context.clock.now());
		if (reminders.length === 0) return tries;
		tries += reminders.length;
		await Promise.all(reminders.map((one) => send(context, push, one)));
	}
}

/** Time for which finished reminders are kept, so that they are not sent again. */
const KEPT = '14 days';

/** The job that sends reminders; it also runs every minute, so that a lost nudge delays and loses nothing. */
export const REMINDERS: Pick<Job<object>, 'name'> = { name: 'reminders' };

export const remindersJob = (context: Context, push: Push): Job<object> => ({
	...REMINDERS,
	what: 'Sends reminders to the devices of those who want them',
	every: '* * * * *',
	run: async () => {
		await remind(context, push);
		await context.db.query(
			`delete from reminder where state <> 'waiting' and until < $1::timestamptz - interval '${KEPT}'`,
			[instant(context.clock.now())]
		);
	}
});
