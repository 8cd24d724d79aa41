export { creditOf, fullLog, type LoggedSet } from './credit';
