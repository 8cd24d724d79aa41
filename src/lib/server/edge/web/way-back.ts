/** Where somebody may be sent on to by an address that says so itself: pages of ours, and nowhere else. */
const PAGES = /^\/(challenges|c|account|upkeep|me)(\/|$)/;

/**
 * The page of ours that a text names, or `otherwise`. It is read as a browser reads it, which drops tabs and line ends
 * and takes `\` for `/`: `/<tab>/elsewhere.example` would lead away.
 */
export function wayBack(text: unknown, origin: string, otherwise: string): string {
	if (typeof text !== 'string' || !text.startsWith('/') || !URL.canParse(text, origin)) return otherwise;
	const { origin: found, pathname, search } = new URL(text, origin);
	return found === origin && PAGES.test(pathname) ? pathname + search : otherwise;
}
