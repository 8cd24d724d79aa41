export { bestsOf } from './bests';
export { comparedDays } from './compare';
export { askedAndDone, performanceKey, type DoneDay } from './done-day';
export { gainsOf, type Gains } from './gains';
export { beyondWords, gainWords, setsWords, setWords } from './words';
