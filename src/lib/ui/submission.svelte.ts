import type { SubmitFunction } from '@sveltejs/kit';

type Finish = Extract<Awaited<ReturnType<SubmitFunction>>, (...args: never[]) => unknown>;

/** A form that is being sent: whether it is, and how to stop it. */
export class Submission {
	/** Stops what is under way; null when nothing is. */
	cancel = $state<(() => void) | null>(null);

	/** For `use:enhance`. @param finish what to do with the answer; left out: as forms usually do */
	watch(finish: Finish = ({ update }) => update()): SubmitFunction {
		return ({ controller }) => {
			let stopped = false;
			this.cancel = () => {
				stopped = true;
				controller.abort();
				this.cancel = null;
			};
			return async (answer) => {
				try {
					// A form that was stopped stays as it is, with all that was typed.
					if (!stopped) await finish(answer);
				} finally {
					this.cancel = null;
				}
			};
		};
	}
}
