/** The plan of a challenge: what lies on each day, how it is made harder week by week, what is tested. */
import { DEFAULT_AUDIENCE, type Audience } from '../people';
import type { DayKind } from '../calendar';
import type { Step } from './steps';

export interface PlannedDay {
	kind: DayKind;
	/** Key of the session on it; null: none yet, or rest. */
	session: string | null;
	/** Key of a second session, done in the evening, on a day that has a first. */
	evening?: string;
	/** Effort expected of the whole session, 0…10; null: what is usual for the kind of day. */
	effort: number | null;
	/** Ids of the tests that are taken on it. */
	tests: readonly string[];
}

/** What a rule is about: an exercise wherever it comes, a whole session, a block of it or one part of the block. */
export type RuleTarget = { exercise: string } | { session: string; block?: number; part?: number };

export interface Rule {
	id: string;
	on: RuleTarget;
	/** Done together with every step. */
	steps: readonly Step[];
	/** The first week that is harder than the one before. */
	from: number;
	/** The last week that still adds a step; null: to the end. */
	until: number | null;
	/** Weeks from one step to the next. */
	every: number;
}

/** A rule that steps every week from the second on. */
export const newRule = (
	id: string,
	on: RuleTarget,
	steps: readonly Step[],
	more: Partial<Pick<Rule, 'from' | 'until' | 'every'>> = {}
): Rule => ({ id, on, steps, from: 2, until: null, every: 1, ...more });

/** Lighter weeks: every n-th week no step is added and the rounds and sets of the main work are cut. */
export interface Deload {
	every: number;
	/** Share of sets and rounds that is kept, above 0 and below 1. */
	keep: number;
}

export const MEASURES = [
	'most reps in a time',
	'longest hold',
	'time for fixed work',
	'load and reps',
	'carry distance'
] as const;
export type Measure = (typeof MEASURES)[number];

/** A measurement that is taken several times under the same conditions. */
export interface Benchmark {
	id: string;
	name: string;
	exercise: string;
	measure: Measure;
	/** For most reps in a time, and the limit of a carry: the seconds. */
	seconds: number | null;
	/** For time for fixed work: how many repetitions. */
	reps: number | null;
	/** What is lifted or carried; null: the body alone. */
	kg: number | null;
}

/** A test that says no more than what is needed. */
export const newBenchmark = (
	id: string,
	name: string,
	exercise: string,
	measure: Measure,
	more: Partial<Pick<Benchmark, 'seconds' | 'reps' | 'kg'>> = {}
): Benchmark => ({ id, name, exercise, measure, seconds: null, reps: null, kg: null, ...more });

export interface Plan {
	days: readonly PlannedDay[];
	rules: readonly Rule[];
	deload: Deload | null;
	tests: readonly Benchmark[];
	audience: Audience;
}

export const REST_DAY: PlannedDay = { kind: 'rest', session: null, effort: null, tests: [] };

export const EMPTY_PLAN: Plan = { days: [], rules: [], deload: null, tests: [], audience: DEFAULT_AUDIENCE };

/** 1 for days 1 to 7. */
export const weekOf = (day: number): number => Math.ceil(day / 7);
