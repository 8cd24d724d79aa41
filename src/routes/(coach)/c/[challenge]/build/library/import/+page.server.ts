import { fail } from '@sveltejs/kit';
import { MOST_FAULTS } from '$contracts/read';
import { Refusal } from '$lib/server/platform/errors';
import { orFail } from '$lib/server/edge/web/http';
import { createExercises } from '$lib/server/training/exercise/exercises';
import { practiceOf } from '$lib/server/records/practice';
import { plainOf } from '$core/practice';
import { givenBack, givenIn } from '$lib/server/edge/web/given';
import { type Given } from '$lib/server/platform/text-file';
import { practiceOwner } from '$lib/server/edge/web/own';
import { visitorKey } from '$lib/server/edge/web/viewer';
import type { Actions, RequestEvent } from './$types';

async function readExercises(event: RequestEvent, given: Given) {
	const { app, gone } = event.locals;
	const { own } = plainOf(await practiceOf(app.db, await practiceOwner(event)));
	return app.threads.run('exercises', { given, own }, visitorKey(event.locals), gone);
}

export const actions: Actions = {
	preview: async (event) => {
		try {
			const given = await givenIn(await event.request.formData(), 'list');
			const read = await readExercises(event, given);
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
	accept: async (event) => {
		const form = await event.request.formData();
		const given = await givenIn(form, 'list');
		const list = givenBack(given);
		const read = await orFail(readExercises(event, given), { list });
		if ('failed' in read) return read.failed;
		const { inputs, faults } = read.ok;
		if (faults.length > 0 && form.get('goodOnly') !== 'yes')
			return fail(400, {
				list,
				message: `There are ${faults.length} problems in the list. Nothing was imported.`
			});
		const made = await orFail(createExercises(event.locals.app, await practiceOwner(event), inputs), {
			list
		});
		return 'failed' in made ? made.failed : { taken: made.ok };
	}
};
