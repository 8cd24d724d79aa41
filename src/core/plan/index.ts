export { calendarOf, type Calendar } from './calendar';
