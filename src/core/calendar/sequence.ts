/** What an event of a calendar was when it was last given out. */
export interface GivenOut {
	/** RFC 5545, 3.8.7.4: 0 at first, one more with every change. */
	sequence: number;
	/** Epoch milliseconds at which it became what it is. */
	at: number;
	/** What it is, in short; null once it is withdrawn. */
	mark: string | null;
}

/** By the key of an event. */
export type Ledger = Readonly<Record<string, GivenOut>>;

/**
 * Numbers the events of a calendar against what was given out before: one that is as it was keeps its sequence, one that
 * changed, went away or came back has the next.
 *
 * @param marks by key, what each event is now
 * @returns the same ledger where nothing changed
 */
export function numbered(before: Ledger, marks: ReadonlyMap<string, string>, now: number): Ledger {
	const changed: Record<string, GivenOut> = {};
	for (const [key, mark] of marks) {
		const known = before[key];
		if (known?.mark !== mark) changed[key] = { sequence: known ? known.sequence + 1 : 0, at: now, mark };
	}
	for (const [key, known] of Object.entries(before))
		if (known.mark !== null && !marks.has(key))
			changed[key] = { sequence: known.sequence + 1, at: now, mark: null };
	return Object.keys(changed).length > 0 ? { ...before, ...changed } : before;
}
