/** A person is told when somebody made a new link to their days. */
import { calledBy } from '$core/people';
import type { Context } from '../platform/context';
import type { CoachId, EnrolmentId } from '../platform/ids';
import type { Job, Jobs } from '../platform/jobs';
import type { Mail } from '../platform/mail';

interface NewLinkMade {
	enrolmentId: EnrolmentId;
	by: CoachId;
}
const NEW_LINK = 'new-link';

/** Has a person told, whatever else they want by mail, that a coach made a new link and has it. */
export const sendNewLinkNotice = (
	{ db, jobs }: Pick<Context, 'db'> & { jobs: Jobs },
	made: NewLinkMade
): Promise<void> => jobs.send<NewLinkMade>(db, { name: NEW_LINK }, made);

export const newLinkJob = ({ db }: Context, mail: Mail): Job<NewLinkMade> => ({
	name: NEW_LINK,
	what: 'Tells a person that a coach made a new link for them',
	run: async ({ enrolmentId, by }) => {
		const [found] = await db.query<{ name: string; email: string; challenge: string; coach: string }>(
			`select p.name, p.email, ch.name as challenge, co.name as coach from enrolment e
			 join participant p on p.id = e.participant_id join challenge ch on ch.id = e.challenge_id
			 join coach co on co.id = $2 where e.id = $1 and p.email <> '' and p.forgotten_at is null`,
			[enrolmentId, by]
		);
		if (!found) return;
		const { name, email, challenge, coach } = found;
		await mail.send({
			to: email,
			subject: `A new link for ${challenge}`.slice(0, 120),
			text: `Hello ${calledBy(name)},

${coach} created a new link for you, for “${challenge}”. Your old link has ended and your devices are signed out. ${coach} will send you the new one.

If you didn’t ask for it and nobody sends it to you, use “I lost my link” on the sign-in page, and tell the coach who runs the challenge.
`
		});
	}
});
