import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { LiveGroup } from '$contracts/live';
import { LiveGroupView, type Told } from './live-group.svelte';

const NOTHING: LiveGroup = { group: [], present: [] };
beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

function view(ask = () => Promise.resolve({ ...NOTHING })) {
	const heard: Record<string, () => void> = {};
	const close = vi.fn();
	const source: Told = { addEventListener: (type, on) => (heard[type] = on), close };
	const asked = vi.fn(ask);
	const made = new LiveGroupView(NOTHING, asked, () => source);
	const end = made.follow();
	return { made, asked, close, end, say: (type: string) => heard[type]?.() };
}

describe('a group as it stands', () => {
	it('is asked for when something came about, and at most once in a while however much did', async () => {
		const { made, asked, say, end } = view();
		say('open');
		for (let i = 0; i < 50; i++) {
			say('changed');
			await vi.advanceTimersByTimeAsync(20);
		}
		expect(asked.mock.calls.length).toBeLessThanOrEqual(2);
		await vi.advanceTimersByTimeAsync(700);
		expect(asked.mock.calls.length).toBeGreaterThanOrEqual(2);
		expect(made.told).toBe(true);
		end();
	});
	it('is asked for from time to time while nothing is told', async () => {
		const { asked, say, made, close, end } = view();
		await vi.advanceTimersByTimeAsync(15_000);
		expect(asked).toHaveBeenCalledTimes(1);
		say('open');
		await vi.advanceTimersByTimeAsync(45_000);
		expect(asked).toHaveBeenCalledTimes(1);
		// What only time changes is looked at all the same.
		await vi.advanceTimersByTimeAsync(45_000);
		expect(asked).toHaveBeenCalledTimes(2);
		say('error');
		expect(made.told).toBe(false);
		await vi.advanceTimersByTimeAsync(15_000);
		expect(asked).toHaveBeenCalledTimes(3);
		end();
		await vi.advanceTimersByTimeAsync(60_000);
		expect(asked).toHaveBeenCalledTimes(3);
		expect(close).toHaveBeenCalled();
	});
	it('stays as it was where the server is away, and is asked for again', async () => {
		let works = false;
		const present = [{ id: 'a' }] as unknown as LiveGroup['present'];
		const { made, end } = view(() =>
			works ? Promise.resolve({ group: [], present }) : Promise.reject(new Error('away'))
		);
		await vi.advanceTimersByTimeAsync(15_000);
		expect(made.now).toEqual(NOTHING);
		works = true;
		await vi.advanceTimersByTimeAsync(15_000);
		expect(made.now.present).toHaveLength(1);
		end();
	});
});
