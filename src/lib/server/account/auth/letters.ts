import { coachById } from '../../records/coach';
import { makeReset } from './account';
import type { Context } from '../../platform/context';
import type { CoachId } from '../../platform/ids';
import type { Job, Jobs } from '../../platform/jobs';
import type { Mail } from '../../platform/mail';

type Sender = Pick<Context, 'db'> & { jobs: Jobs };

/** The address at which a link sets a new password. */
export const resetAddress = (origin: string, secret: string): string => `${origin}/reset/${secret}`;

interface ResetAsked extends ToCoach {
	/** Where the application is reached. */
	origin: string;
}
const RESET = 'password-reset';

/** Has a link sent that sets a new password. */
export const sendReset = ({ db, jobs }: Sender, asked: ResetAsked): Promise<void> =>
	jobs.send<ResetAsked>(db, { name: RESET }, asked);

interface ToCoach {
	coachId: CoachId;
}

/** A job that writes to a coach, as long as there is one. */
const letterJob = <Data extends ToCoach>(
	job: Pick<Job<Data>, 'name' | 'what'>,
	{ context, mail }: { context: Context; mail: Mail },
	letter: (data: Data) => Promise<{ subject: string; says: string; to?: string | undefined }>
): Job<Data> => ({
	...job,
	run: async (data) => {
		const coach = await coachById(context, data.coachId);
		if (!coach) return;
		const { subject, says, to } = await letter(data);
		await mail.send({ to: to ?? coach.email, subject, text: `Hello ${coach.name},\n\n${says}\n` });
	}
});

/** Sends a link that sets a new password. Its secret is made here, so that no queue keeps it. */
export const resetJob = (context: Context, mail: Mail): Job<ResetAsked> =>
	letterJob(
		{ name: RESET, what: 'Sends a link that sets a new password' },
		{ context, mail },
		async ({ coachId, origin }) => ({
			subject: 'Set a new password for Cadrex',
			says: `somebody asked for a new password for your Cadrex account. If it was you, open this link within 30 minutes:

${resetAddress(origin, await makeReset(context, coachId))}

It works once. If it wasn’t you, you can ignore this message: your password stays as it is.`
		})
	);

const CHANGES = {
	password: 'The password of your Cadrex account was changed.',
	'second-factor-on': 'Two-step sign-in was turned on for your Cadrex account.',
	'second-factor-off': 'Two-step sign-in was turned off for your Cadrex account.',
	'recovery-code': 'Somebody signed in to your Cadrex account with a recovery code.',
	address: 'The email address of your Cadrex account was changed. Letters go to the new one from now on.'
} as const;

interface Notice extends ToCoach {
	change: keyof typeof CHANGES;
	/** Where it goes when not to the account’s own address: the one before. */
	to?: string;
}
const NOTICE = 'account-notice';

/** Has a coach told that something about their account has changed. */
export const sendNotice = ({ db, jobs }: Sender, notice: Notice): Promise<void> =>
	jobs.send<Notice>(db, { name: NOTICE }, notice);

/** Tells a coach that something about their account has changed (OWASP ASVS 4.0.3, 2.2.3). */
export const accountNoticeJob = (context: Context, mail: Mail): Job<Notice> =>
	letterJob(
		{ name: NOTICE, what: 'Tells a coach that their account was changed' },
		{ context, mail },
		({ change, to }) =>
			Promise.resolve({
				to,
				subject: 'Your Cadrex account was changed',
				says: `${CHANGES[change]}

If it was you, there is nothing to do. If it wasn’t, set a new password with “Forgot your password?” on the sign-in page; that signs every device out.`
			})
	);
