import { object } from 'yup';
import { email } from '$contracts/values';
import { coachByEmail } from '$lib/server/records/coach';
import { sendReset } from '$lib/server/account/auth/letters';
import { hashToken } from '$lib/server/platform/ids';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { originFor } from '$lib/server/edge/web/origin';
import { networkIn, noteEvent } from '$lib/server/edge/web/security';
import { validate } from '$lib/server/platform/validate';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = (event) => ({ possible: originFor(event) !== null });

const schema = object({ email: email('your email address') });

async function asked(event: RequestEvent, typed: string): Promise<void> {
	const { app } = event.locals;
	const { email } = validate(schema, { email: typed });
	await app.limits.signIn.take(networkIn(event));
	await app.limits.reset.take(hashToken(email));
	const coach = await coachByEmail(app, email);
	const origin = originFor(event);
	await noteEvent(event, 'reset-asked', { coachId: coach?.id ?? null });
	if (coach && origin) await sendReset(app, { coachId: coach.id, origin });
}

export const actions: Actions = {
	default: async (event) => {
		const email = formText(await event.request.formData(), 'email');
		const done = await orFail(asked(event, email), { email }, event.locals);
		return 'failed' in done ? done.failed : { email, sent: true };
	}
};
