export { reentryOf, type ReentryStep } from './reentry';
