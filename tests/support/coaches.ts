import { invite, takeUp } from '$lib/server/training/challenge/coaches';
import type { Coach } from '$lib/server/records/coach';
import { makeCoach, type TestContext, type World } from './context';

/** Another coach, with a part in the challenge of a world. */
export async function inviteHelper(
	context: TestContext,
	world: Pick<World, 'challenge' | 'coach'>,
	name: string,
	role: 'coach' | 'viewer'
): Promise<Coach> {
	const coach = await makeCoach(context, name);
	await giveRole(context, world, coach, role);
	return coach;
}

/** Gives a coach who is there already a part in another challenge. */
export async function giveRole(
	context: TestContext,
	{ challenge, coach: owner }: Pick<World, 'challenge' | 'coach'>,
	coach: Coach,
	role: 'coach' | 'viewer'
): Promise<void> {
	const raw = { forWhom: coach.name, role };
	await takeUp(context, coach.id, await invite(context, challenge, owner.id, raw));
}
