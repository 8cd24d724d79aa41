import type { Cookies } from '@sveltejs/kit';

export const COACH_COOKIE = 'cadrex_coach';
export const PERSON_COOKIE = 'cadrex_person';

const DAY = 24 * 60 * 60;
const AGES: Record<string, number> = { [COACH_COOKIE]: 30 * DAY, [PERSON_COOKIE]: 120 * DAY };

/** Sets a token out of reach of scripts; over plain HTTP only where the address itself is plain. */
export function keepToken(cookies: Cookies, url: URL, name: string, token: string): void {
	cookies.set(name, token, {
		path: '/',
		httpOnly: true,
		sameSite: 'lax',
		secure: url.protocol === 'https:',
		maxAge: AGES[name]
	});
}
