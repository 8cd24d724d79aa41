/** Who may enter which part of the application: the one place that says so. */
export interface Viewer {
	coach: boolean;
	participant: boolean;
}

export type Answer = 'enter' | 'sign in' | 'not found';

/**
 * Whether a viewer may enter a route.
 *
 * A participant is told that a coach's pages do not exist, and the other way round; only somebody who is
 * neither is sent to the sign-in.
 *
 * @param routeId as SvelteKit names it, with its groups: `/(coach)/c/[challenge]/roll`
 */
export function mayEnter(routeId: string | null, viewer: Viewer): Answer {
	if (routeId === null) return 'enter';
	if (routeId.startsWith('/(coach)') || routeId.startsWith('/api/coach')) {
		if (viewer.coach) return 'enter';
		return viewer.participant ? 'not found' : 'sign in';
	}
	if (routeId.startsWith('/(me)') || routeId.startsWith('/api/me')) {
		if (viewer.participant) return 'enter';
		return viewer.coach ? 'not found' : 'sign in';
	}
	return 'enter';
}
