/** A person who has lost their link gets a way back, at the address that is stored for them. */
import { calledBy } from '$core/people';
import { addDays, dateIn, FIRST_ZONE, DAY_MS } from '$core/calendar';
import { instant } from '../platform/db/database';
import { newSecret } from '../changes/links';
import type { Context } from '../platform/context';
import type { EnrolmentId } from '../platform/ids';
import type { Job, Jobs } from '../platform/jobs';
import type { Mail } from '../platform/mail';

interface LostLink {
	/** As it was typed, in lower case. */
	email: string;
	/** Where the application is reached. */
	origin: string;
}
const LOST_LINK = 'lost-link';
/** A way back is good for this long: milliseconds. */
const GOOD_FOR = DAY_MS;

/** Has a way back sent to an address, if a person has it. Nobody is told whether one does. */
export const sendLostLink = (
	{ db, jobs }: Pick<Context, 'db'> & { jobs: Jobs },
	asked: LostLink
): Promise<void> => jobs.send<LostLink>(db, { name: LOST_LINK }, asked);

/** Sends the ways back. Their secrets are made here, so that no queue keeps them. */
export const lostLinkJob = (context: Context, mail: Mail): Job<LostLink> => ({
	name: LOST_LINK,
	what: 'Sends a person a way back to their challenge',
	run: async ({ email, origin }) => {
		const { db, clock, ids } = context;
		const now = clock.now();
		const found = await db.query<{
			id: EnrolmentId;
			name: string;
			challenge: string;
			startsOn: string;
			days: number;
		}>(
			`select e.id, p.name, ch.name as challenge, ch.starts_on as "startsOn", ch.days
			 from participant p join enrolment e on e.participant_id = p.id join challenge ch on ch.id = e.challenge_id
			 where p.email = $1 and p.forgotten_at is null and e.left_at is null order by ch.starts_on desc, ch.name limit 10`,
			[email]
		);
		// What was done stays to be seen for four weeks after the end.
		const open = found.filter(
			({ startsOn, days }) => addDays(startsOn, days + 28) >= dateIn(FIRST_ZONE, now)
		);
		const [first] = open;
		if (!first) return;
		const links: string[] = [];
		await db.transaction(async (tx) => {
			for (const { id, challenge } of open) {
				const { secret, hash } = newSecret(ids);
				await tx.query('insert into way_back (token_hash, enrolment_id, expires_at) values ($1, $2, $3)', [
					hash,
					id,
					instant(now + GOOD_FOR)
				]);
				links.push(`${challenge}\n${origin}/join/${secret}`);
			}
		});
		await mail.send({
			to: email,
			subject: `Your way back to ${first.challenge}`.slice(0, 120),
			text: `Hello ${calledBy(first.name)},

Someone asked for your link. If it was you, open it on the phone or computer that you want to use. It works once, within a day.

${links.join('\n\n')}

If it wasn’t you, ignore this message. Your own link and your devices stay as they are.
`
		});
	}
});
