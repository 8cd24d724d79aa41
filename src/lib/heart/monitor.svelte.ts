/** The heart rate of now, and those of a session. */
import { bandOf, beside, summaryOf, type Beat, type HeartOf } from '$core/heart';
import type { Strap } from './straps';

export interface HeartSettings extends HeartOf {
	/** Of the strap that was used last. */
	strap: 'bluetooth' | 'stand-in';
}

const KEY = 'cadrex heart';

/** What somebody said of themselves on this device; it stays there. Null: nothing, or nothing sensible. */
export function readHeart(store: Pick<Storage, 'getItem'>): HeartSettings | null {
	try {
		const read = JSON.parse(store.getItem(KEY) ?? 'null') as Partial<HeartSettings> | null;
		const faults = read ? heartFaults(read.age ?? NaN, read.resting ?? null) : ['nothing'];
		if (!read || faults.length > 0) return null;
		return {
			age: read.age ?? 0,
			resting: read.resting ?? null,
			strap: read.strap === 'bluetooth' ? 'bluetooth' : 'stand-in'
		};
	} catch {
		return null;
	}
}
export const keepHeart = (store: Pick<Storage, 'setItem'>, settings: HeartSettings): void =>
	store.setItem(KEY, JSON.stringify(settings));

/** What is wrong with an age and a resting rate; bands are for grown-ups. */
export function heartFaults(age: number, resting: number | null): string[] {
	return [
		...(Number.isInteger(age) && age >= 18 && age <= 100
			? []
			: ['Your age is a whole number from 18 to 100.']),
		...(resting === null || (Number.isInteger(resting) && resting >= 30 && resting <= 110)
			? []
			: ['A resting rate is a whole number from 30 to 110 beats a minute.'])
	];
}

/** Milliseconds without a value from which none is shown. */
const STALE = 4000;

export class HeartMonitor {
	/** Values of the session so far, in order. */
	beats = $state.raw<Beat[]>([]);
	/** How the strap is: none, sending, without contact, gone. */
	state = $state<'none' | 'on' | 'no contact' | 'gone'>('none');
	name = $state('');
	private strap: Strap | null = null;

	/** @param kept values that the device has of this session @param now epoch milliseconds */
	constructor(
		readonly who: HeartOf,
		kept: Beat[],
		private readonly now: () => number
	) {
		this.beats = kept;
	}

	/** @throws DOMException where the strap can not be reached */
	async connect(strap: Strap): Promise<void> {
		this.stop();
		this.strap = strap;
		await strap.start(
			({ bpm, contact }) => {
				this.state = contact === false || bpm === 0 ? 'no contact' : 'on';
				if (this.state === 'on') this.beats = [...this.beats, { at: this.now(), bpm }];
			},
			() => (this.state = 'gone')
		);
		this.name = strap.name;
		this.state = 'on';
	}

	stop(): void {
		this.strap?.stop();
		this.strap = null;
		this.state = 'none';
	}

	/** The rate of an instant with its band; null where none came lately. */
	at(now: number) {
		const last = this.beats.at(-1);
		if (!last || now - last.at > STALE || this.state !== 'on') return null;
		return { bpm: last.bpm, band: bandOf(last.bpm, this.who) };
	}

	/** Whether it is above or below what is asked, for long enough to say so. */
	beside(asked: { low: number; high: number }, since: number, now: number) {
		return beside(this.beats.slice(-60), asked, since, now);
	}

	get summary() {
		return summaryOf(this.beats, this.who);
	}
}
