/** Which pages a device keeps, and under which name. */

/** Today, a day, the session that is led, the check-in, the shelf: what somebody needs where there is no connection. */
const REFRESHED = /^\/me(?:\/day\/\d+(?:\/(?:run|check-in))?|\/shelf)?(?:\/__data\.json)?$/;
/** The questions before the start, as long as nothing was answered: answers are kept by nobody but the server. */
const QUESTIONS = /^\/me\/intake(?:\/__data\.json)?$/;

/** Whether a page may be kept. */
export const isKept = (path: string): boolean => REFRESHED.test(path) || QUESTIONS.test(path);
/** Whether each look at a page is what is kept of it from then on. */
export const isRefreshed = (path: string): boolean => REFRESHED.test(path);

/** Which parts of its data a page asks for anew, digit by digit. */
const ASKED = 'x-sveltekit-invalidated';

/** Whether an answer is all of a page: of its data alone a part may have been asked for. */
export const isWhole = (url: URL): boolean =>
	!url.searchParams.has(ASKED) || !url.searchParams.get(ASKED)?.includes('0');

/** Whether a page is about a session that is done once more: another than that of its day. */
const isAgain = ({ searchParams }: URL): boolean =>
	searchParams.has('again') || searchParams.get('run') === 'again';

/** The address under which a page is kept: what stands behind its path is about the moment, but for a session done again. */
export const keptAs = (url: URL): string => `${url.origin}${url.pathname}${isAgain(url) ? '?again' : ''}`;

/**
 * Paths of what a page is made of, as its HTML and its `Link` header (RFC 8288) name them; those of this origin.
 * @param page the address of the page, which they are relative to
 */
export function linkedIn(html: string, header: string | null, page: string): string[] {
	const { origin } = new URL(page);
	const named = [
		...html.matchAll(/(?:href|src)="([^"]+)"/g),
		...html.matchAll(/import\("([^"]+)"\)/g),
		...(header ?? '').matchAll(/<([^>]+)>/g)
	];
	const paths = new Set<string>();
	for (const [, link = ''] of named) {
		const url = URL.canParse(link, page) ? new URL(link, page) : null;
		if (url?.origin === origin) paths.add(url.pathname);
	}
	return [...paths];
}
