import { askToJoin, wishFrom } from '$lib/server/people/join-wish';
import { joinPage } from '$lib/server/people/join';
import { hashToken } from '$lib/server/platform/ids';
import { orError, orFail } from '$lib/server/edge/web/http';
import { originFor } from '$lib/server/edge/web/origin';
import { networkIn } from '$lib/server/edge/web/security';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const found = joinPage(app, event.params.code);
	// Codes that lead nowhere are counted: nobody is to try them through.
	found.catch(() => undefined);
	const page = await found.catch(async (cause: unknown) => {
		await orError(app.limits.link.take(networkIn(event)), event.locals);
		throw cause;
	});
	return { page, possible: originFor(event) !== null, zones: Intl.supportedValuesOf('timeZone') };
};

/** The same answer whoever the address belongs to, after the same work. */
async function asked(event: RequestEvent, typed: Record<string, unknown>): Promise<string> {
	const { app } = event.locals;
	const origin = originFor(event);
	if (!origin) return '';
	const wish = wishFrom(typed);
	await app.limits.join.take(networkIn(event));
	await app.limits.join.take(hashToken(`join ${wish.email}`));
	await askToJoin(app, app.mail, event.params.code, wish, origin);
	return wish.email;
}

export const actions: Actions = {
	default: async (event) => {
		const typed = Object.fromEntries(await event.request.formData());
		const done = await orFail(asked(event, typed), { typed }, event.locals);
		return 'failed' in done ? done.failed : { sent: done.ok };
	}
};
