import { error, redirect } from '@sveltejs/kit';
import { orError, orFail } from '$lib/server/web/http';
import { exerciseFrom } from '$lib/server/exercise/exercise-form';
import { changeExercise, libraryFor, retireExercise } from '$lib/server/exercise/exercises';
import { sessionsOf } from '$lib/server/session/sessions';
import { coachIn } from '$lib/server/web/viewer';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

async function found({ params, locals }: Pick<RequestEvent, 'params' | 'locals'>) {
	const library = await libraryFor(locals.app.db, coachIn(locals).id);
	const exercise = library.find(params.exercise);
	if (!exercise) error(404, 'There is no such exercise.');
	return { library, exercise };
}

export const load: PageServerLoad = async (event) => {
	const { library, exercise } = await found(event);
	const sessions = await sessionsOf(event.locals.app.db, coachIn(event.locals).id);
	const has = sessions.filter(({ body }) =>
		body.blocks.some((block) =>
			block.parts.some((part) => library.find(part.exercise)?.name === exercise.name)
		)
	);
	return { exercise, sessions: has.map(({ id, name }) => ({ id, name })) };
};

/** The id of one of the coach's own; the library's cannot be changed. */
async function ownId(event: RequestEvent): Promise<string> {
	const { exercise } = await found(event);
	if (!exercise.ownId) error(403, 'The library that ships cannot be changed: make one of your own from it.');
	return exercise.ownId;
}

export const actions: Actions = {
	change: async (event) => {
		const typed = exerciseFrom(await event.request.formData());
		const coach = coachIn(event.locals);
		const made = await orFail(changeExercise(event.locals.app, coach.id, await ownId(event), typed), {
			typed
		});
		if ('failed' in made) return made.failed;
		redirect(
			303,
			`/c/${event.params.challenge}/build/library/${encodeURIComponent(String(typed.name).trim())}`
		);
	},
	retire: async (event) => {
		const form = await event.request.formData();
		await orError(
			retireExercise(
				event.locals.app,
				coachIn(event.locals).id,
				await ownId(event),
				form.get('retired') === 'yes'
			)
		);
	}
};
