export { clockText } from './clock-text';
export { blockSeconds, compileSession, type Timeline, type Totals } from './compile';
export type { Cue, CueKind } from './cues';
export { blockFaults, sessionFaults, type Fault } from './faults';
export { FORMATS, FORMAT_NAMES, formatOf, saysHowMuch } from './formats';
export { expectedRounds } from './formats/amrap';
export { minuteFill } from './formats/emom';
export { expectedFinish } from './formats/for-time';
export type { Field } from './formats/format';
export { formatLine, parseLine } from './line';
export {
	LIMITS,
	PARTIALS,
	ROLES,
	type Block,
	type FormatName,
	type Link,
	type Part,
	type PartialRule,
	type Repeat,
	type Role,
	type Session,
	type Target
} from './model';
export { amountOf, targetOf, targetText } from './amount';
export { prescriptionOf, type PrescribedExercise } from './prescription';
export { equipmentOf, haveReady } from './ready';
export { passesOf, repeatAround } from './repeats';
export { workOnOneSide } from './rep-time';
export { formatSessionText, parseSessionText } from './text';
export { DEFAULT_OPTIONS, type Segment, type TimelineOptions } from './timeline';
export {
	addBlock,
	canJoin,
	duplicateBlock,
	insertBlock,
	joinBlocks,
	moveBlock,
	movePart,
	numberOf,
	putBlock,
	putPart,
	removeBlock,
	repeatBlocks,
	splitBlock,
	toggleGroup,
	withNumber,
	withoutPart,
	withoutRepeat,
	withPart
} from './edit';
