export { energyOf } from './energy';
