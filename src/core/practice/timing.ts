/** Seconds that nobody trains in and that every session has. */
export interface Timing {
	/** From one side to the other. */
	sideChange: number;
	/** From one block to the next. */
	transition: number;
	/** To take up the next weight of a drop set. */
	loadChange: number;
	/** Keep the rest after the last work of a block. */
	keepLastRest: boolean;
}

/** Change of side, way to the next block and change of load: common practice, no source. */
export const DEFAULT_TIMING: Timing = {
	sideChange: 5,
	transition: 30,
	loadChange: 5,
	keepLastRest: false
};
