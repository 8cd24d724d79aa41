export { seededRandom } from './seeded-random';
export { moments, quantile } from './moments';
export { normal } from './normal';
export { wilson } from './wilson';
export { differenceOf, type Counted } from './difference';
export { studentT } from './student';
