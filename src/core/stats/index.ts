export { chance } from './chance';
export { moments, quantile } from './moments';
export { wilson } from './wilson';
