import { Threads } from '../../platform/threads';
import { NATURES } from './tasks';
import run from './worker';

/** Threads that do all of our work. @param workers folder with the built `threads.js`; null works in this thread, as tests and development do */
export const openThreads = (workers: string | null): Threads =>
	new Threads(workers, { run, natures: NATURES });
