export {
	AT_HOME,
	COUNTED_IN,
	EXERCISE_LIMITS,
	IMPACTS,
	ITEMS,
	MUSCLES,
	needText,
	needWords,
	PATTERNS,
	POSITIONS,
	readNeed,
	type BalanceDemand,
	type Exercise,
	type Item,
	type Muscle,
	type Need,
	type Pattern,
	type Position,
	type Tempo
} from './exercise';

export { libraryOf, STANDARD, type Library, type ProgressionStep } from './library';
export { nameIndex } from './named';
