/** Where the application gets the time from; epoch milliseconds. */
export interface Clock {
	now(): number;
}

export const realClock: Clock = { now: () => Date.now() };

export const fixedClock = (instant: number): Clock => ({ now: () => instant });

/** A clock that runs, ahead of the real one (or of a fixed start) by what it was moved on. */
export class DemoClock implements Clock {
	private ahead = 0;

	constructor(private readonly base: Clock = realClock) {}

	now(): number {
		return this.base.now() + this.ahead;
	}

	/** Whether it shows another time than its base. */
	get moved(): boolean {
		return this.ahead !== 0;
	}

	/** Moves on to an instant; never back, since days that went by were lived. */
	moveTo(instant: number): void {
		this.ahead = Math.max(this.ahead, instant - this.base.now());
	}

	backToReal(): void {
		this.ahead = 0;
	}
}
