import { describe, expect, it } from 'vitest';
import { courseFrom } from '../../../tests/support/course';
import { amountWords, callListOf, callWords, nextWork, stepWords } from './calls';
import { beginningAt } from './course';
import { ledCourse } from './steps';

const NONE: ReadonlySet<number> = new Set();
const said = (text: string, leftOut = NONE) => {
	const course = courseFrom(text);
	return course.steps.map(({ cues }, i) => cues.map((cue) => callWords(course, i, cue, leftOut)));
};

describe('what is called out', () => {
	it('says what is done, with how much and with what', () => {
		expect(said('2 x 8 goblet squat @ 12 kg, rest 60')).toEqual([
			['Goblet squat, 8 reps, 12 kg'],
			['Rest. Next: Goblet squat, 8 reps, 12 kg', 'Drink some water', 'Three, two, one'],
			['Last round', 'Goblet squat, 8 reps, 12 kg']
		]);
	});
	it('says which side, and when it changes', () => {
		expect(said('1 x 1 split squat each leg')).toEqual([
			['Split squat, left side, 1 rep'],
			['Change side'],
			['Split squat, right side, 1 rep']
		]);
	});
	it('says the time that is left', () => {
		expect(said('circuit 1 round 40/20: plank')[0]).toEqual([
			'40 seconds of work, 20 seconds of rest. Plank, 40 seconds',
			'Halfway',
			'Ten seconds',
			'Three, two, one'
		]);
	});
	it('passes over what is left out', () => {
		const course = courseFrom('circuit 1 round 40/20: plank + squat + push-up');
		expect(nextWork(course, 0, new Set([1]))?.tasks[0]?.exercise).toBe(2);
		expect(nextWork(course, 0, new Set([1, 2]))).toBeNull();
		const [, rest] = said('circuit 1 round 40/20: plank + squat + push-up', new Set([1, 2]));
		expect(rest?.[0]).toBe('Rest. That was the last one');
	});
	it.each([
		['emom 12 min: 8 squat', '12 minutes, every minute. Squat, 8 reps'],
		['amrap 10 min: 8 squat', '10 minutes, as many rounds as possible. Squat, 8 reps'],
		[
			'for time 3 rounds, limit 8 min: 10 squat',
			'3 rounds for time, limit 8 minutes. 3 rounds: Squat, 10 reps'
		],
		['circuit 2 rounds 30/0: plank', '2 rounds, 30 seconds of work, no rest. Plank, 30 seconds'],
		[
			'superset 3 rounds, rest 15 inside, 90 after: 8 squat + 8 push-up',
			'3 rounds of 2 exercises. Squat, 8 reps'
		],
		['3 x 8 squat', 'Squat, 8 reps']
	])('says the rule of a block before it begins: %s', (text, words) => {
		expect(said(text)[0]?.[0]).toBe(words);
		const course = beginningAt(courseFrom(text), 0);
		const call = (at: number, cue: number) => callWords(course, at, course.steps[at]!.cues[cue]!, NONE);
		// Said in the lead-in, it is not said again as the work begins.
		expect(call(0, 0)).toBe(`Next: ${words}`);
		expect(
			call(
				1,
				course.steps[1]!.cues.findIndex(({ kind }) => kind === 'start')
			)
		).toBe(words.slice(words.indexOf('. ') < 0 ? 0 : words.indexOf('. ') + 2));
	});
	it('says all of a minute, and the rounds that are against the clock', () => {
		const of = (text: string) => {
			const course = courseFrom(text);
			return course.steps[0] && stepWords(course, course.steps[0]);
		};
		expect(of('emom 2 min: 8 squat + 5 push-up')).toBe('Squat, 8 reps; Push-up, 5 reps');
		expect(of('for time 3 rounds, limit 8 min: 10 squat + 40 m suitcase carry')).toBe(
			'3 rounds: Squat, 10 reps; Suitcase carry, 40 metres'
		);
		expect(of('amrap 5 min: 10 squat')).toBe('Squat, 10 reps');
	});
	it('counts one as one', () => {
		expect([
			amountWords(1, 'reps'),
			amountWords(2, 'reps'),
			amountWords(1, 's'),
			amountWords(30, 's')
		]).toEqual(['1 rep', '2 reps', '1 second', '30 seconds']);
	});
});

describe('the list of calls', () => {
	it('has what is said of each step at its time, block by block, without what the clock says by itself', () => {
		const [block, ...more] = callListOf(ledCourse(courseFrom('circuit 2 rounds 30/15: plank + squat')));
		expect(more).toEqual([]);
		const calls = block?.calls ?? [];
		expect(calls.map(({ at }) => at)).toEqual([...calls.map(({ at }) => at)].sort((a, b) => a - b));
		expect(calls.some(({ say }) => say.includes('Halfway') || say.includes('Ten seconds'))).toBe(false);
		const starts = calls.filter(({ say }) => /(Plank|Squat), 30 seconds$/.test(say) && !say.includes('Next'));
		expect(starts.map(({ at, say }) => [at, /Plank|Squat/.exec(say)?.[0]])).toEqual([
			[0, 'Plank'],
			[45, 'Squat'],
			[90, 'Plank'],
			[135, 'Squat']
		]);
	});
});
