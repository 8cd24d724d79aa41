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
	// Progress comes on a channel of its own: the last of it may arrive when the outcome is there already.
	let over = false;
	const tell = proxy((share: number) => {
		if (!over) progress(share);
	});
	const stop = () => {
		over = true;
		worker.terminate();
	};
	const outcome = Promise.race([work.simulate(input, assumed, seed, groups, tell), failed]);
	return { outcome: outcome.finally(stop), stop };
}
