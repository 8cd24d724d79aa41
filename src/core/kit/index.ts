export {
	BAND_RANKS,
	bandsIn,
	canDoWith,
	heaviestIn,
	KIT_LIMITS,
	kitOfItems,
	missingIn,
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
	sourceOf,
	talksRatherThanCounts,
	tellingLimits,
	type Condition
} from './conditions';
export {
	brokenLimits,
	cautionsFor,
	cuesWithin,
	goesOverhead,
	holdsOn,
	isJump,
	LIMITATIONS,
	LIMITS,
	loadShareOf,
	withinLimits,
	type Limitation
} from './limits';
export { kitText, ownedText, readKit } from './read-kit';
export { KG_PER_LB, kgFrom, kgTyped, readIn, UNITS, weightIn, type Units } from './units';
