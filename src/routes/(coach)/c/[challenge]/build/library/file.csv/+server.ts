import { download } from '$lib/server/web/download';
import { exercisesCsv } from '$lib/server/exercise/exercise-file';
import { libraryFor } from '$lib/server/exercise/exercises';
import { coachIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) =>
	download(exercisesCsv(await libraryFor(locals.app.db, coachIn(locals).id)), 'exercises.csv', 'text/csv');
