import { readIn } from '$core/kit';
import { matrixOf } from '$lib/server/training/fit/fit';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const { day, rail, asOf } = await event.parent();
	const challenge = await ownChallenge(event);
	return {
		fitDay: day ?? 1,
		matrix: readIn(await matrixOf(app, challenge, day ?? 1, asOf), coachIn(event.locals).units),
		/** Days with a session to look at, beside this one. */
		training: rail.filter(({ kind }) => kind !== 'rest').map((one) => one.day)
	};
};
