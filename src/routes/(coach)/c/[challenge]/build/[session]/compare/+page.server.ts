import { compareSessions } from '$core/analysis';
import { orError } from '$lib/server/web/http';
import { practiceOf } from '$lib/server/practice/practice';
import { versionOf, versionsOf } from '$lib/server/session/sessions';
import { practiceOwner } from '$lib/server/web/own';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const { db } = locals.app;
	const owner = await practiceOwner({ params, locals });
	const [from, to] = ['from', 'to'].map((name) => Number(url.searchParams.get(name)));
	const before = await orError(versionOf(db, owner, params.session, from ?? 0));
	const after = await orError(versionOf(db, owner, params.session, to ?? 0));
	return {
		before: { version: before.version, savedAt: before.savedAt },
		after: { version: after.version, savedAt: after.savedAt },
		session: { id: after.id, name: after.name },
		versions: (await versionsOf(db, after.id)).map(({ version }) => version),
		comparison: compareSessions(before.body, after.body, await practiceOf(db, owner))
	};
};
