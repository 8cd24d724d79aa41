export {
	BAND_RANKS,
	bandsIn,
	canDoWith,
	heaviestIn,
	KIT_LIMITS,
	kitOfItems,
	missingIn,
	nearestLoad,
	packsIn,
	PLAIN_ITEMS,
	weightsIn,
	type BandRank,
	type Kit,
	type Owned,
	type PlainItem
} from './kit';
export {
	adviceFor,
	SUPPORT,
	CONDITIONS,
	limitsOf,
	talksRatherThanCounts,
	tellingLimits,
	type Condition
} from './conditions';
export {
	brokenLimits,
	goesOverhead,
	isJump,
	LIMITATIONS,
	onFloor,
	withinLimits,
	type Limitation
} from './limits';
export { kitText, ownedText, readKit } from './read-kit';
export { KG_PER_LB, kgFrom, kgTyped, readIn, UNITS, weightIn, type Units } from './units';
