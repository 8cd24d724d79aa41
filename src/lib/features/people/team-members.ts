import type { Mate } from '$core/people';

/** Somebody as the page of teams shows them. */
export interface Member extends Mate {
	name: string;
	zone: string;
	/** The hour at which they train, by the coach’s clock. */
	hour: string;
}
