/** The shape of a session: blocks in order, each in one format. What a format adds lives with it, in `formats/`. */
import type { Block } from './formats';

/** Blocks `from` to `to` (indexes, inclusive) are done `times` over, with `rest` seconds between. */
export interface Repeat {
	from: number;
	to: number;
	times: number;
	rest: number;
}

export interface Link {
	title: string;
	/** http or https. */
	url: string;
}

export interface Session {
	blocks: Block[];
	repeats?: Repeat[];
	/** For the participants, above the first block. */
	note?: string;
	/** Videos, music. */
	links?: Link[];
	/** What is done after it, one thing each: a walk, rolling, a bath. */
	recovery?: string[];
	/** Done block by block over the day, at times of one’s own. */
	pieces?: true;
}
