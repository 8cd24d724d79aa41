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

	/** Call it when the page is shown again: the monotonic clock stands while a phone sleeps. */
	woken(): void {
		this.base = Math.max(this.base, this.wall() - this.ticks());
	}
}
