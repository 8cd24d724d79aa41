import { DAY_MS } from '../calendar';
/** Who has heard from a coach, and who has been praised: so that it is not always the same ones. */

/** What a coach did, as far as it says whether somebody heard from them. */
interface Contact {
	/** Epoch milliseconds. */
	at: number;
	way: string;
}

/** What nobody hears: put off, nothing needed, and what went to several at once. */
const UNHEARD: readonly string[] = ['later', 'settled', 'post'];

const since = (contacts: readonly Contact[], now: number, is: (way: string) => boolean): number | null => {
	const times = contacts.filter(({ way, at }) => at <= now && is(way)).map(({ at }) => at);
	return times.length > 0 ? Math.floor((now - Math.max(...times)) / DAY_MS) : null;
};

/** Days since a coach last turned to somebody by themselves; null: never. */
export const heardAgo = (contacts: readonly Contact[], now: number): number | null =>
	since(contacts, now, (way) => !UNHEARD.includes(way));

/** Days since somebody was last praised; null: never. */
export const praisedAgo = (contacts: readonly Contact[], now: number): number | null =>
	since(contacts, now, (way) => way === 'praised');

/** For how long praise is enough. Common practice, no source. */
const PRAISE_DAYS = 14;

/**
 * Whether somebody has earned a good word and had none: they did all of their last week, and nobody has praised them for a
 * fortnight.
 *
 * @param week what of the last 7 days was due, and what of it they did
 */
export function isOwedPraise(
	contacts: readonly Contact[],
	{ credit, due }: { credit: number; due: number },
	now: number
): boolean {
	const ago = praisedAgo(contacts, now);
	return due > 0 && credit >= due && (ago === null || ago >= PRAISE_DAYS);
}
