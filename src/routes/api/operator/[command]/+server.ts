import { error } from '@sveltejs/kit';
import { object } from 'yup';
import { email } from '$contracts/values';
import { registerCoach } from '$lib/server/account/auth/coach';
import { recordEvent } from '$lib/server/account/auth/events';
import { endSecondFactorFor, resetLinkFor } from '$lib/server/account/auth/operator';
import type { NewPassword } from '$lib/server/account/auth/strength';
import { Refusal } from '$lib/server/platform/errors';
import { CannotStart } from '$lib/server/platform/cannot-start';
import { orJson } from '$lib/server/edge/web/http';
import { validate } from '$lib/server/platform/validate';
import type { RequestEvent, RequestHandler } from './$types';

const account = object({ email: email('an email address is needed') });

/** What a command on this machine may ask of the running application, which has the database. */
const COMMANDS = new Map<string, (event: RequestEvent, body: unknown) => Promise<object>>([
	['backup', ({ locals }) => locals.app.backUp()],
	[
		'create-coach',
		async ({ locals: { app } }, body) => {
			const judge = (wish: NewPassword) => app.threads.run('password', wish, 'operator');
			const { id, name, email } = await registerCoach(app, body, judge);
			await recordEvent(app, { kind: 'coach-made', coachId: id });
			return { name, email };
		}
	],
	[
		'reset-password',
		async ({ locals: { app }, url }, body) => {
			const { email } = validate(account, body);
			return { link: await resetLinkFor(app, email, app.config.origin ?? url.origin) };
		}
	],
	[
		'second-factor-off',
		async ({ locals: { app } }, body) => {
			await endSecondFactorFor(app, validate(account, body).email);
			return {};
		}
	]
]);

/** Lets in a command that knows the token of the data directory; there is nothing here for anybody else. */
export const POST: RequestHandler = async (event) => {
	const { request, locals, params } = event;
	const command = COMMANDS.get(params.command);
	if (!command || !locals.app.control?.lets(request.headers.get('authorization')))
		error(404, 'There is no such page here.');
	return orJson(async () => {
		try {
			const body: unknown = await request.json().catch(() => null);
			return Response.json(await command(event, body));
		} catch (cause) {
			if (!(cause instanceof CannotStart)) throw cause;
			throw new Refusal(503, cause.message);
		}
	});
};
