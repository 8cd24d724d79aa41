export {
	AT_HOME,
	COUNTED_IN,
	EXERCISE_LIMITS,
	ITEMS,
	MUSCLES,
	needText,
	needWords,
	PATTERNS,
	POSITIONS,
	readNeed,
	type Concern,
	type Exercise,
	type Item,
	type Muscle,
	type Need,
	type Pattern,
	type Position,
	type Tempo
} from './exercise';

export {
	ARM_HEIGHTS,
	DEMAND_WORDS,
	IMPACTS,
	JOINTS,
	LEVERS,
	RATED,
	RATINGS,
	RELATIVE_LOAD,
	SPACES,
	type DemandInput,
	type Demands,
	type Impact,
	type Joint,
	type Rated,
	type Rating
} from './demands';
export { contradictionsIn, onFloor, takesWeight } from './described';
export { completeDemands, libraryOf, STANDARD, type Library, type ProgressionStep } from './library';
export { nameIndex } from './named';
export { nearestTo, type Sketch } from './propose';
