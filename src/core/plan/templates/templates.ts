import type { DayKind } from '../../calendar';
import { newRule, newBenchmark, REST_DAY, type Benchmark, type Plan, type PlannedDay } from '../model';
import type { StarterName } from './starter-sessions';

/** One day of a template's week: its session and what kind of day that makes; null: rest. */
type TemplateDay = readonly [session: StarterName, kind: DayKind] | null;

/** A frame that a challenge can start from. Everything in it stays editable. */
export interface Template {
	key: string;
	name: string;
	/** For whom, and why it is laid out so. */
	forWhom: string;
	why: string;
	days: number;
	/** Weekdays on which one trains when day 1 is a Monday, 1 … 7. */
	trainingDays: readonly number[];
	budgetMinutes: number;
	week: readonly TemplateDay[];
	/** Days on which the tests are taken. */
	testDays: readonly number[];
	/** Sessions that get harder, by a repetition or some seconds a week. */
	rises: readonly StarterName[];
	/** Weeks to the lighter one; null: none. */
	deloadEvery: number | null;
}

const train = (session: StarterName): TemplateDay => [session, 'train'];
const cardio = (session: StarterName): TemplateDay => [session, 'cardio'];
const LOOSEN: TemplateDay = ['Loosen up', 'active-rest'];

/** Lengths and days as the trade uses them; common practice, no source. */
export const TEMPLATES: readonly Template[] = [
	{
		key: 'daily-21',
		name: '21 days, every day',
		forWhom: 'First-time exercisers, and a group that has never trained together.',
		why: 'A quarter of an hour a day, always at the same time, becomes a habit; one day in the week only loosens up.',
		days: 21,
		trainingDays: [1, 2, 3, 4, 5, 6, 7],
		budgetMinutes: 15,
		week: [
			train('Short legs'),
			train('Short upper'),
			cardio('Short trunk and breath'),
			train('Short legs'),
			train('Short upper'),
			cardio('Short trunk and breath'),
			LOOSEN
		],
		testDays: [1, 20],
		rises: ['Short legs', 'Short upper', 'Short trunk and breath'],
		deloadEvery: null
	},
	{
		key: 'five-two-28',
		name: '28 days, five and a free weekend',
		forWhom: 'People with a working week and some experience, or fresh from the 21 days.',
		why: 'Strength and cardio alternate from Monday to Friday, and two days that belong to the family.',
		days: 28,
		trainingDays: [1, 2, 3, 4, 5],
		budgetMinutes: 30,
		week: [
			train('Legs and pull'),
			train('Push and trunk'),
			cardio('Brisk half hour'),
			train('Hips and back'),
			cardio('Ups and downs'),
			null,
			null
		],
		testDays: [1, 15, 26],
		rises: ['Legs and pull', 'Push and trunk', 'Hips and back'],
		deloadEvery: null
	},
	{
		key: 'six-weeks-four',
		name: 'Six weeks, four days',
		forWhom: 'People who want to be stronger for something at a date: a walk, a season, a move.',
		why: 'Long enough to show in the tests, with a lighter fourth week; the large muscles come at least twice a week.',
		days: 42,
		trainingDays: [1, 2, 4, 6],
		budgetMinutes: 45,
		week: [
			train('Legs and pull'),
			train('Push and trunk'),
			null,
			train('Hips and back'),
			null,
			cardio('Whole body circuit'),
			null
		],
		testDays: [1, 22, 41],
		rises: ['Legs and pull', 'Push and trunk', 'Hips and back'],
		deloadEvery: 4
	},
	{
		key: 'twelve-weeks-three',
		name: 'Twelve weeks, three days',
		forWhom: 'Beginners who have time, people coming back, and groups with much else to do.',
		why: 'Three days with a day between are the least that makes steadily stronger; every fourth week is lighter.',
		days: 84,
		trainingDays: [1, 3, 5],
		budgetMinutes: 45,
		week: [train('Legs and pull'), null, train('Push and trunk'), null, train('Hips and back'), null, null],
		testDays: [1, 43, 82],
		rises: ['Legs and pull', 'Push and trunk', 'Hips and back'],
		deloadEvery: 4
	}
];

/** What the starters' test day measures. */
const TESTS: readonly Benchmark[] = [
	newBenchmark('plank', 'Plank hold', 'Plank', 'longest hold'),
	newBenchmark('squats', 'Squats in 60 s', 'Squat', 'most reps in a time', { seconds: 60 }),
	newBenchmark('push-ups', 'Knee push-ups in 60 s', 'Knee push-up', 'most reps in a time', { seconds: 60 })
];

/** The sessions of a template, each once, the test’s among them. */
export const startersOf = (template: Template): StarterName[] => [
	...new Set<StarterName>([...template.week.flatMap((day) => (day ? [day[0]] : [])), 'Where you stand'])
];

/**
 * A whole plan in this template.
 *
 * @param keys what each of the template’s sessions is called in the plan
 */
export function planOfTemplate(
	template: Template,
	keys: Readonly<Partial<Record<StarterName, string>>>
): Plan {
	const keyOf = (name: StarterName): string => {
		const key = keys[name];
		if (key === undefined) throw new RangeError(`keys: there is none for “${name}”`);
		return key;
	};
	const days = Array.from({ length: template.days }, (_, i): PlannedDay => {
		if (template.testDays.includes(i + 1))
			return {
				kind: 'test',
				session: keyOf('Where you stand'),
				effort: null,
				tests: TESTS.map(({ id }) => id)
			};
		const day = template.week[i % 7];
		return day ? { kind: day[1], session: keyOf(day[0]), effort: null, tests: [] } : REST_DAY;
	});
	// Slots of a circuit are counted in seconds, sets in repetitions: a rule of both kinds changes what is there.
	const rules = template.rises.map((name, i) =>
		newRule(`rise-${i + 1}`, { session: keyOf(name) }, [
			{ kind: 'reps', reps: 1 },
			...(template.budgetMinutes <= 15 ? [{ kind: 'seconds', seconds: 2 } as const] : [])
		])
	);
	return {
		days,
		rules,
		deload: template.deloadEvery === null ? null : { every: template.deloadEvery, keep: 0.6 },
		tests: TESTS,
		audience: { level: 'some experience', items: ['band', 'mat', 'step'], heaviestKg: null, conditions: [] }
	};
}
