/** What whoever runs an installation does for a coach who can’t get in any more. */
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import { makeReset } from './account';
import { coachByEmail, type Coach } from '../../records/coach';
import { recordEvent } from './events';
import { resetAddress } from './letters';
import { turnOffSecondFactor } from './second-factor';

async function coachNamed(context: Context, email: string): Promise<Coach> {
	const coach = await coachByEmail(context, email);
	if (!coach) throw new Refusal(404, `No coach has the address ${email}.`);
	return coach;
}

/**
 * Makes a link that sets a new password, once, within 30 minutes.
 * @param origin where the application is reached @throws Refusal 404 for an address that is nobody’s
 */
export async function resetLinkFor(context: Context, email: string, origin: string): Promise<string> {
	const { id } = await coachNamed(context, email);
	await recordEvent(context, { kind: 'reset-asked', coachId: id });
	return resetAddress(origin, await makeReset(context, id));
}

/** Turns two-step sign-in off for a coach who has lost both phone and codes. @throws Refusal 404 */
export async function endSecondFactorFor(context: Context, email: string): Promise<void> {
	const { id } = await coachNamed(context, email);
	await turnOffSecondFactor(context, id);
	await recordEvent(context, { kind: 'second-factor-off', coachId: id });
}
