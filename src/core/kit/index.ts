export { canDoWith, kitOfItems, missingIn, type Kit, type Owned } from './kit';
export {
	adviceFor,
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
export { kitText, readKit } from './read-kit';
