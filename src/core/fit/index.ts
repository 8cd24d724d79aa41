export { fitPart, type Decided, type Suits } from './fit-part';
export { levelsUnder, SMALL_DUMBBELL_LB, startingLoad, usualKg, type StartingLoad } from './starting-load';
export { suitsOf, type Known } from './suits';
export { whatHelps, type Help } from './helps';
