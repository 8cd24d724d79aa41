const MINUTE = 60_000;
/** Minutes between one try and the next. Common practice, no source: RFC 5321 4.5.4.1 asks for half an hour and days; a message of a coach is stale by then. */
const PAUSES = [1, 5, 15, 60, 240, 720];

/** Tries of one letter, at most. */
export const MOST_TRIES = PAUSES.length + 1;

/** When a letter that did not get through is tried again, in epoch milliseconds; null: it is given up. @param tries made so far */
export function nextTry(tries: number, now: number): number | null {
	const pause = PAUSES[tries - 1];
	return pause === undefined ? null : now + pause * MINUTE;
}

/**
 * Whether what a mail server answered is final, by the first digit of its reply code (RFC 5321, 4.2.1): 5 is, 4 and no
 * answer at all are not.
 */
export const isFinal = (code: number | undefined): boolean => code !== undefined && code >= 500 && code < 600;
