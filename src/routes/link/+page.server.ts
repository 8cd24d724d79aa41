import { object } from 'yup';
import { email } from '$contracts/values';
import { sendLostLink } from '$lib/server/people/lost-link';
import { hashToken } from '$lib/server/platform/ids';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { originFor } from '$lib/server/edge/web/origin';
import { networkIn } from '$lib/server/edge/web/security';
import { validate } from '$lib/server/platform/validate';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

const schema = object({ email: email('your email address') });

export const load: PageServerLoad = (event) => ({ possible: originFor(event) !== null });

/** The same answer whether a person has the address or not, and after the same work: the rest is done by a job. */
async function asked(event: RequestEvent, typed: string): Promise<void> {
	const { app } = event.locals;
	const { email } = validate(schema, { email: typed });
	await app.limits.link.take(networkIn(event));
	await app.limits.reset.take(hashToken(`link ${email}`));
	const origin = originFor(event);
	if (origin) await sendLostLink(app, { email, origin });
}

export const actions: Actions = {
	default: async (event) => {
		const email = formText(await event.request.formData(), 'email');
		const done = await orFail(asked(event, email), { email }, event.locals);
		return 'failed' in done ? done.failed : { email, sent: true };
	}
};
