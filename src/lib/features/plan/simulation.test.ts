import { expose } from 'comlink';
import { afterEach, expect, it, vi } from 'vitest';
import { DEFAULT_ASSUMPTIONS } from '$core/plan';
import { runSimulation } from './simulation';

afterEach(() => {
	vi.unstubAllGlobals();
});

/** A worker whose last word on its progress comes after its outcome, as channels of their own may have it. */
function lateWorker(said: Promise<void>, done: () => void): unknown {
	return function () {
		const { port1, port2 } = new MessageChannel();
		expose(
			{
				simulate(...given: unknown[]) {
					const progress = given.at(-1) as (share: number) => Promise<void>;
					void progress(0.5)
						.then(() => said)
						.then(() => progress(1))
						.then(done);
					return 'the outcome';
				}
			},
			port2
		);
		return Object.assign(port1, { terminate: () => undefined });
	};
}

it('tells no progress once the outcome is there', async () => {
	let speak = (): void => undefined;
	const said = new Promise<void>((resolve) => (speak = resolve));
	let done = (): void => undefined;
	const spoken = new Promise<void>((resolve) => (done = resolve));
	vi.stubGlobal(
		'Worker',
		lateWorker(said, () => done())
	);
	const told: number[] = [];
	const trial = { days: [], weeks: 1, budgetMinutes: 30 };
	const { outcome } = runSimulation(trial, DEFAULT_ASSUMPTIONS, 'hut', 1, (share) => told.push(share));
	expect(await outcome).toBe('the outcome');
	speak();
	await spoken;
	expect(told).not.toContain(1);
});
