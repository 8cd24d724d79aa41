/**
 * Everyone on ordinary sessions: ten sets of equipment, three levels and every condition, judged by rules of a careful coach
 * that know nothing of the ratings in the library (tests/support/judged; common practice, no source).
 */
import { describe, expect, it } from 'vitest';
import { canDoWith, withinLimits } from '$core/kit';
import { likeness } from '$core/substitution';
import { PRACTICE } from '../support/practice';
import { sessionOf } from '../support/sessions';
import { judge, type Fault } from '../support/judged/judge';
import { PEOPLE, type Judged } from '../support/judged/people';
import { isUnsuitable } from '../support/judged/rules';
import { SEEN, UNSEEN } from '../support/judged/sessions';

const { library } = PRACTICE;
/** Whether anything of the same movement that works the same muscles is at hand and suits the condition. */
function hasAnother(name: string, { profile, condition }: Judged): boolean {
	const exercise = library.find(name);
	return (
		exercise !== null &&
		library.all.some(
			(e) =>
				e.pattern === exercise.pattern &&
				likeness(e, exercise) >= 0.4 &&
				canDoWith(profile.kit, e) &&
				withinLimits(e, profile.limits) &&
				!isUnsuitable(e.name, condition)
		)
	);
}

/** People who are tried: all of them, or each seventh where mutants are. */
const people = process.env.FEW_RUNS === '1' ? PEOPLE.filter((_, i) => i % 7 === 0) : PEOPLE;

describe.each([
	['seen', SEEN],
	['unseen', UNSEEN]
])('the %s dozen', (_, lines) => {
	const sessions = new Map(Object.entries(lines).map(([name, text]) => [name, sessionOf(...text)]));
	const verdict = judge(sessions, people, PRACTICE, hasAnother);

	it.each<Fault>(['too heavy', 'unsuitable', 'repeated', 'out of place'])('nothing is %s', (fault) => {
		expect(verdict.examples[fault].slice(0, 8)).toEqual([]);
	});

	it('under one in a hundred is left out although something would fit', () => {
		expect(verdict.exercises).toBeGreaterThan(2_000);
		expect(verdict.counts['left out'] / verdict.exercises).toBeLessThan(0.01);
	});

	it('under two in a hundred sessions take more than 15 % and a minute longer', () => {
		expect(verdict.counts['session longer'] / verdict.sessions).toBeLessThan(0.02);
	});

	it('under two in a hundred parts take more than a tenth and five seconds longer', () => {
		expect(verdict.counts['part longer'] / verdict.exercises).toBeLessThan(0.02);
	});
});
