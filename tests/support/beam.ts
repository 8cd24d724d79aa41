import type { ExerciseInput } from '$contracts/exercise';

/** An exercise of a coach’s own that no library has. */
export const BEAM: ExerciseInput = {
	name: 'Beam lift',
	countedIn: 'reps',
	perSide: false,
	tempo: [2, 0, 1, 0],
	pattern: 'hinge',
	primary: ['glutes'],
	assisting: ['lower back'],
	equipment: [{ item: 'mat', count: 1 }],
	position: 'standing',
	demands: { impact: 'none', balance: 0, back: 1, knee: 1, floorTransfer: false },
	cues: ['Push the floor away'],
	cautions: [],
	looksLike: null,
	easier: null,
	harder: null
};
