import { fail } from '@sveltejs/kit';
import { Refusal } from '$lib/server/platform/errors';
import { formText } from '$lib/server/web/form-text';
import { orFail } from '$lib/server/web/http';
import { readExercisesCsv } from '$lib/server/exercise/exercise-file';
import { createExercises, libraryFor } from '$lib/server/exercise/exercises';
import { textOf } from '$lib/server/web/text-file';
import { coachIn } from '$lib/server/web/viewer';
import type { Actions } from './$types';

/** Faults shown; the count says how many there are. */
const SHOWN = 200;

export const actions: Actions = {
	preview: async ({ request, locals }) => {
		try {
			const { text } = await textOf(await request.formData(), 'list');
			const read = readExercisesCsv(text, await libraryFor(locals.app.db, coachIn(locals).id));
			return {
				list: text.slice(0, 2_000_000),
				names: read.inputs.map(({ name }) => name),
				known: read.known.length,
				faults: read.faults.slice(0, SHOWN),
				faultCount: read.faults.length
			};
		} catch (refusal) {
			if (!(refusal instanceof Refusal)) throw refusal;
			return fail(refusal.status, { message: refusal.message });
		}
	},
	accept: async ({ request, locals }) => {
		const form = await request.formData();
		const coach = coachIn(locals);
		const list = formText(form, 'list');
		const { inputs, faults } = readExercisesCsv(list, await libraryFor(locals.app.db, coach.id));
		if (faults.length > 0 && form.get('goodOnly') !== 'yes')
			return fail(400, { list, message: `${faults.length} lines have faults. Nothing was taken in.` });
		const made = await orFail(createExercises(locals.app, coach.id, inputs), { list });
		return 'failed' in made ? made.failed : { taken: made.ok };
	}
};
