export { MEASURE_KINDS, MEASURES, unitOfMeasure, type MeasureKind } from './kinds';
export { readScale, writeScale } from './scale';
export { losingTooFast, smoothed, trendOf, type Losing, type Measured } from './trend';
