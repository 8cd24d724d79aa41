import { parseSessionText, type Session } from '$core/session';
import { PRACTICE } from '../support/practice';

export function report(name: string, value: number, unit: string, bound: number, detail: string): void {
	console.log(JSON.stringify({ name, value, unit, bound, detail }));
}

export const median = (values: number[]): number =>
	[...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

export async function timed(work: () => Promise<unknown>): Promise<number> {
	const began = performance.now();
	await work();
	return performance.now() - began;
}

/** Times of something in milliseconds, after some runs to warm up. */
export function timesOf(runs: number, work: () => void, warmUp = 5): number[] {
	const times: number[] = [];
	for (let i = 0; i < runs + warmUp; i++) {
		const began = performance.now();
		work();
		if (i >= warmUp) times.push(performance.now() - began);
	}
	return times;
}

export function read(text: string): Session {
	const { session, faults } = parseSessionText(text, PRACTICE);
	if (faults[0]) throw new Error(`${faults[0].line}: ${faults[0].message}`);
	return session;
}

/** About an hour: warm-up, four supersets, a long EMOM, a circuit of 40 slots, stretches. */
export const HOUR = read(
	[
		'warm-up: circuit 3 rounds 30/10: march with arms up + hip circles per side + bird dog per side',
		...Array.from(
			{ length: 3 },
			() => 'superset 3 rounds, rest 30 inside, 90 after: 10 goblet squat 3-1-1 + 8 per side one-arm row'
		),
		'emom 8 min: 10 swing / 6 per side step-up',
		'circuit 2 rounds 30/15, 45 between: squat + push-up + plank + swing + glute bridge + fast feet + wall sit + curl',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side hip flexor stretch + 30 s child rest'
	].join('\n')
);
