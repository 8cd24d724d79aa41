import { fail } from '@sveltejs/kit';
import { MOST_FAULTS } from '$contracts/read';
import { Refusal } from '$lib/server/platform/errors';
import { orFail } from '$lib/server/web/http';
import { createExercises } from '$lib/server/exercise/exercises';
import { practiceOf } from '$lib/server/practice/practice';
import { plainOf } from '$lib/server/threads/tasks';
import { givenBack, givenIn, type Given } from '$lib/server/web/text-file';
import { coachIn } from '$lib/server/web/viewer';
import type { Actions } from './$types';

async function readExercises(locals: App.Locals, given: Given) {
	const { app, gone } = locals;
	const coach = coachIn(locals);
	const { own } = plainOf(await practiceOf(app.db, coach.id));
	return app.threads.run('exercises', { given, own }, coach.id, gone);
}

export const actions: Actions = {
	preview: async ({ request, locals }) => {
		try {
			const given = await givenIn(await request.formData(), 'list');
			const read = await readExercises(locals, given);
			return {
				list: givenBack(given, read.text),
				names: read.inputs.map(({ name }) => name),
				known: read.known.length,
				faults: read.faults.slice(0, MOST_FAULTS),
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
		const given = await givenIn(form, 'list');
		const list = givenBack(given);
		const read = await orFail(readExercises(locals, given), { list });
		if ('failed' in read) return read.failed;
		const { inputs, faults } = read.ok;
		if (faults.length > 0 && form.get('goodOnly') !== 'yes')
			return fail(400, {
				list,
				message: `There are ${faults.length} problems in the list. Nothing was imported.`
			});
		const made = await orFail(createExercises(locals.app, coach.id, inputs), { list });
		return 'failed' in made ? made.failed : { taken: made.ok };
	}
};
