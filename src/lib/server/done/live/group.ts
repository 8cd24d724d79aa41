/** A group as it stands with a day at this very moment. */
import type { LiveGroup } from '$contracts/live';
import { rollIn } from '../attendance/of-request';
import type { OwnedChallenge } from '../../records/challenge';
import type { Context } from '../../platform/context';
import { presentIn } from './presence';

interface Locals {
	app: Pick<Context, 'db' | 'clock'>;
}

/** Where everybody stands with a day, by name; without a day of that number nobody. */
async function groupOn(locals: Locals, challenge: OwnedChallenge, day: number): Promise<LiveGroup['group']> {
	if (!(day >= 1 && day <= challenge.days)) return [];
	const { rows } = await rollIn(locals, challenge, locals.app.clock.now());
	return rows.flatMap(({ person: { id, name }, days }) => {
		const own = days[day - 1];
		return own?.theirs ? [{ id, name, state: own.state, credit: own.credit }] : [];
	});
}

/** @param day which; null: who is in a session is enough */
export async function liveOf(
	locals: Locals,
	challenge: OwnedChallenge,
	day: number | null
): Promise<LiveGroup> {
	const { db, clock } = locals.app;
	return {
		group: day === null ? [] : await groupOn(locals, challenge, day),
		present: await presentIn(db, challenge.id, clock.now())
	};
}
