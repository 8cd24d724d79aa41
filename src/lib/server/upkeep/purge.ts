import type { Context } from '../platform/context';
import type { Job } from '../platform/jobs';
import { instant } from '../db/database';

/** Deletes the sign-ins of coaches and participants that ended by themselves. @returns how many */
export async function purgeSignIns({ db, clock }: Pick<Context, 'db' | 'clock'>): Promise<number> {
	const now = instant(clock.now());
	const coaches = await db.query('delete from coach_login where expires_at <= $1 returning id', [now]);
	const people = await db.query('delete from participant_login where expires_at <= $1 returning token_hash', [
		now
	]);
	return coaches.length + people.length;
}

export const purgeJob = (context: Pick<Context, 'db' | 'clock'>): Job<object> => ({
	name: 'purge-sign-ins',
	what: 'Deletes sign-ins that have ended',
	every: '17 3 * * *',
	run: async () => {
		await purgeSignIns(context);
	}
});
