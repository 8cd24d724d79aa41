import { readFileSync } from 'node:fs';
import { Bench } from 'tinybench';
import { libraryOf, STANDARD, type Exercise } from '$core/exercise';
import {
	checkPlan,
	emptyForms,
	EMPTY_PLAN,
	resolvePlan,
	newRule,
	REST_DAY,
	simulate,
	swapDays,
	simulationInput,
	DEFAULT_ASSUMPTIONS,
	type Plan,
	type PlannedDay,
	type PlanSession
} from '$core/plan';
import { ExerciseSearch } from '$lib/features/build/exercise-search';
import { compileSession, parseLine } from '$core/session';
import { HOUR, median, read, report, timesOf } from './measure';
import { PRACTICE } from '../support/practice';

export async function compile(): Promise<void> {
	const bench = new Bench({ time: 1000 });
	bench.add('compile', () => compileSession(HOUR, PRACTICE));
	await bench.run();
	const result = bench.tasks[0]?.result;
	const ms = result && 'latency' in result ? result.latency.p50 : NaN;
	const { segments, totals } = compileSession(HOUR, PRACTICE);
	report(
		'compile a 60-minute session, median',
		ms,
		'ms',
		1,
		`${Math.round(totals.duration / 60)} min, ${segments.length} segments`
	);
}

/** What coaches type, each line by itself as it is read at every key pressed. */
export function typed(): void {
	const lines = readFileSync('tests/corpus/typed-lines.txt', 'utf8')
		.split('\n')
		.filter((line) => line && !line.startsWith('#'))
		.map((line) => line.split(' => ')[0] ?? '');
	const all = timesOf(5, () => lines.forEach((line) => parseLine(line, PRACTICE)), 1);
	report('read a typed line, mean of all', median(all) / lines.length, 'ms', 5, `${lines.length} lines`);
}

/** Time a segment of 20,000 segments against that of 2,000: 1 is exactly linear. */
export function linear(): void {
	const circuit = (rounds: number) =>
		`circuit ${rounds} rounds 30/15: ${Array(20).fill('squat').join(' + ')}`;
	const sessions = [read(circuit(50)), read(`repeat 10 times, rest 30:\n${circuit(50)}\nend repeat`)];
	// In turn, so that both meet the same machine, and the quickest of each: what tidying up memory costs is not the
	// algorithm's.
	const quickest = sessions.map(() => Infinity);
	for (let turn = 0; turn < 60; turn++)
		sessions.forEach((session, i) => {
			const [ms = Infinity] = timesOf(1, () => void compileSession(session, PRACTICE), 0);
			quickest[i] = Math.min(quickest[i] ?? Infinity, ms);
		});
	const [small, large] = sessions.map((session, i) => ({
		count: compileSession(session, PRACTICE).segments.length,
		ms: quickest[i] ?? NaN
	})) as [{ count: number; ms: number }, { count: number; ms: number }];
	report(
		'compile 20,000 segments, time a segment against that of 2,000',
		large.ms / large.count / (small.ms / small.count),
		'×',
		1.5,
		`${large.count} segments in ${large.ms.toFixed(1)} ms, ${small.count} in ${small.ms.toFixed(2)} ms`
	);
}

/** 2,000 exercises: the library that ships and the rest as a coach's own. */
export function search(): void {
	const model = STANDARD.all;
	const own = Array.from({ length: 2000 - model.length }, (_, i): Exercise => {
		const like = model[i % model.length] as Exercise;
		return { ...like, name: `${like.name} of hut ${i}`, ownId: String(i) };
	});
	const all = new ExerciseSearch(libraryOf(own));
	const asked = ['gob', 'goblet sqat', 'press', 'hamstrings', 'row hut 12', 'single leg', 'band', 'xyzzy'];
	const times = asked.map((text) => median(timesOf(20, () => void all.find({ text }, 60))));
	report(
		'search over 2,000 exercises, the slowest of eight searches',
		Math.max(...times),
		'ms',
		30,
		asked.map((text, i) => `“${text}” ${times[i]?.toFixed(1)}`).join(', ')
	);
}

/** Twelve weeks of five sessions, sixty in all, with rules and lighter weeks; every session a form of its own. */
export function bigPlan(): { plan: Plan; sessions: PlanSession[] } {
	const sessions = Array.from({ length: 60 }, (_, i): PlanSession => {
		const first = HOUR.blocks[0];
		const blocks = first ? [...HOUR.blocks.slice(1 + (i % 3)), first] : HOUR.blocks;
		return { key: `s${i}`, name: `Session ${i}`, body: { blocks } };
	});
	const days = Array.from({ length: 84 }, (_, i): PlannedDay => {
		const weekday = i % 7;
		if (weekday > 4) return REST_DAY;
		return { kind: 'train', session: `s${Math.floor(i / 7) * 5 + weekday}`, effort: null, tests: [] };
	});
	const rules = [
		newRule('a', { exercise: 'Goblet squat' }, [{ kind: 'double', top: 12, kg: 1 }]),
		newRule('b', { exercise: 'One-arm row' }, [{ kind: 'load', kg: 1 }]),
		newRule('c', { exercise: 'Plank' }, [{ kind: 'seconds', seconds: 1 }])
	];
	return { plan: { ...EMPTY_PLAN, days, rules, deload: { every: 4, keep: 0.6 } }, sessions };
}

/** What a change of the plan costs: one day is another, and everything is worked out and checked again. */
export function checkPlans(): void {
	const { plan, sessions } = bigPlan();
	const known = emptyForms();
	const check = (p: Plan) =>
		checkPlan(resolvePlan(p, sessions, PRACTICE, known), PRACTICE, { budgetMinutes: 45 });
	const first =
		timesOf(
			1,
			() => void checkPlan(resolvePlan(plan, sessions, PRACTICE), PRACTICE, { budgetMinutes: 45 })
		)[0] ?? NaN;
	let turn = 0;
	const times = timesOf(30, () => void check(swapDays(plan, 1 + (turn++ % 80), 84)));
	report(
		'checks of a 12-week plan with 60 sessions after a move, median',
		median(times),
		'ms',
		100,
		`${check(plan).length} findings; with every session compiled anew ${first.toFixed(0)} ms`
	);
}

/** The imagined groups of one click. */
export function tryOut(): void {
	const { plan, sessions } = bigPlan();
	const trial = simulationInput(resolvePlan(plan, sessions, PRACTICE), 45, 10);
	const times = timesOf(5, () => void simulate(trial, DEFAULT_ASSUMPTIONS, 'bench', 200));
	report(
		'a 12-week plan with 60 sessions lived by 200 groups of 25, median',
		median(times),
		'ms',
		1000,
		`${trial.days.length} sessions; in a worker, with progress`
	);
}
