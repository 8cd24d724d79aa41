import { DAY_MS } from '$core/calendar/units';
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

/** Keeps when each call is heard, in seconds from `T`; what is taken back before its time is not. */
function caller(paces = false, sounds = true) {
	const planned: [number, string][] = [];
	const at = (wait: number) => (Date.now() - T) / 1000 + wait;
	const retract = () => {
		const now = at(0);
		for (let i = planned.length - 1; i >= 0; i--) if (planned[i]![0] > now) planned.splice(i, 1);
	};
	const made: Caller = {
		say: (words, wait = 0) => void planned.push([at(wait), words]),
		hush: retract,
		retract,
		tone: (kind, wait = 0) => void (sounds && planned.push([at(wait), kind])),
		buzz: () => {},
		paces,
		sounds
	};
	return { heard: planned, made };
}
const isTone = (what: string) => /^(?:short|long|low)$/.test(what);
const rounded = (heard: readonly [number, string][]) =>
	heard.map(([at, what]) => [Math.round(at * 1000) / 1000, what]);
function begun(
	course = CIRCUIT,
	more: Partial<KeptRun> = {},
	{ sounds = true, offset = null as number | null } = {}
) {
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
	const { heard, made } = caller(false, sounds);
	const runner = new Runner(run, store, new DeviceClock(), made, offset);
	runner.run();
	return { runner, store, heard };
}

describe('a session under way', () => {
	it('calls at the very times, whatever the page is drawn at', async () => {
		const { runner, heard } = begun();
		await vi.advanceTimersByTimeAsync(1037);
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(46_000);
		expect(heard.filter(([, what]) => !isTone(what))).toEqual([
			[1.037, '3 rounds, 30 seconds of work, 15 seconds of rest. Plank, 30 seconds'],
			[16.037, 'Halfway'],
			[21.037, 'Ten seconds'],
			[31.037, 'Rest. Next: Squat, 30 seconds'],
			[46.037, 'Squat, 30 seconds']
		]);
		// The sound system keeps their time: three short ones before the end, a low one as the rest begins, a long one for work.
		expect(rounded(heard.filter(([at, what]) => isTone(what) && at < 47))).toEqual([
			[1.037, 'long'],
			[16.037, 'short'],
			[21.037, 'short'],
			[21.237, 'short'],
			[28.037, 'short'],
			[29.037, 'short'],
			[30.037, 'short'],
			[31.037, 'low'],
			[43.037, 'short'],
			[44.037, 'short'],
			[45.037, 'short'],
			[46.037, 'long']
		]);
		runner.stop();
	});

	it('says the countdown where tones are off', async () => {
		const { runner, heard } = begun(CIRCUIT, {}, { sounds: false });
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(31_000);
		expect(rounded(heard.filter(([at]) => at > 25 && at < 29.5))).toEqual([
			[27, 'Three'],
			[28, 'Two'],
			[29, 'One']
		]);
		expect(heard.some(([, what]) => isTone(what))).toBe(false);
		runner.stop();
	});

	it.each(['pause', 'skip', 'back', 'finish'] as const)(
		'takes back the tones that were planned: %s',
		async (deed) => {
			const { runner, heard } = begun();
			runner.do({ do: 'start' });
			await vi.advanceTimersByTimeAsync(27_500);
			runner.do({ do: deed });
			await vi.advanceTimersByTimeAsync(deed === 'pause' || deed === 'finish' ? 60_000 : 3000);
			// Of the countdown from 27 s on the first tone was heard.
			expect(rounded(heard.filter(([at, what]) => what === 'short' && at > 25 && at < 31))).toEqual([
				[27, 'short']
			]);
			runner.stop();
		}
	);

	it('plans the tones of a countdown anew where the end is put off', async () => {
		const { runner, heard } = begun();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(42_500);
		runner.do({ do: 'longer', seconds: 15 });
		await vi.advanceTimersByTimeAsync(18_000);
		expect(rounded(heard.filter(([at, what]) => isTone(what) && at > 40))).toEqual([
			[42, 'short'],
			[57, 'short'],
			[58, 'short'],
			[59, 'short'],
			[60, 'long']
		]);
		runner.stop();
	});

	it('goes on counting down while a set is noted', async () => {
		const { runner, heard } = begun();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(42_500);
		runner.do({ do: 'log', exercise: 0, set: 1, amount: 20, kg: null, effort: 7 });
		await vi.advanceTimersByTimeAsync(2000);
		expect(rounded(heard.filter(([at, what]) => isTone(what) && at > 41))).toEqual([
			[42, 'short'],
			[43, 'short'],
			[44, 'short'],
			[45, 'long']
		]);
		runner.stop();
	});

	it('is within 50 ms of the timeline over an hour', () => {
		const { runner, heard } = begun(courseFrom('circuit 40 rounds 60/30: plank'));
		runner.do({ do: 'start' });
		// In one go: 36,000 turns of the event loop take minutes where others keep it busy.
		vi.advanceTimersByTime(3_600_000);
		const starts = heard
			.filter(([, what]) => /(?:^|\. )Plank, 60 seconds$/.test(what) && !what.startsWith('Rest'))
			.map(([at]) => at);
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
		expect(again.absence).toBeNull();
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
		expect(again.absence).toMatchObject({ sets: 3, isLast: true });
		again.answer('back');
		expect(again.absence).toBeNull();
		expect(again.moment).toMatchObject({ phase: 'going', step: 0 });
		expect(again.moment.gone).toBeGreaterThanOrEqual(15);
		expect(again.moment.gone).toBeLessThanOrEqual(20);
		again.stop();
	});

	it('counts nothing that passed while the page was closed, also after the end', async () => {
		const { runner, store } = begun();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(50_000);
		runner.stop();
		await vi.advanceTimersByTimeAsync(3_600_000);
		const again = begun(CIRCUIT, await store.run('k')).runner;
		expect(again.moment.phase).toBe('over');
		expect(again.absence).toMatchObject({ sets: 5 });
		expect(again.log.sets.filter(({ amount }) => amount > 0)).toHaveLength(1);
		again.answer('did');
		expect(again.log.done).toBe('all');
		again.stop();
	});

	it('asks about what passed while the page was out of sight', async () => {
		const { runner, store } = begun();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(20_000);
		runner.hidden();
		await vi.advanceTimersByTimeAsync(200_000);
		// What the device keeps says so too: the page may be thrown away.
		expect((await store.run('k'))?.seen).toBe(T + 20_000);
		await runner.woken(() => Promise.resolve(null));
		expect(runner.absence).toMatchObject({ from: T + 20_000, sets: 5 });
		expect(runner.log.done).toBe('none');
		runner.stop();
	});

	it('asks nothing of somebody who looks at something else for a minute', async () => {
		const { runner } = begun();
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(20_000);
		runner.hidden();
		await vi.advanceTimersByTimeAsync(60_000);
		await runner.woken(() => Promise.resolve(null));
		expect(runner.absence).toBeNull();
		runner.stop();
	});

	it('asks about what passed while the device slept with the page in sight', () => {
		const { runner } = begun();
		runner.do({ do: 'start' });
		vi.advanceTimersByTime(20_000);
		// No timer fires in a sleep.
		vi.setSystemTime(T + 400_000);
		const ticks = vi.spyOn(performance, 'now').mockReturnValue(performance.now() + 380_000);
		vi.advanceTimersByTime(200);
		expect(runner.absence).toMatchObject({ sets: 6 });
		expect(runner.log.done).toBe('none');
		ticks.mockRestore();
		runner.stop();
	});

	it('takes a clock that was put on for what it is, if the server says so', async () => {
		const { runner, store } = begun(CIRCUIT, {}, { offset: 0 });
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(20_000);
		runner.stop();
		await vi.advanceTimersByTimeAsync(5000);
		vi.setSystemTime(Date.now() + 3_600_000);
		const kept = await store.run('k');
		const told = begun(CIRCUIT, kept, { offset: -3_600_000 }).runner;
		expect(told.absence).toBeNull();
		expect(told.moment).toMatchObject({ step: 0, gone: 25 });
		told.stop();
		const alone = begun(CIRCUIT, kept).runner;
		expect(alone.absence).toMatchObject({ sets: 6 });
		alone.stop();
	});

	it('does not ask where nothing went on: one set waits for whoever does it', async () => {
		const { runner, store } = begun(SETS);
		runner.do({ do: 'start' });
		await vi.advanceTimersByTimeAsync(5_000);
		runner.stop();
		await vi.advanceTimersByTimeAsync(7_200_000);
		const again = begun(SETS, await store.run('k')).runner;
		expect(again.absence).toBeNull();
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
		await runner.woken(() => Promise.resolve(null));
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
			heard.filter(([at, what]) => isTone(what) && at > 0).map(([at, what]) => [Math.round(at * 1000), what])
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
		wall -= DAY_MS;
		clock.woken();
		expect(clock.now()).toBe(1_000_500);
		wall += DAY_MS + 60_000;
		clock.woken();
		expect(clock.now()).toBe(1_060_000);
	});
});
