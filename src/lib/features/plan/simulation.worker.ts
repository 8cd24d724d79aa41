import { expose } from 'comlink';
import { simulate, type Assumptions, type Outcome, type SimulationInput } from '$core/plan';

const work = {
	simulate: (
		input: SimulationInput,
		assumed: Assumptions,
		seed: string,
		groups: number,
		progress: (share: number) => void
	): Outcome => simulate(input, assumed, seed, groups, progress)
};
export type SimulationWork = typeof work;

expose(work);
