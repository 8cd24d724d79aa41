import type { Cookies } from '@sveltejs/kit';

const DAY = 24 * 60 * 60;
/** The cookies that say who somebody is, with the seconds that each is kept. */
const AGES = { coach: 30 * DAY, person: 120 * DAY };
type Who = keyof typeof AGES;

/** Where the connection is https the name itself says that no other host and no plain page has set it (RFC 6265bis, 4.1.3.2). */
const nameOf = (url: URL, who: Who): string =>
	url.protocol === 'https:' ? `__Host-cadrex_${who}` : `cadrex_${who}`;

/** Sets a token out of reach of scripts; over plain HTTP only where the address itself is plain. */
export function keepToken(cookies: Cookies, url: URL, who: Who, token: string): void {
	cookies.set(nameOf(url, who), token, {
		path: '/',
		httpOnly: true,
		sameSite: 'lax',
		secure: url.protocol === 'https:',
		maxAge: AGES[who]
	});
}

export const tokenIn = (cookies: Cookies, url: URL, who: Who): string | undefined =>
	cookies.get(nameOf(url, who));

export const dropToken = (cookies: Cookies, url: URL, who: Who): void =>
	cookies.delete(nameOf(url, who), { path: '/', secure: url.protocol === 'https:' });
