export { ASSUMED_BODY_MASS } from './assumed';
export { energyOf } from './energy';
