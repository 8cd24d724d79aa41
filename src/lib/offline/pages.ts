/** Which pages a device keeps, and under which name. */

/** Today, a day, the session that is led, the check-in, the shelf, a warning sign: what is needed without a connection. */
const REFRESHED = /^\/me(?:\/day\/\d+(?:\/(?:run|check-in))?|\/shelf|\/stop)?(?:\/__data\.json)?$/;
/** The questions before the start, as long as nothing was answered: answers are kept by nobody but the server. */
const QUESTIONS = /^\/me\/intake(?:\/__data\.json)?$/;

/** Whether a page may be kept. */
export const isKept = (path: string): boolean => REFRESHED.test(path) || QUESTIONS.test(path);
/** Whether each look at a page is what is kept of it from then on. */
export const isRefreshed = (path: string): boolean => REFRESHED.test(path);

/** Query parameter that marks the parts of a page's data to reload, one digit per part. */
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

/** Titles of stored pages by path. */
const NAMES: readonly (readonly [RegExp, (day: string) => string])[] = [
	[/^\/me$/, () => 'Today'],
	[/^\/me\/day\/(\d+)\/run$/, (day) => `Session of day ${day}`],
	[/^\/me\/day\/(\d+)\/check-in$/, (day) => `Check-in for day ${day}`],
	[/^\/me\/day\/(\d+)$/, (day) => `Day ${day}`],
	[/^\/me\/shelf$/, () => 'Extra sessions'],
	[/^\/me\/stop$/, () => 'I had to stop'],
	[/^\/me\/intake$/, () => 'Questions before you start']
];

export interface KeptPage {
	path: string;
	name: string;
}

/** The pages among kept addresses that a person can open without a connection, today first. */
export function keptPages(addresses: readonly string[]): KeptPage[] {
	const found = addresses.flatMap((address): (KeptPage & { rank: number })[] => {
		const { pathname, search } = new URL(address);
		if (search) return [];
		return NAMES.flatMap(([path, name], rank) => {
			const match = path.exec(pathname);
			return match ? [{ path: pathname, name: name(match[1] ?? ''), rank }] : [];
		});
	});
	found.sort((a, b) => a.rank - b.rank || (a.path < b.path ? -1 : 1));
	return found.map(({ path, name }) => ({ path, name }));
}

/** Key in session storage: time of the last automatic reload, epoch milliseconds. */
const RELOADED = 'cadrex.reloaded';
/** Minimum time between automatic reloads, in milliseconds; prevents a loop when a stored page lacks one of its scripts. */
const RELOAD_INTERVAL = 30_000;

/**
 * Whether the page may reload itself now; records the reload if so.
 * @param storage of this window
 * @param now epoch milliseconds
 */
export function mayReload(storage: Pick<Storage, 'getItem' | 'setItem'>, now: number): boolean {
	if (now - Number(storage.getItem(RELOADED) ?? -Infinity) < RELOAD_INTERVAL) return false;
	storage.setItem(RELOADED, String(now));
	return true;
}
