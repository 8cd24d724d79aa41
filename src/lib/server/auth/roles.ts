import type { SignedInCoach } from './login';
import type { Person } from './link';
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
