export { fitPart, type Decided, type Suits } from './fit-part';
export { levelsUnder, startingLoad, usualKg } from './starting-load';
export { suitsOf, type Known } from './suits';
export { whatHelps, type Help } from './helps';
