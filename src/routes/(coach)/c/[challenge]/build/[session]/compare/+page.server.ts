import { compareSessions } from '$core/analysis';
import { orError } from '$lib/server/edge/web/http';
import { practiceOf } from '$lib/server/records/practice';
import { versionOf, versionsOf } from '$lib/server/training/session/sessions';
import { numberOf } from '$lib/server/platform/errors';
import { practiceOwner } from '$lib/server/edge/web/own';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const { db } = locals.app;
	const owner = await practiceOwner({ params, locals });
	const version = (text: string | null) =>
		orError((async () => versionOf(db, owner, params.session, numberOf(text ?? '', 'version')))());
	const before = await version(url.searchParams.get('from'));
	const after = await version(url.searchParams.get('to'));
	return {
		before: { version: before.version, savedAt: before.savedAt },
		after: { version: after.version, savedAt: after.savedAt },
		session: { id: after.id, name: after.name },
		versions: (await versionsOf(db, after.id)).map(({ version }) => version),
		comparison: compareSessions(before.body, after.body, await practiceOf(db, owner))
	};
};
