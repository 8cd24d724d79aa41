import { download } from '$lib/server/edge/web/download';
import { exercisesCsv } from '$lib/server/training/exercise/exercise-file';
import { libraryFor } from '$lib/server/records/library';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async (event) => {
	const { coachId } = await ownChallenge(event);
	return download(exercisesCsv(await libraryFor(event.locals.app.db, coachId)), 'exercises.csv', 'text/csv');
};
