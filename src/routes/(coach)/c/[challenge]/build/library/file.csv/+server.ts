import { download } from '$lib/server/web/download';
import { exercisesCsv } from '$lib/server/exercise/exercise-file';
import { libraryFor } from '$lib/server/exercise/exercises';
import { ownChallenge } from '$lib/server/web/own';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async (event) => {
	const { coachId } = await ownChallenge(event);
	return download(exercisesCsv(await libraryFor(event.locals.app.db, coachId)), 'exercises.csv', 'text/csv');
};
