export { fitPart, type Decided, type PartFit } from './fit-part';
export { whatHelps, type Help } from './helps';
export { repsAtSameEffort } from './load';
export { profileOf, type FitProfile, type Known } from './profile';
export { ceilingKg, levelsUnder, startingLoad, usualKg } from './usual-load';
