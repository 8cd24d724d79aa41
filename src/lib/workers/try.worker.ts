import { expose } from 'comlink';
import { simulate, type Assumptions, type Outcome, type Trial } from '$core/plan';

const work = {
	simulate: (
		trial: Trial,
		assumed: Assumptions,
		seed: string,
		groups: number,
		progress: (share: number) => void
	): Outcome => simulate(trial, assumed, seed, groups, progress)
};
export type TryWork = typeof work;

expose(work);
