import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { courseFrom } from '../../../../tests/support/course';
import { passingStore, type KeptRun } from '$lib/offline/store';
import { DeviceClock } from './device-clock';
import { Runner, type Caller } from './runner.svelte';

const T = Date.UTC(2026, 4, 13, 6, 0, 0);
const CIRCUIT = courseFrom('circuit 3 rounds 30/15: plank + squat');
const SETS = courseFrom('3 x 8 squat, rest 60');

beforeEach(() => vi.useFakeTimers({ now: T }));
afterEach(() => vi.useRealTimers());

function caller(paces = false) {
	const heard: [number, string][] = [];
	const tell = (what: string) => heard.push([(Date.now() - T) / 1000, what]);
	const made: Caller = {
		say: tell,
		hush: () => {},
		tone: (kind, wait = 0) => heard.push([(Date.now() - T) / 1000 + wait, kind]),
		buzz: () => {},
		paces
	};
	return { heard, made };
}
function begun(course = CIRCUIT, more: Partial<KeptRun> = {}) {
	const store = passingStore();
	const run: KeptRun = {
		key: 'k',
		id: 'id',
		day: 3,
		versionId: 'v',
		course,
		acts: [],
		seen: Date.now(),
		first: 'left',
		...more
	};
	const { heard, made } = caller();
	const runner = new Runner(run, store, new DeviceClock(), made);
	runner.run();
	return { runner, store, heard };
}

describe('a session under way', () => {
	it('calls at the very times, whatever the page is drawn at', async () => {
		const { runner, heard } = begun();
		await vi.advanceTimersByTimeAsync(1037);
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(46_000);
		expect(heard.filter(([, what]) => !/short|long/.test(what))).toEqual([
			[1.037, 'Plank, 30 seconds'],
			[16.037, 'Halfway'],
			[21.037, 'Ten seconds'],
			[31.037, 'Rest. Next: Squat, 30 seconds'],
			[46.037, 'Squat, 30 seconds']
		]);
		// Three short ones and a long one at the end, kept by the sound system.
		expect(heard.filter(([at, what]) => /short|long/.test(what) && at > 27 && at < 32)).toEqual([
			[28.037, 'short'],
			[29.037, 'short'],
			[30.037, 'short'],
			[31.037, 'long']
		]);
		runner.stop();
	});

	it('is within 50 ms of the timeline over an hour', () => {
		const { runner, heard } = begun(courseFrom('circuit 40 rounds 60/30: plank'));
		runner.do({ do: 'start' });
		// In one go: 36,000 turns of the event loop take minutes where others keep it busy.
		vi.advanceTimersByTime(3_600_000);
		const starts = heard.filter(([, what]) => what === 'Plank, 60 seconds').map(([at]) => at);
		expect(starts).toHaveLength(40);
		starts.forEach((at, i) => expect(Math.abs(at - i * 90)).toBeLessThan(0.05));
		runner.stop();
	});

	it('goes on where the clock says when it is opened again', async () => {
		const { runner, store } = begun();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(20_000);
		runner.stop();
		await vi.advanceTimersByTimeAsync(30_000);
		const kept = await store.run('k');
		const again = begun(CIRCUIT, kept).runner;
		expect(again.moment).toMatchObject({ phase: 'going', step: 2, gone: 5 });
		expect(again.away).toBeNull();
		again.stop();
	});

	it('keeps all that came about by the moment at which the page is left', async () => {
		const { runner, store } = begun();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(33_300);
		runner.stop();
		await vi.advanceTimersByTimeAsync(0);
		expect((await store.run('k'))?.seen).toBe(T + 33_300);
	});

	it('asks where somebody was who comes back after a while, and goes back there', async () => {
		const { runner, store } = begun();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(20_000);
		runner.stop();
		await vi.advanceTimersByTimeAsync(100_000);
		const again = begun(CIRCUIT, await store.run('k')).runner;
		expect(again.moment.step).toBe(5);
		expect(again.away?.for).toBeGreaterThan(90_000);
		again.backToWhereILeft();
		expect(again.away).toBeNull();
		expect(again.moment).toMatchObject({ phase: 'going', step: 0 });
		expect(again.moment.gone).toBeGreaterThanOrEqual(15);
		expect(again.moment.gone).toBeLessThanOrEqual(20);
		again.stop();
	});

	it('does not ask where nothing went on: one set waits for whoever does it', async () => {
		const { runner, store } = begun(SETS);
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(5_000);
		runner.stop();
		await vi.advanceTimersByTimeAsync(7_200_000);
		const again = begun(SETS, await store.run('k')).runner;
		expect(again.away).toBeNull();
		expect(again.moment.step).toBe(0);
		again.stop();
	});

	it('says nothing late of what was missed', async () => {
		const { runner, heard } = begun();
		runner.do({ do: 'start' });
		heard.length = 0;
		runner.stop();
		await vi.advanceTimersByTimeAsync(62_500);
		runner.run();
		runner.woken();
		expect(heard.filter(([, what]) => what.includes('Halfway'))).toEqual([]);
		runner.stop();
	});

	it('takes two taps in a row as one', async () => {
		const { runner } = begun(SETS);
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(20_000);
		runner.do({ do: 'done' });
		await vi.advanceTimersByTimeAsync(100);
		runner.do({ do: 'done' });
		expect(runner.moment.step).toBe(1);
		await vi.advanceTimersByTimeAsync(400);
		runner.do({ do: 'done' });
		expect(runner.moment.step).toBe(2);
		runner.stop();
	});

	it('goes on though the device has no room, and says so', async () => {
		const { made } = caller();
		const run: KeptRun = {
			key: 'k',
			id: 'id',
			day: 3,
			versionId: 'v',
			course: CIRCUIT,
			acts: [],
			seen: T,
			first: 'left'
		};
		const full = { keepRun: () => Promise.reject(new DOMException('full', 'QuotaExceededError')) };
		const runner = new Runner(run, full, new DeviceClock(), made);
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(0);
		expect(runner.unkept).toBe(true);
		expect(runner.moment.phase).toBe('going');
	});

	it('ticks each repetition at its tempo, the last one longer', async () => {
		const { heard, made } = caller(true);
		const run: KeptRun = {
			key: 'k',
			id: 'id',
			day: 3,
			versionId: 'v',
			course: courseFrom('1 x 3 squat 3-1-1'),
			acts: [],
			seen: T,
			first: 'left'
		};
		const runner = new Runner(run, passingStore(), new DeviceClock(), made);
		runner.run();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(60_000);
		// Three seconds down, one below, one up.
		expect(
			heard
				.filter(([, what]) => what === 'short' || what === 'long')
				.map(([at, what]) => [Math.round(at * 1000), what])
		).toEqual([
			[5000, 'short'],
			[10_000, 'short'],
			[15_000, 'long']
		]);
		runner.stop();
	});

	it('lets the weaker side go first', () => {
		const { runner } = begun(courseFrom('1 x 8 split squat each leg'), { first: 'right' });
		expect(runner.step?.tasks[0]?.side).toBe('right');
		runner.stop();
	});
});

describe('the clock of the device', () => {
	it('does not go back, and takes over a sleep', () => {
		let [wall, ticks] = [1_000_000, 0];
		const clock = new DeviceClock(
			() => wall,
			() => ticks
		);
		expect(clock.now()).toBe(1_000_000);
		ticks += 500;
		expect(clock.now()).toBe(1_000_500);
		wall -= 86_400_000;
		clock.woken();
		expect(clock.now()).toBe(1_000_500);
		wall += 86_400_000 + 60_000;
		clock.woken();
		expect(clock.now()).toBe(1_060_000);
	});
});
