export { canDoWith, kitOfItems, missingIn, type Kit, type Owned } from './kit';
export { brokenLimits, goesOverhead, LIMITATIONS, onFloor, withinLimits, type Limitation } from './limits';
export { kitText, readKit } from './read-kit';
