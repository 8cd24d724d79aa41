import { invite, takeUp } from '$lib/server/challenge/coaches';
import type { Coach } from '$lib/server/auth/coach';
import { makeCoach, type TestContext, type World } from './context';

/** Another coach, with a part in the challenge of a world. */
export async function inviteHelper(
	context: TestContext,
	world: Pick<World, 'challenge' | 'coach'>,
	name: string,
	role: 'coach' | 'viewer'
): Promise<Coach> {
	const coach = await makeCoach(context, name);
	const raw = { forWhom: name, role };
	await takeUp(context, coach.id, await invite(context, world.challenge, world.coach.id, raw));
	return coach;
}
