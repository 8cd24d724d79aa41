import { stopFromNotification } from '$lib/server/contact/post/reminders';
import { orJson } from '$lib/server/edge/web/http';
import { jsonOf } from '$lib/server/platform/json';
import type { RequestHandler } from './$types';

/** One tap on a notification: the id in it is what lets it stop the reminders of its device, signed in or not. */
export const POST: RequestHandler = ({ request, locals }) =>
	orJson(async () => {
		const { id } = (await jsonOf(request, 'A notification')) as { id?: unknown };
		await stopFromNotification(locals.app.db, String(id));
		return new Response(null, { status: 204 });
	});
