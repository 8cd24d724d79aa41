/** Coaches as they are kept. */
import type { Units } from '$core/kit';
import type { Context } from '../platform/context';
import { type CoachId } from '../platform/ids';

export interface Coach {
	id: CoachId;
	email: string;
	name: string;
	zone: string;
	/** Whether they look after the installation. */
	operator: boolean;
	/** In which they read loads. */
	units: Units;
}

export async function coachById({ db }: Pick<Context, 'db'>, id: CoachId): Promise<Coach | null> {
	const [found] = await db.query<Coach>(
		'select id, email, name, zone, operator, units from coach where id = $1',
		[id]
	);
	return found ?? null;
}

/** Epoch milliseconds of the last change of a password; null when it is the first one. */
export async function passwordChangedAt({ db }: Pick<Context, 'db'>, id: CoachId): Promise<number | null> {
	const [row] = await db.query<{ at: number | null }>(
		'select password_changed_at as at from coach where id = $1',
		[id]
	);
	return row?.at ?? null;
}

/** The coach of an address, however it is written; null when nobody has it. */
export async function coachByEmail({ db }: Pick<Context, 'db'>, email: string): Promise<Coach | null> {
	const [found] = await db.query<Coach>(
		'select id, email, name, zone, operator, units from coach where email = $1',
		[email.trim().toLowerCase()]
	);
	return found ?? null;
}

export async function anyCoach({ db }: Pick<Context, 'db'>): Promise<boolean> {
	return (await db.query('select 1 from coach limit 1')).length > 0;
}
