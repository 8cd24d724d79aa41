export {
	amountOf,
	effortText,
	howText,
	paceText,
	targetOf,
	targetOfSet,
	targetText,
	withAmounts
} from './amount';
export { joinSessions, piecesOf } from './pieces';
export { partFor, sessionFor } from './by-level';
export { clockText } from './clock-text';
export { blockSeconds, compileSession, sessionSeconds, type Timeline, type Totals } from './compile';
export type { Cue, CueKind } from './cues';
export {
	addBlock,
	addSession,
	canJoin,
	duplicateBlock,
	inPlaceOf,
	insertBlock,
	joinBlocks,
	moveBlock,
	movePart,
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
export type { Fault } from './fault-list';
export { blockFaults, countFaults, numberOf, sessionFaults } from './faults';
export {
	formatNamed,
	formatNames,
	formatOf,
	isFormat,
	newCircuit,
	newHolds,
	newSets,
	newSteady,
	registerFormat,
	saysHowMuch,
	type Block,
	type FormatName
} from './formats';
export type { Extra, ExtraField, Field, Format } from './formats/format';
export { formatLine, parseLine } from './line';
export { kgText, loadsOf, loadText, withLoads } from './loads';
export type { Link, Repeat, Session } from './model';
export {
	INSTEAD_WHEN,
	LIMITS,
	PARTIALS,
	RESISTANCES,
	type Resistance,
	ROLES,
	type Instead,
	type InsteadWhen,
	type Part,
	type PartialRule,
	type Role,
	type Target
} from './parts';
export { askedOf, prescriptionOf, type PrescribedExercise } from './prescription';
export { equipmentOf, haveReady } from './ready';
export { concerns, insteadWords, limitsWhen } from './instead';
export { secondsPerRep, workOnOneSide } from './rep-time';
export { passesOf, repeatAround } from './repeats';
export type { LineFault } from './typed/asked';
export { startedAs } from './typed/read-line';
export { formatSessionText, parseSessionText } from './text';
export { wholeSeconds, type Segment, type SegmentKind, type Side } from './timeline';
