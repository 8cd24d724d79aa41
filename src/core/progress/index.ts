export { bestTestOf, type BestResult } from './best-test';
export { bestsOf } from './bests';
export { comparedDays } from './compare';
export { askedAndDone, performanceKey, type DoneDay } from './done-day';
export { gainsOf, type Gains } from './gains';
export { sidesOf, weakerOf, type SidesDone } from './sides';
export { beyondWords, gainWords, setsWords, setWords } from './words';
