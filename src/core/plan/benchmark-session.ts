import type { Practice } from '../practice';
import { parseSessionText, type Session } from '../session';
import type { Benchmark } from './model';
import { testText } from './benchmark-text';

/** Rest before each test, so that one does not take from the next. */
const REST_SECONDS = 180;
const WARM_UP = 'warm-up: circuit 2 rounds 30/10: march with arms up + hip circles per side + squat to reach';
const COOL_DOWN =
	'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side hip flexor stretch + 30 s child rest';

/** One test as a line. Where a test leaves a number open, one is put in that a coach can change. */
function lineOf({ exercise, measure, seconds, reps, kg }: Benchmark, { library }: Practice): string {
	const side = library.find(exercise)?.perSide ? ' per side' : '';
	const what = `"${exercise}"${kg === null ? '' : ` @ ${kg} kg`}`;
	switch (measure) {
		case 'most reps in a time':
			return `circuit 1 round ${seconds ?? 60}/5:${side} ${what}`;
		case 'carry distance':
			return `circuit 1 round ${seconds ?? 300}/5:${side} ${what}`;
		case 'longest hold':
			return `1 x 60 s${side} ${what}, rest 0`;
		case 'time for fixed work':
			return `for time 1 round, limit 15 min: ${reps ?? 50} reps${side} ${what}`;
		case 'load and reps':
			return `1 x ${reps ?? 10} reps${side} ${what}, rest 0`;
	}
}

/**
 * A session that takes tests one after the other, warm and with rest before each.
 * @throws RangeError without any, or where one cannot be made a block of
 */
export function testSession(tests: readonly Benchmark[], practice: Practice): Session {
	if (tests.length === 0) throw new RangeError('tests: a test session needs at least one');
	const lines = [
		'note: The same order, the same place and the same hour of the day each time, or the results say nothing.',
		...tests.map((test) => `note: ${testText(test)}.`),
		WARM_UP,
		...tests.flatMap((test) => [`setup ${REST_SECONDS} s: rest, then ${test.name}`, lineOf(test, practice)]),
		COOL_DOWN
	];
	const { session, faults } = parseSessionText(lines.join('\n'), practice);
	const [fault] = faults;
	if (fault) throw new RangeError(`tests: line ${fault.line} of their session, ${fault.message}`);
	return session;
}
