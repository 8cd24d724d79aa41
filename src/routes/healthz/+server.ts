import { version } from '../../../package.json';
import { schemaVersion } from '$lib/server/db/migrate';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => {
	const { db } = locals.app;
	try {
		return Response.json({ ok: true, version, database: db.kind, schema: await schemaVersion(db) });
	} catch (cause) {
		locals.log.error({ err: cause }, 'the database does not answer');
		return Response.json(
			{ ok: false, version, database: db.kind, message: 'The database does not answer.' },
			{ status: 503 }
		);
	}
};
