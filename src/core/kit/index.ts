export {
	BAND_RANKS,
	canDoWith,
	countIn,
	heaviestIn,
	KIT_LIMITS,
	kitOfItems,
	missingIn,
	nearestLoad,
	PLAIN_ITEMS,
	weightsIn,
	type BandRank,
	type Kit,
	type Owned,
	type PlainItem
} from './kit';
export { brokenLimits, goesOverhead, LIMITATIONS, onFloor, withinLimits, type Limitation } from './limits';
export { kitText, ownedText, readKit, type ReadKit } from './read-kit';
