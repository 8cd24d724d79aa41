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
	CONCERNS,
	type Caution,
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
	contradictionsIn,
	DEMAND_WORDS,
	IMPACTS,
	JOINTS,
	LEVERS,
	onFloor,
	RATED,
	RATINGS,
	RELATIVE_LOAD,
	SPACES,
	takesWeight,
	type DemandInput,
	type Demands,
	type Impact,
	type Joint,
	type Rated,
	type Rating
} from './demands';
export {
	completeDemands,
	libraryOf,
	STANDARD,
	type EquipmentForm,
	type Library,
	type ProgressionStep
} from './library';
export { nameIndex } from './named';
export { nearestTo, type Sketch } from './propose';
