/** Who has written and waits for an answer. */

/** A message of either side. */
export interface Written {
	byCoach: boolean;
	/** Epoch milliseconds. */
	at: number;
	/** Whether it went to several at once. */
	toSeveral: boolean;
	/** The day of the result that it is a line about; null: about none. */
	aboutDay: number | null;
	/** Whether a coach sent a draft of ours as it was proposed. */
	isDraft?: boolean;
}

/** Something that a coach did about somebody, as it is on record. */
export interface Dealt {
	at: number;
	way: string;
	/** Until when it is put off; null: it is not. */
	until: number | null;
}

/**
 * What answers without a message: the two spoke, or nothing is needed; and what is put off. That something was written
 * is said by the messages themselves, and praise or an easier session says nothing to a question.
 */
const IN_OTHER_WAYS: readonly string[] = ['called', 'talked', 'settled', 'later'];

/**
 * Whether a message of a coach answers what the other side wrote: one to several does not, nor does a line about a result,
 * nor a draft that nobody changed.
 */
const answers = ({ byCoach, toSeveral, aboutDay, isDraft }: Written): boolean =>
	byCoach && !toSeveral && aboutDay === null && isDraft !== true;

/**
 * What they wrote last, where nobody has answered it, whether it has been read or not. Whoever was put off waits again from
 * then.
 *
 * @param thread the older first
 * @param dealt what was done about them, in any order
 * @returns null: nothing waits
 */
export function lastUnanswered<Message extends Written>(
	thread: readonly Message[],
	dealt: readonly Dealt[],
	now: number
): Message | null {
	const last = thread.findLast((message) => !message.byCoach || answers(message));
	if (!last || last.byCoach) return null;
	const settled = dealt.some(
		({ at, way, until }) =>
			at >= last.at && at <= now && IN_OTHER_WAYS.includes(way) && (until === null || now < until)
	);
	return settled ? null : last;
}
