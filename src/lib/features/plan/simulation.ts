import { proxy, wrap, type Remote } from 'comlink';
import type { Assumptions, Outcome, SimulationInput } from '$core/plan';
import type { SimulationWork } from './simulation.worker';

/**
 * Runs a plan with imagined groups beside the page.
 * @returns the outcome to come, and `stop`, which ends the work wherever it is
 */
export function runSimulation(
	input: SimulationInput,
	assumed: Assumptions,
	seed: string,
	groups: number,
	progress: (share: number) => void
): { outcome: Promise<Outcome>; stop: () => void } {
	const worker = new Worker(new URL('./simulation.worker.ts', import.meta.url), { type: 'module' });
	const work: Remote<SimulationWork> = wrap<SimulationWork>(worker);
	const failed = new Promise<never>((_, reject) => {
		worker.onerror = (event) => reject(new Error(event.message));
	});
	const outcome = Promise.race([work.simulate(input, assumed, seed, groups, proxy(progress)), failed]);
	return { outcome: outcome.finally(() => worker.terminate()), stop: () => worker.terminate() };
}
