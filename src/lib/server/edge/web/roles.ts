import type { Role } from '$core/people';
import type { SignedInCoach } from '../../account/auth/login';
import type { Person } from '../../records/person';
import type { Visitor } from './visitor';

export type Answer = 'enter' | 'sign in' | 'not found';

/** Whose part of the application a route is in, as SvelteKit names it with its groups; null: everybody's. */
export function ownerOf(routeId: string | null): 'coach' | 'participant' | null {
	if (/^\/(\(coach\)|api\/coach)/.test(routeId ?? '')) return 'coach';
	if (/^\/(\(me\)|api\/me)/.test(routeId ?? '')) return 'participant';
	return null;
}

/**
 * Whether a visitor may enter a route: the one place that says so.
 *
 * A participant is told that a coach's pages do not exist, and the other way round; only somebody who is
 * neither is sent to the sign-in.
 *
 * @param request who asks; the coach or the person that is let in is set in it
 */
export async function mayEnter(
	routeId: string | null,
	request: { visitor: Visitor; coach: SignedInCoach | null; person: Person | null }
): Promise<Answer> {
	const { visitor } = request;
	switch (ownerOf(routeId)) {
		case null:
			return 'enter';
		case 'coach':
			request.coach = await visitor.coach();
			if (request.coach) return 'enter';
			return (await visitor.person()) ? 'not found' : 'sign in';
		case 'participant':
			request.person = await visitor.person();
			if (request.person) return 'enter';
			return (await visitor.coach()) ? 'not found' : 'sign in';
	}
}

const CHALLENGE = '/(coach)/c/[challenge]';

/**
 * A piece of work in a challenge, as one word: `/roll` to look, `/roll?excuse` for an action of a page, `PUT /intake` for
 * what an endpoint takes. Null outside a challenge.
 */
export function workOf(
	routeId: string | null,
	{ method }: Pick<Request, 'method'>,
	search: URLSearchParams
): string | null {
	if (!routeId?.startsWith(`${CHALLENGE}/`)) return null;
	const path = routeId.slice(CHALLENGE.length);
	if (method === 'GET' || method === 'HEAD') return path;
	const action = [...search.keys()].find((key) => key.startsWith('/'))?.slice(1);
	return action ? `${path}?${action}` : `${method} ${path}`;
}

/** All that a viewer does is look at these: neither what people say about their health is on them, nor what follows from it. */
const VIEWERS = new Set(['/roll', '/plan/sheet', '/plan/sheet.pdf', '/people/group']);
/** What the owner alone decides. */
const OWNERS = new Set([
	// A link that is shown lets whoever sees it into somebody's account.
	'/people/[person]?link',
	'/settings/coaches?invite',
	'/settings/coaches?withdraw',
	'/settings/coaches?role',
	'/settings/coaches?remove',
	'/settings?house',
	'/reach/rules?save',
	'/settings?health'
]);

/** Whether somebody with a role may do a piece of work of `workOf`. What nobody has thought of is closed to viewers. */
export const mayDo = (role: Role, work: string): boolean =>
	role === 'owner' || (role === 'coach' ? !OWNERS.has(work) : VIEWERS.has(work));
