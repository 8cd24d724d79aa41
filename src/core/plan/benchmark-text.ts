import type { Benchmark } from './model';

/** A test in words: `Push-ups: most reps of Push-up in 60 s`. */
export function testText({ name, exercise, measure, seconds, reps, kg }: Benchmark): string {
	const load = kg === null ? '' : ` with ${kg} kg`;
	switch (measure) {
		case 'most reps in a time':
			return `${name}: most reps of ${exercise}${load}${seconds === null ? '' : ` in ${seconds} s`}`;
		case 'longest hold':
			return `${name}: longest hold, ${exercise}${load}`;
		case 'time for fixed work':
			return `${name}: time for ${reps === null ? '' : `${reps} × `}${exercise}${load}`;
		case 'load and reps':
			return `${name}: load and reps of ${exercise}${reps === null ? '' : `, up to ${reps}`}`;
		case 'carry distance':
			return `${name}: how far, ${exercise}${load}${seconds === null ? '' : ` in ${seconds} s`}`;
	}
}
