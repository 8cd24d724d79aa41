import { proxy, wrap, type Remote } from 'comlink';
import type { Assumptions, Outcome, Trial } from '$core/plan';
import type { TryWork } from './try.worker';

/**
 * Lives a plan with imagined groups beside the page.
 * @returns the outcome to come, and `stop`, which ends the work wherever it is
 */
export function tryOut(
	trial: Trial,
	assumed: Assumptions,
	seed: string,
	groups: number,
	progress: (share: number) => void
): { outcome: Promise<Outcome>; stop: () => void } {
	const worker = new Worker(new URL('./try.worker.ts', import.meta.url), { type: 'module' });
	const work: Remote<TryWork> = wrap<TryWork>(worker);
	const failed = new Promise<never>((_, reject) => {
		worker.onerror = (event) => reject(new Error(event.message));
	});
	const outcome = Promise.race([work.simulate(trial, assumed, seed, groups, proxy(progress)), failed]);
	return { outcome: outcome.finally(() => worker.terminate()), stop: () => worker.terminate() };
}
