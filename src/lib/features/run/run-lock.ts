/** One window of a device leads a session: two of them would each keep what the other does not know. */

/** The part of the Web Locks API that is used. */
export interface Locks {
	request(
		name: string,
		options: { ifAvailable?: boolean; steal?: boolean },
		hold: (lock: unknown) => Promise<void>
	): Promise<unknown>;
}

/** Lets another window have it. */
export type Release = () => void;

const deviceLocks = (): Locks | null =>
	typeof navigator !== 'undefined' && 'locks' in navigator ? navigator.locks : null;

/**
 * Takes a session for this window.
 *
 * @param take also where another window has it, which is told that it lost it
 * @param lost is called when another window takes it
 * @returns null where another window has it; where the browser can not tell, it is ours
 */
export function holdRun(
	key: string,
	take: boolean,
	lost: () => void,
	locks: Locks | null = deviceLocks()
): Promise<Release | null> {
	if (!locks) return Promise.resolve(() => {});
	return new Promise((given) => {
		let released = false;
		locks
			.request(`cadrex run ${key}`, take ? { steal: true } : { ifAvailable: true }, (lock) => {
				if (!lock) {
					given(null);
					return Promise.resolve();
				}
				return new Promise<void>((done) =>
					given(() => {
						released = true;
						done();
					})
				);
			})
			// It was stolen: the request fails.
			.catch(() => {
				if (!released) lost();
			});
	});
}
