import { download } from '$lib/server/download';
import { exercisesCsv } from '$lib/server/library/exercise-file';
import { libraryFor } from '$lib/server/library/exercises';
import { coachIn } from '$lib/server/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) =>
	download(exercisesCsv(await libraryFor(locals.app.db, coachIn(locals).id)), 'exercises.csv', 'text/csv');
