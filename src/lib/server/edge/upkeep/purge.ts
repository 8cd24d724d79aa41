import { DAY_MS } from '$core/calendar';
import type { Context } from '../../platform/context';
import type { Job } from '../../platform/jobs';
import { EVENTS_KEPT } from '../../account/auth/events';
import { DEEDS_KEPT } from '../../training/challenge/deeds';
import { instant } from '../../platform/db/database';

/**
 * Deletes the sign-ins of coaches and participants that ended by themselves, links that set a password or invite and were
 * not used, and security events and records of who did what that have been kept long enough.
 * @returns how many sign-ins
 */
export async function purgeSignIns({ db, clock }: Pick<Context, 'db' | 'clock'>): Promise<number> {
	const now = instant(clock.now());
	const coaches = await db.query('delete from coach_login where expires_at <= $1 returning id', [now]);
	const people = await db.query('delete from participant_login where expires_at <= $1 returning token_hash', [
		now
	]);
	await db.query('delete from password_reset where expires_at <= $1', [now]);
	await db.query('delete from invitation where expires_at <= $1', [now]);
	await db.query('delete from deed where at <= $1', [instant(clock.now() - DEEDS_KEPT * DAY_MS)]);
	await db.query('delete from security_event where at <= $1', [instant(clock.now() - EVENTS_KEPT * DAY_MS)]);
	return coaches.length + people.length;
}

export const purgeJob = (context: Pick<Context, 'db' | 'clock'>): Job<object> => ({
	name: 'purge-sign-ins',
	what: 'Deletes sign-ins and invitations that have ended, and old records',
	every: '17 3 * * *',
	run: async () => {
		await purgeSignIns(context);
	}
});
