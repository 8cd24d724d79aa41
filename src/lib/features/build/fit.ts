import { wrap, type Remote } from 'comlink';
import type { FitWork } from './fit.worker';

/** The worker that looks for ways to fit; `stop` ends it, also in the middle of its work. */
export function fitWorker(): { work: Remote<FitWork>; stop: () => void } {
	const worker = new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' });
	return { work: wrap<FitWork>(worker), stop: () => worker.terminate() };
}
