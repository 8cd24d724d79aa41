export { bandFrom, bandOf, BANDS, highestRate, type Band, type HeartOf } from './bands';
export { readMeasurement, type HeartMeasurement } from './measurement';
export { StandInHeart } from './stand-in';
export { beside, summaryOf, type Beat, type HeartSummary } from './trace';
