/** Work in a challenge: whether whoever asks may do it, and a record of it once it is done. */
import { error, type RequestEvent } from '@sveltejs/kit';
import { tooLittle } from '$core/people';
import { mayDo, workOf } from './roles';
import { recordDeed } from '../../training/challenge/deeds';
import type { OwnedChallenge } from '../../records/challenge';
import { ownChallenge } from './own';
import { coachIn } from './viewer';

type Asked = Pick<RequestEvent, 'locals' | 'params' | 'request' | 'route' | 'url'>;

export interface Work {
	name: string;
	challenge: OwnedChallenge;
}

/**
 * What a request is about to do in a challenge; null outside of one. Whoever has no part in it is told that there is no such
 * challenge, whoever may not do it that they may not.
 */
export async function workIn({ locals, params, request, route, url }: Asked): Promise<Work | null> {
	const name = workOf(route.id, request, url.searchParams);
	if (name === null || params.challenge === undefined) return null;
	const challenge = await ownChallenge({ locals, params: { challenge: params.challenge } });
	if (!mayDo(challenge.role, name)) error(403, tooLittle(challenge.role));
	return { name, challenge };
}

/** Whether an answer says that something was done. A form that was sent by script hears of a refusal in an answer of 200. */
async function wasDone(answer: Response): Promise<boolean> {
	if (answer.status >= 400) return false;
	if (!answer.headers.get('content-type')?.startsWith('application/json')) return true;
	const { type } = (await answer.clone().json()) as { type?: unknown };
	return type !== 'failure' && type !== 'error';
}

/** Puts work on record that changed something. */
export async function noteWork(
	{ locals, params, request }: Asked,
	{ name, challenge }: Work,
	answer: Response
): Promise<void> {
	if (request.method === 'GET' || request.method === 'HEAD' || locals.refused) return;
	if (!(await wasDone(answer))) return;
	await recordDeed(locals.app, {
		work: name,
		challengeId: challenge.id,
		coachId: coachIn(locals).id,
		enrolmentId: locals.about ?? null,
		session: params.session ?? null
	});
}
