import { version } from '../../../package.json';
import { schemaVersion } from '$lib/server/platform/db/migrate';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => {
	const { db, room } = locals.app;
	const degraded = room?.isLow()
		? { degraded: 'The disk is full: people can read, and nothing can be saved.' }
		: {};
	try {
		return Response.json({
			ok: true,
			version,
			database: db.kind,
			schema: await schemaVersion(db),
			...degraded
		});
	} catch (cause) {
		locals.log.error({ err: cause }, 'the database does not answer');
		return Response.json(
			{ ok: false, version, database: db.kind, message: 'The database does not answer.' },
			{ status: 503 }
		);
	}
};
