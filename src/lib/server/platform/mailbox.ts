/**
 * The other side of the mail that is written to files: what mail servers answer when something is in the way, so that it
 * can be seen without one. What is behind a + in an address says how its mailbox behaves (RFC 5233 for the +).
 */
import { LRUCache } from 'lru-cache';

/** A mail server's refusal, as nodemailer gives it. */
export class MailRefused extends Error {
	constructor(
		readonly responseCode: number,
		response: string
	) {
		super(`${responseCode} ${response}`);
	}
}

/** RFC 5321, 4.2.3, with the codes of RFC 3463 in front of the words. */
const NO_MAILBOX = () => new MailRefused(550, '5.1.1 There is no mailbox of this name');
const FULL = () => new MailRefused(452, '4.2.2 The mailbox is full');
const LATER = () => new MailRefused(451, '4.7.1 Greylisted, please try again later');

/** Tries of one message that a slow mailbox turns away. */
const SLOW_TRIES = 2;

/** Answers for one stand-in. It remembers how often each message was tried, of the last ten thousand. */
export class Mailboxes {
	private readonly tried = new LRUCache<string, number>({ max: 10_000 });

	/** @throws MailRefused when the mailbox does not take the message */
	take(address: string, key: string): void {
		const way = /\+([a-z]+)@/i.exec(address)?.[1]?.toLowerCase();
		if (way === 'bounces') throw NO_MAILBOX();
		if (way === 'full') throw FULL();
		if (way !== 'slow') return;
		const tries = (this.tried.get(key) ?? 0) + 1;
		this.tried.set(key, tries);
		if (tries <= SLOW_TRIES) throw LATER();
	}
}
