/** What coaches are told by mail at once: that something has happened, and nothing of what or to whom. */
import { postSettingsSchema } from '$contracts/post';
import { isFinal } from '$core/post';
import { counted } from '$core/text/words';
import { instant, type Queries } from '../../platform/db/database';
import { markTold, untoldIncidents } from '../incidents/incidents';
import type { Context } from '../../platform/context';
import type { ChallengeId, CoachId } from '../../platform/ids';
import type { Letter, Mail } from '../../platform/mail';
import { validate } from '../../platform/validate';

type Telling = Context & { config: { origin: string | null } };

/** Sends a letter. @returns whether it is over: sent, or to a mailbox that there is not; what may yet get through is tried again */
const sent = (mail: Mail, letter: Letter): Promise<boolean> =>
	mail.send(letter).then(
		() => true,
		(error: unknown) => isFinal((error as { responseCode?: number }).responseCode)
	);

/** A key that may stand in the id of a mail. */
const keyOf = (...parts: string[]): string => parts.join('-').replace(/[^\w.-]/g, '-');

/** Tells the coaches of what has happened to somebody's health. */
export async function tellIncidents({ db, clock, config }: Telling, mail: Mail): Promise<void> {
	const told = new Set<string>();
	for (const { id, at, name, email, challenge, challengeId } of await untoldIncidents(db)) {
		const letter = {
			to: { name, address: email },
			subject: 'Somebody needs you first',
			text: `Hello ${name},

In “${challenge}” somebody reported pain or stopped at a warning sign. Open Reach out in Cadrex to see who it is${config.origin ? `:\n${config.origin}/c/${challengeId}/reach` : '.'}

Until you decide, what hurt is left out for them; at a warning sign nothing is released.
`,
			once: { key: keyOf('incident', id, email), at }
		};
		// A coach whose mailbox is in trouble keeps nobody's message from going out.
		if (await sent(mail, letter)) told.add(id);
	}
	if (told.size > 0) await markTold(db, [...told], clock.now());
}

/** Messages of one run of the job; what is left comes with the next. */
const AT_ONCE = 200;

interface Written {
	id: string;
	at: number;
	coachId: CoachId;
	name: string;
	email: string;
	post: unknown;
	challenge: string;
	challengeId: ChallengeId;
}

/** What somebody wrote and no coach has been told of, with who could be: the owner and those who help. */
const untoldMessages = (db: Queries, now: number): Promise<Written[]> =>
	db.query(
		`select m.id, m.at, co.id as "coachId", co.name, co.email, co.post, ch.name as challenge, ch.id as "challengeId"
		 from (select * from message where not by_coach and told_at is null and at <= $1 order by at, id limit ${AT_ONCE}) m
		 join enrolment e on e.id = m.enrolment_id join challenge ch on ch.id = e.challenge_id
		 join coach co on co.id = ch.coach_id or exists
			(select from helper h where h.challenge_id = ch.id and h.coach_id = co.id and h.role = 'coach')
		 order by m.at, m.id, co.id`,
		[instant(now)]
	);

/** Tells those coaches who want it that somebody wrote to them: one letter for all that has come in of a challenge. */
export async function tellAnswers({ db, clock, config }: Telling, mail: Mail): Promise<void> {
	const untold = await untoldMessages(db, clock.now());
	const waits = new Set<string>();
	const groups = new Map<string, Written[]>();
	for (const one of untold) {
		if (!validate(postSettingsSchema, one.post).answers) continue;
		const key = `${one.coachId} ${one.challengeId}`;
		groups.set(key, [...(groups.get(key) ?? []), one]);
	}
	for (const all of groups.values()) {
		const { id, at, coachId, name, email, challenge, challengeId } = all[0]!;
		const letter = {
			to: { name, address: email },
			subject: `${counted(all.length, 'message')} for you`,
			text: `Hello ${name},

In “${challenge}” ${counted(all.length, 'message waits', 'messages wait')} for you. Open Reach out in Cadrex to read and answer${config.origin ? `:\n${config.origin}/c/${challengeId}/reach` : '.'}

You can turn these emails off under Post, Tone, hours and rules.
`,
			once: { key: keyOf('answers', id, coachId), at }
		};
		if (!(await sent(mail, letter))) for (const one of all) waits.add(one.id);
	}
	const over = [...new Set(untold.map(({ id }) => id))].filter((id) => !waits.has(id));
	if (over.length > 0)
		await db.query('update message set told_at = $2 where id = any($1::uuid[])', [
			over,
			instant(clock.now())
		]);
}
