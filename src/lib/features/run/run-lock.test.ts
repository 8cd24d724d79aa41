import { describe, expect, it, vi } from 'vitest';
import { holdRun, type Locks } from './run-lock';

/** Locks as browsers have them: one holder a name; who steals one makes the request before it fail. */
function fakeLocks(): Locks {
	const held = new Map<string, (reason: Error) => void>();
	return {
		request: (name, { steal }, hold) => {
			if (held.has(name) && !steal) return hold(null);
			held.get(name)?.(new Error('stolen'));
			return new Promise((done, fail) => {
				held.set(name, fail);
				void hold({ name }).then(() => {
					if (held.get(name) === fail) held.delete(name);
					done(undefined);
				});
			});
		}
	};
}

describe('a session that is open in two windows', () => {
	it('belongs to the first, until that lets it go', async () => {
		const locks = fakeLocks();
		const lost = vi.fn();
		const release = await holdRun('a', false, lost, locks);
		expect(await holdRun('a', false, vi.fn(), locks)).toBeNull();
		expect(await holdRun('b', false, vi.fn(), locks)).not.toBeNull();
		release?.();
		await Promise.resolve();
		expect(await holdRun('a', false, vi.fn(), locks)).not.toBeNull();
		expect(lost).not.toHaveBeenCalled();
	});
	it('goes to the window that takes it, and the other is told', async () => {
		const locks = fakeLocks();
		const [first, second] = [vi.fn(), vi.fn()];
		await holdRun('a', false, first, locks);
		expect(await holdRun('a', true, second, locks)).not.toBeNull();
		await Promise.resolve();
		expect(first).toHaveBeenCalledTimes(1);
		expect(second).not.toHaveBeenCalled();
	});
	it('is ours where a browser can not tell', async () => {
		expect(await holdRun('a', false, vi.fn(), null)).not.toBeNull();
	});
});
