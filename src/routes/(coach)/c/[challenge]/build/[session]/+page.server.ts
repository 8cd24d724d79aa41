import { fail, redirect } from '@sveltejs/kit';
import { jsonOf } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { groupOf } from '$lib/server/records/enrolments';
import { planRules } from '$lib/server/changes/prescribed';
import {
	copySession,
	createSession,
	saveSession,
	sessionOf,
	usedOn,
	versionsOf
} from '$lib/server/training/session/sessions';
import { practiceOwner } from '$lib/server/edge/web/own';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, parent, locals }) => {
	const { challenge } = await parent();
	const { db } = locals.app;
	const enrolled = await groupOf(db, challenge.id);
	const group = enrolled.people > 0 ? enrolled : null;
	const { rules } = await planRules(db, challenge.id);
	const { audience } = rules;
	if (params.session === 'new') return { session: null, versions: [], used: [], group, audience };
	const session = await orError(sessionOf(db, challenge.coachId, params.session));
	return {
		session,
		versions: await versionsOf(db, session.id),
		used: await usedOn(db, challenge.coachId, session.id),
		group,
		audience
	};
};

export const actions: Actions = {
	save: async ({ request, params, locals }) => {
		const form = await request.formData();
		const owner = await practiceOwner({ params, locals });
		const raw = { name: form.get('name'), body: jsonOf(form, 'body'), tags: jsonOf(form, 'tags') ?? [] };
		if (raw.body === null)
			return fail(400, { message: 'The session did not arrive whole. Save again.', faults: [] });
		if (params.session === 'new') {
			const made = await orFail(createSession(locals.app, owner, raw));
			if ('failed' in made) return made.failed;
			redirect(303, `/c/${params.challenge}/build/${made.ok.id}`);
		}
		const saved = await orFail(
			saveSession(locals.app, owner, params.session, { ...raw, basedOn: Number(form.get('basedOn')) })
		);
		return 'failed' in saved ? saved.failed : { version: saved.ok.version, moved: saved.ok.days };
	},
	copy: async ({ params, locals }) => {
		const made = await orError(
			copySession(locals.app, await practiceOwner({ params, locals }), params.session)
		);
		redirect(303, `/c/${params.challenge}/build/${made.id}`);
	}
};
