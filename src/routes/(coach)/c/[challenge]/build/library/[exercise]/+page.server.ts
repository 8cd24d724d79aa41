import { error, redirect } from '@sveltejs/kit';
import { orError, orFail } from '$lib/server/edge/web/http';
import { exerciseFrom } from '$lib/server/edge/forms/exercise-form';
import { changeExercise, retireExercise } from '$lib/server/training/exercise/exercises';
import { libraryFor } from '$lib/server/records/library';
import { sessionsOf } from '$lib/server/training/session/sessions';
import { practiceOwner } from '$lib/server/edge/web/own';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

async function found({ params, locals }: Pick<RequestEvent, 'params' | 'locals'>) {
	const library = await libraryFor(locals.app.db, await practiceOwner({ params, locals }));
	const exercise = library.find(params.exercise);
	if (!exercise) error(404, 'There is no such exercise.');
	return { library, exercise };
}

export const load: PageServerLoad = async (event) => {
	const { library, exercise } = await found(event);
	const sessions = await sessionsOf(event.locals.app.db, await practiceOwner(event));
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
		const made = await orFail(
			changeExercise(event.locals.app, await practiceOwner(event), await ownId(event), typed),
			{
				typed
			}
		);
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
				await practiceOwner(event),
				await ownId(event),
				form.get('retired') === 'yes'
			)
		);
	}
};
