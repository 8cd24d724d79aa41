import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { courseFrom } from '../../../tests/support/course';
import { beginningAt } from './course';
import { callsBetween, momentOf, nextChange, type Act } from './moment';

const T = Date.UTC(2026, 4, 13, 6, 0, 0);
const s = (seconds: number) => T + seconds * 1000;
const start: Act = { do: 'start', at: T };

/** Work 30, rest 15, work 30, rest 15, …: eight steps, 165 s. */
const CIRCUIT = courseFrom('circuit 2 rounds 30/15: plank + squat');
/** Two sets of 24 s at one's own pace, a minute between. */
const SETS = courseFrom('2 x 8 squat, rest 60');
/** Work that is done per side. */
const SIDES = courseFrom('1 x 8 split squat each leg\n1 x 10 push-up');

describe('a session that goes by the clock', () => {
	it('is not begun before somebody begins it', () => {
		expect(momentOf(CIRCUIT, [], s(100))).toMatchObject({
			phase: 'ready',
			step: 0,
			gone: 0,
			elapsed: 0,
			remaining: 165
		});
	});
	it('is where the clock says, whenever one looks', () => {
		expect(momentOf(CIRCUIT, [start], s(0))).toMatchObject({
			phase: 'going',
			step: 0,
			gone: 0,
			left: 30,
			remaining: 165
		});
		expect(momentOf(CIRCUIT, [start], s(29.5))).toMatchObject({ step: 0, gone: 29.5, left: 0.5 });
		expect(momentOf(CIRCUIT, [start], s(30))).toMatchObject({ step: 1, gone: 0, left: 15, remaining: 135 });
		expect(momentOf(CIRCUIT, [start], s(100))).toMatchObject({ step: 4, gone: 10, left: 20, elapsed: 100 });
		expect(momentOf(CIRCUIT, [start], s(165))).toMatchObject({
			phase: 'over',
			step: 7,
			left: null,
			elapsed: 165,
			remaining: 0
		});
		expect(momentOf(CIRCUIT, [start], s(9999))).toMatchObject({ phase: 'over', elapsed: 165 });
	});
	it('stands while it is paused, and goes on where it stood', () => {
		const acts: Act[] = [start, { do: 'pause', at: s(40) }];
		expect(momentOf(CIRCUIT, acts, s(4000))).toMatchObject({
			phase: 'paused',
			step: 1,
			gone: 10,
			left: 5,
			elapsed: 40
		});
		acts.push({ do: 'resume', at: s(4000) });
		expect(momentOf(CIRCUIT, acts, s(4004))).toMatchObject({
			phase: 'going',
			step: 1,
			gone: 14,
			elapsed: 44
		});
		expect(momentOf(CIRCUIT, acts, s(4005))).toMatchObject({ step: 2, gone: 0 });
	});
	it('goes to another step while it is paused, and stands there', () => {
		const acts: Act[] = [start, { do: 'pause', at: s(10) }, { do: 'skip', at: s(50) }];
		expect(momentOf(CIRCUIT, acts, s(60))).toMatchObject({ phase: 'paused', step: 1, gone: 0, elapsed: 10 });
		acts.push({ do: 'resume', at: s(70) });
		expect(momentOf(CIRCUIT, acts, s(75))).toMatchObject({ phase: 'going', step: 1, gone: 5, elapsed: 15 });
	});
	it('gives a longer rest', () => {
		const acts: Act[] = [start, { do: 'longer', at: s(35), seconds: 30 }];
		expect(momentOf(CIRCUIT, acts, s(40))).toMatchObject({ step: 1, gone: 10, left: 35 });
		expect(momentOf(CIRCUIT, acts, s(74))).toMatchObject({ step: 1 });
		expect(momentOf(CIRCUIT, acts, s(75))).toMatchObject({ step: 2, gone: 0, left: 30 });
	});
	it('goes as many times as fast as it is asked to', () => {
		const fast: Act[] = [{ do: 'start', at: T, speed: 4 }];
		expect(momentOf(CIRCUIT, fast, s(10))).toMatchObject({ step: 1, gone: 10, elapsed: 40 });
		expect(momentOf(CIRCUIT, fast, s(41.25))).toMatchObject({ phase: 'over' });
	});
	it('leaves out what was done after the instant that is asked about', () => {
		expect(momentOf(CIRCUIT, [start, { do: 'finish', at: s(50) }], s(20))).toMatchObject({
			phase: 'going',
			step: 0
		});
	});
	it('begins where it is asked to, ten seconds after the start', () => {
		const course = beginningAt(CIRCUIT, 4);
		expect(momentOf(course, [start], s(9))).toMatchObject({ step: 0, left: 1 });
		expect(course.steps[0]).toMatchObject({ kind: 'setup', tasks: [] });
		expect(momentOf(course, [start], s(11))).toMatchObject({ step: 1, gone: 1 });
		expect(course.steps[1]).toEqual(CIRCUIT.steps[4]);
		// A rest is lead-in enough.
		expect(beginningAt(CIRCUIT, 1).steps).toEqual(CIRCUIT.steps.slice(1));
	});
});

describe('back', () => {
	it('begins the work anew, or goes to the one before from a rest or in its first seconds', () => {
		const at = (seconds: number) =>
			momentOf(CIRCUIT, [start, { do: 'back', at: s(seconds) }], s(seconds + 1));
		expect(at(20)).toMatchObject({ step: 0, gone: 1 });
		expect(at(35)).toMatchObject({ step: 0, gone: 1 });
		expect(at(47)).toMatchObject({ step: 0, gone: 1 });
		expect(at(60)).toMatchObject({ step: 2, gone: 1 });
		expect(at(1)).toMatchObject({ step: 0, gone: 1 });
	});
	it('takes up the last work again when it is over, and the time in between is a pause', () => {
		const acts: Act[] = [start, { do: 'back', at: s(500) }];
		expect(momentOf(CIRCUIT, acts, s(510))).toMatchObject({
			phase: 'going',
			step: 6,
			gone: 10,
			elapsed: 175
		});
		expect(momentOf(CIRCUIT, acts, s(530))).toMatchObject({ phase: 'over', elapsed: 195 });
	});
	it('forgets how it went', () => {
		const acts: Act[] = [start, { do: 'back', at: s(35) }];
		expect([...momentOf(CIRCUIT, acts, s(36)).outcomes.keys()]).toEqual([]);
	});
});

describe('work that is counted', () => {
	it('waits for the person', () => {
		expect(momentOf(SETS, [start], s(600))).toMatchObject({ step: 0, gone: 600, left: null, remaining: 84 });
		const acts: Act[] = [start, { do: 'done', at: s(20) }];
		expect(momentOf(SETS, acts, s(30))).toMatchObject({ step: 1, gone: 10, left: 50 });
		expect(momentOf(SETS, acts, s(90))).toMatchObject({ step: 2, gone: 10, left: null });
		acts.push({ do: 'done', at: s(100) });
		expect(momentOf(SETS, acts, s(200))).toMatchObject({ phase: 'over', elapsed: 100 });
	});
	it('tells how each step went', () => {
		const acts: Act[] = [
			start,
			{ do: 'done', at: s(20) },
			{ do: 'skip', at: s(30) },
			{ do: 'skip', at: s(31) }
		];
		expect([...momentOf(SETS, acts, s(40)).outcomes]).toEqual([
			[0, { how: 'done', seconds: 20, counted: [], endedAt: s(20) }],
			[1, { how: 'skipped', seconds: 10, counted: [], endedAt: s(30) }],
			[2, { how: 'skipped', seconds: 1, counted: [], endedAt: s(31) }]
		]);
	});
	it('is passed over once its exercise is left out, with the change of side that leads to it', () => {
		expect(SIDES.steps.map(({ kind }) => kind)).toEqual([
			'work',
			'side-change',
			'work',
			'transition',
			'work'
		]);
		const acts: Act[] = [start, { do: 'leave', exercise: 0, at: s(10) }];
		expect(momentOf(SIDES, acts, s(11))).toMatchObject({ step: 3, gone: 1 });
		expect(momentOf(SIDES, acts, s(60))).toMatchObject({ step: 4, phase: 'going' });
	});
	it('ends early when somebody says so', () => {
		expect(momentOf(SETS, [start, { do: 'finish', at: s(10) }], s(60))).toMatchObject({
			phase: 'over',
			elapsed: 10,
			step: 3
		});
	});
});

describe('tasks that are counted', () => {
	const race = courseFrom('for time 2 rounds, limit 5 min: 10 squat + 5 push-up');
	const count = (...at: number[]): Act[] => [
		start,
		...at.map((seconds): Act => ({ do: 'count', by: 1, at: s(seconds) }))
	];
	it('are over with the last one, or with the limit', () => {
		expect(momentOf(race, count(40, 60, 110), s(111))).toMatchObject({
			phase: 'going',
			counted: [40, 60, 110]
		});
		expect(momentOf(race, count(40, 60, 110, 130), s(140))).toMatchObject({ phase: 'over', elapsed: 130 });
		expect(momentOf(race, count(40), s(300))).toMatchObject({ phase: 'over', elapsed: 300 });
	});
	it('are taken back', () => {
		const acts: Act[] = [...count(40, 60), { do: 'count', by: -1, at: s(65) }];
		expect(momentOf(race, acts, s(70)).counted).toEqual([40]);
	});
	it('go on for as long as there is time where they are done again and again', () => {
		const amrap = courseFrom('amrap 2 min: 5 squat');
		expect(momentOf(amrap, count(15, 30, 45), s(119))).toMatchObject({
			phase: 'going',
			counted: [15, 30, 45],
			left: 1
		});
	});
	it('are told once in a minute', () => {
		const emom = courseFrom('emom 2 min: 8 squat');
		expect(momentOf(emom, count(20, 25), s(30))).toMatchObject({ step: 0, counted: [20] });
		expect(momentOf(emom, count(20), s(61))).toMatchObject({ step: 1, counted: [] });
	});
	it('are none where nothing is counted', () => {
		expect(momentOf(CIRCUIT, count(10), s(20))).toMatchObject({ step: 0, counted: [] });
	});
});

describe('what is called', () => {
	const words = (acts: Act[], from: number, to: number, course = CIRCUIT) =>
		callsBetween(course, acts, s(from), s(to)).map(({ at, step, cue }) => [
			(at - T) / 1000,
			course.steps[step]?.cues[cue]?.kind
		]);
	it('comes at its time, once, whenever one asks', () => {
		expect(words([start], -1, 31)).toEqual([
			[0, 'start'],
			[15, 'halfway'],
			[20, 'ten-left'],
			[27, 'three-two-one'],
			[30, 'next-up']
		]);
		expect(words([start], 15, 20)).toEqual([[20, 'ten-left']]);
		expect(words([start], 20, 26.9)).toEqual([]);
	});
	it('waits while it is paused and is not said twice', () => {
		const acts: Act[] = [start, { do: 'pause', at: s(18) }, { do: 'resume', at: s(100) }];
		expect(words(acts, 10, 120)).toEqual([
			[15, 'halfway'],
			[102, 'ten-left'],
			[109, 'three-two-one'],
			[112, 'next-up']
		]);
	});
	it('counts down to the end of a rest that was made longer', () => {
		expect(words([start, { do: 'longer', at: s(35), seconds: 30 }], 31, 74)).toEqual([[72, 'three-two-one']]);
	});
	it('is as quick as the session', () => {
		expect(words([{ do: 'start', at: T, speed: 20 }], -1, 1.4)).toEqual([
			[0, 'start'],
			[0.75, 'halfway'],
			[1, 'ten-left'],
			[1.35, 'three-two-one']
		]);
	});
	it('is known beforehand, so that it can be waited for', () => {
		expect(nextChange(CIRCUIT, [start], s(1))).toBe(s(15));
		expect(nextChange(CIRCUIT, [start], s(28))).toBe(s(30));
		expect(nextChange(SETS, [start], s(10))).toBeNull();
		expect(nextChange(CIRCUIT, [], s(10))).toBeNull();
	});
	it('comes about at the very times of the timeline over an hour, whenever the page wakes', () => {
		const hour = courseFrom('circuit 40 rounds 60/30: plank');
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 1, max: 9000 }), { minLength: 50, maxLength: 400 }), (naps) => {
				const heard: number[] = [];
				let last = T - 1;
				for (const nap of [...naps, 4_000_000]) {
					for (const { at } of callsBetween(hour, [start], last, last + nap)) heard.push(at);
					last += nap;
				}
				let began = T;
				const planned = hour.steps.flatMap((step) => {
					const times = step.cues.map(
						({ at, from }) => began + 1000 * (from === 'end' ? step.seconds - at : at)
					);
					began += step.seconds * 1000;
					return times.sort((a, b) => a - b);
				});
				expect(heard).toEqual(planned);
			}),
			{ numRuns: 20 }
		);
	});
});

describe('whatever somebody does', () => {
	const kinds = ['pause', 'resume', 'done', 'skip', 'back', 'finish'] as const;
	const acts = fc.array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.constantFrom(...kinds)), {
		maxLength: 40
	});
	it('the clock never goes beyond a step, and time passes as it does', () => {
		fc.assert(
			fc.property(acts, fc.integer({ min: 0, max: 600 }), (done, wait) => {
				let at = T;
				const all: Act[] = [start];
				for (const [after, kind] of done) all.push({ do: kind, at: (at += after * 1000) });
				const now = at + wait * 1000;
				const moment = momentOf(CIRCUIT, all, now);
				expect(moment.gone).toBeGreaterThanOrEqual(0);
				expect(moment.elapsed).toBeLessThanOrEqual((now - T) / 1000);
				expect(moment.elapsed).toBeGreaterThanOrEqual(0);
				if (moment.left !== null) expect(moment.left).toBeLessThanOrEqual(30);
				for (const step of moment.outcomes.keys()) expect(step).toBeLessThan(moment.step);
			})
		);
	});
});
