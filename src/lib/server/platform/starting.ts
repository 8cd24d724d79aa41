/** Reports the progress of a start. Scripts print it; without a listener it is dropped. */
export const reportStart = (text: string): void => {
	process.emit('cadrex:starting' as 'message', text, undefined as never);
};

/** Milliseconds between two reports of a task with many steps. */
const REPORT_EVERY = 1000;

/** Reports the steps of a task: the first, then one a second at most. @returns called before each step */
export function reportSteps(task: string, steps: number): () => void {
	let done = 0;
	let reportedAt = -Infinity;
	return () => {
		const now = performance.now();
		if (now - reportedAt >= REPORT_EVERY) {
			reportStart(`${task}, ${done + 1} of ${steps} …`);
			reportedAt = now;
		}
		done++;
	};
}
