import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { courseFrom } from '../../../tests/support/course';
import { PRACTICE } from '../../../tests/support/practice';
import { compileSession, formatOf, parseSessionText, prescriptionOf, type Session } from '../session';
import { withFirstSide } from './course';
import { courseOf } from './course-of';
import { ledCourse } from './steps';

const tasksOf = (text: string) =>
	courseFrom(text).steps.flatMap(({ tasks }) =>
		tasks.map(({ part, set, side, amount }) => [part, set, side, amount])
	);
const shapeOf = (text: string) =>
	courseFrom(text).steps.map(({ kind, ends, seconds }) => [kind, ends, seconds]);

describe('the steps of a session', () => {
	it('end by themselves where they are of time, and with the person where they are counted', () => {
		// 8 reps of 3 s each.
		expect(shapeOf('2 x 8 squat, rest 60')).toEqual([
			['work', 'person', 24],
			['rest', 'time', 60],
			['work', 'person', 24]
		]);
		expect(shapeOf('circuit 1 round 30/15: plank + squat')).toEqual([
			['work', 'time', 30],
			['rest', 'time', 15],
			['work', 'time', 30]
		]);
	});

	it('name the set of the log that each is, both sides the same one', () => {
		expect(tasksOf('2 x 8 split squat each leg')).toEqual([
			[0, 1, 'left', 8],
			[0, 1, 'right', 8],
			[0, 2, 'left', 8],
			[0, 2, 'right', 8]
		]);
		expect(tasksOf('squat 12, 10, 8')).toEqual([
			[0, 1, 'both', 12],
			[0, 2, 'both', 10],
			[0, 3, 'both', 8]
		]);
	});

	it('go on counting sets where blocks are repeated', () => {
		const tasks = tasksOf('repeat 2 times, rest 30:\n2 x 5 squat\nend repeat');
		expect(tasks.map(([, set]) => set)).toEqual([1, 2, 3, 4]);
	});

	it('take a drop as part of the set that it belongs to', () => {
		const tasks = tasksOf('2 x 10 curl @ 10 kg, drop 1 x 20% on last');
		expect(tasks.map(([, set]) => set)).toEqual([1, 2, 2]);
	});

	it('keep one clock for a minute, for a fixed time and for all rounds against a limit', () => {
		const emom = courseFrom('emom 4 min: 8 squat + 5 push-up / 10 swing').steps;
		expect(emom.map(({ seconds, counting, tasks }) => [seconds, counting, tasks.length])).toEqual([
			[60, 'once', 2],
			[60, 'once', 1],
			[60, 'once', 2],
			[60, 'once', 1]
		]);
		expect(emom.map(({ tasks }) => tasks.map(({ set }) => set))).toEqual([[1, 1], [1], [2, 2], [2]]);
		const [amrap] = courseFrom('amrap 10 min: 5 push-up + 10 squat').steps;
		expect(amrap).toMatchObject({ seconds: 600, ends: 'time', counting: 'again' });
		expect(amrap?.tasks).toHaveLength(2);
		const [race] = courseFrom('for time 3 rounds, limit 8 min: 10 squat + 5 push-up').steps;
		expect(race).toMatchObject({ seconds: 480, ends: 'time', counting: 'all' });
		expect(race?.tasks.map(({ part, set }) => [part, set])).toEqual([
			[0, 1],
			[1, 1],
			[0, 2],
			[1, 2],
			[0, 3],
			[1, 3]
		]);
	});

	it('take over the calls of the timeline, counted from each step', () => {
		const [work, rest] = courseFrom('circuit 2 rounds 40/20: plank').steps;
		expect(work?.cues).toEqual([
			{ kind: 'start', at: 0, from: 'beginning' },
			{ kind: 'halfway', at: 20, from: 'beginning' },
			{ kind: 'ten-left', at: 10, from: 'end' },
			{ kind: 'three-two-one', at: 3, from: 'end' }
		]);
		expect(rest?.cues).toEqual([
			{ kind: 'next-up', at: 0, from: 'beginning' },
			{ kind: 'three-two-one', at: 3, from: 'end' }
		]);
	});

	it('let the weaker side go first', () => {
		const sides = withFirstSide(courseFrom('1 x 8 split squat each leg'), 'right').steps.flatMap(
			({ tasks }) => tasks.map(({ side }) => side)
		);
		expect(sides).toEqual(['right', 'left']);
	});
});

describe('a course that is led', () => {
	it('goes by the clock throughout, and is counted down where people would set the pace', () => {
		const { steps } = ledCourse(courseFrom('2 x 8 squat, rest 60\nemom 2 min: 8 swing'));
		expect(steps.map(({ ends, counting }) => [ends, counting])).toEqual(steps.map(() => ['time', null]));
		// 8 reps of 3 s.
		expect(steps[0]).toMatchObject({ seconds: 24 });
		expect(steps[0]?.cues.map(({ kind, at, from }) => [kind, at, from])).toEqual([
			['start', 0, 'beginning'],
			['halfway', 12, 'beginning'],
			['ten-left', 10, 'end'],
			['three-two-one', 3, 'end']
		]);
	});
});

const SESSIONS: Session[] = readFileSync('tests/corpus/good-sessions.txt', 'utf8')
	.split(/^== .*$/m)
	.slice(1)
	.map((text) => {
		const { session, faults } = parseSessionText(text.trim(), PRACTICE);
		expect(faults).toEqual([]);
		return session;
	});

const courseFromSession = (session: Session) =>
	courseOf(
		'',
		{ session, asked: prescriptionOf(session, PRACTICE) },
		{ kit: null, limits: [], units: 'kg' },
		PRACTICE
	);

describe('every session of the corpus', () => {
	it('is there', () => expect(SESSIONS).toHaveLength(20));

	it('takes as long step by step as its timeline', () => {
		for (const session of SESSIONS) {
			const { steps, seconds } = courseFromSession(session);
			expect(steps.reduce((sum, step) => sum + step.seconds, 0)).toBeCloseTo(seconds, 6);
			expect(seconds).toBe(compileSession(session, PRACTICE).totals.duration);
		}
	});

	it('has every set that is asked for, and none beside', () => {
		for (const session of SESSIONS) {
			const asked = prescriptionOf(session, PRACTICE);
			const { steps } = courseFromSession(session);
			asked.forEach(({ sets, exercise, block }, i) => {
				const at = session.blocks[block];
				const found = new Set(
					steps.flatMap(({ tasks }) => tasks.filter((task) => task.exercise === i).map(({ set }) => set))
				);
				// Who does what at a station is settled when it is clear how many there are.
				if (at && !('people' in at))
					expect([exercise, formatOf(at).name, [...found]]).toEqual([
						exercise,
						formatOf(at).name,
						Array.from({ length: sets }, (_, s) => s + 1)
					]);
			});
		}
	});
});
