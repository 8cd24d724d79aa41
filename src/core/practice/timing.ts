/** Seconds that nobody trains in and that every session has. */
export interface Timing {
	/** From one side to the other. */
	sideChange: number;
	/** To take up the next weight of a drop set. */
	loadChange: number;
}

/** Change of side and change of load: common practice, no source. */
export const DEFAULT_TIMING: Timing = {
	sideChange: 5,
	loadChange: 5
};
