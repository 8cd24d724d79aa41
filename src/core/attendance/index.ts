export { adherence, type Adherence } from './adherence';
export { packDays, unpackDays } from './day-code';
export { personDays, type PersonDays } from './person-days';
