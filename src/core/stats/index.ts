export { chance } from './chance';
export { moments, quantile } from './moments';
export { normal } from './normal';
export { wilson } from './wilson';
