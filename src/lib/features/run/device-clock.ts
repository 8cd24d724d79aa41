/** Milliseconds for which the server is waited for when the clock of the device is in doubt. */
const PATIENCE = 1500;

/** The time of this device as a session goes by it: it does not jump back while the page is open, and takes a sleep into account. */
export class DeviceClock {
	/** Epoch milliseconds at the origin of the monotonic clock. */
	private base: number;

	/** @param wall epoch milliseconds as the device shows them @param ticks milliseconds that only go on */
	constructor(
		private readonly wall: () => number = () => Date.now(),
		private readonly ticks: () => number = () => performance.now()
	) {
		this.base = wall() - ticks();
	}

	now(): number {
		return this.base + this.ticks();
	}

	/** Milliseconds by which the device's clock is ahead: it slept, or somebody put the clock on. */
	ahead(): number {
		return this.wall() - this.now();
	}

	/**
	 * Call it when the page is shown again: the monotonic clock stands while a phone sleeps.
	 * @param shift milliseconds by which the device's clock was put on meanwhile, as far as the server tells
	 */
	woken(shift = 0): void {
		this.base = Math.max(this.base, this.wall() - shift - this.ticks());
	}
}

/**
 * Milliseconds by which the server's clock is ahead of this device's, or null if it does not answer in time.
 * A change of it tells a clock that was put on or back from time that passed. Exact to a second (`Date`, RFC 9110).
 */
export async function serverOffset(): Promise<number | null> {
	try {
		const asked = Date.now();
		const { headers } = await fetch('/healthz', {
			method: 'HEAD',
			cache: 'no-store',
			signal: AbortSignal.timeout(PATIENCE)
		});
		const told = Date.parse(headers.get('date') ?? '');
		// The header leaves out parts of a second.
		return Number.isFinite(told) ? told + 500 - (asked + Date.now()) / 2 : null;
	} catch {
		return null;
	}
}
