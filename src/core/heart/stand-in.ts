/** A strap that nobody wears: a heart that follows what is done, for trying things out without a device. */
import { rateAt } from './bands';
import { writeMeasurement } from './measurement';
import type { HeartOf } from './bands';

/** Seconds in which a heart makes up two thirds of the way: faster up than down (common practice, no source). */
const UP = 20;
const DOWN = 45;
/** Every so many values one has 16 bits, as some straps send them all. */
const WIDE_EVERY = 10;
/** Seconds of each two minutes in which contact is lost. */
const LOOSE = { from: 100, to: 106, every: 120 } as const;

export class StandInHeart {
	private bpm: number;
	private sent = 0;

	/** @param who of whom; a resting rate of 60 where none is known */
	constructor(private readonly who: HeartOf) {
		this.bpm = this.resting + 10;
	}

	private get resting(): number {
		return this.who.resting ?? 60;
	}

	/**
	 * The next value, a second later, as a strap sends it.
	 *
	 * @param effort 0…1: the share of the reserve that what is done asks for
	 */
	next(effort: number): DataView {
		const aim = rateAt(Math.min(1, Math.max(0, effort)), this.who.age, this.resting);
		this.bpm += (aim - this.bpm) / (aim > this.bpm ? UP : DOWN);
		const second = this.sent++;
		const loose = second % LOOSE.every >= LOOSE.from && second % LOOSE.every < LOOSE.to;
		const bpm = Math.round(this.bpm);
		const rr = loose ? [] : [60 / this.bpm];
		return writeMeasurement(
			{ bpm: loose ? 0 : bpm, contact: !loose, energy: null, rr },
			second % WIDE_EVERY === WIDE_EVERY - 1
		);
	}
}
