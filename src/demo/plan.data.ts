import type { Audience } from '$core/people';
import { newRule, newBenchmark, type Benchmark, type Plan } from '$core/plan';
import type { DemoSession } from './sessions.data';

/** What Hut Season measures, on its first days, half-way and at the end. */
export const BENCHMARKS: Benchmark[] = [
	newBenchmark('plank', 'Plank hold', 'Plank', 'longest hold'),
	newBenchmark('push-ups', 'Push-ups in 60 s', 'Push-up', 'most reps in a time', { seconds: 60 }),
	newBenchmark('carry', 'Carry with 20 kg', 'Pack carry', 'carry distance', { seconds: 600, kg: 20 })
];

export const AUDIENCE: Audience = {
	level: 'some experience',
	items: ['dumbbell', 'light dumbbell', 'band', 'mat', 'step', 'loaded backpack'],
	heaviestKg: 20,
	conditions: []
};

/** How Hut Season rises: the presses by repetitions and load, the holds by seconds, the stairs by less rest. */
export const progressionOf = (ids: Record<DemoSession, string>): Pick<Plan, 'rules' | 'deload'> => ({
	deload: { every: 4, keep: 0.6 },
	rules: [
		newRule('press', { exercise: 'Overhead press' }, [{ kind: 'double', top: 12, kg: 1 }]),
		newRule('side-plank', { exercise: 'Side plank' }, [{ kind: 'seconds', seconds: 5 }]),
		newRule('stairs', { session: ids['Stair intervals'], block: 1 }, [{ kind: 'rest', seconds: 1 }]),
		newRule('deadlift', { session: ids['Every minute'], block: 1 }, [{ kind: 'reps', reps: 1 }]),
		newRule('carry', { exercise: 'Suitcase carry' }, [{ kind: 'load', kg: 2 }], { from: 3, every: 2 })
	]
});
