/**
 * A plan lived by an imagined group: how long sessions take people of different pace, how many run over the budget, how
 * much of the plan gets done. The numbers that people are made of are assumptions, none measured: a coach sees them and
 * can change them. What it is good for is comparing two plans under the same assumptions and the same seed.
 */
import { seededRandom, normal, quantile } from '../stats';
import { dullWeeksOf } from './checks/variety';
import type { ResolvedDay, ResolvedPlan } from './resolved-plan';

export interface Assumptions {
	/** People in a group. */
	people: number;
	/** Share of its days that a middling person does, with nothing in the way; above 0, below 1. */
	usual: number;
	/** How unlike each other people are: standard deviation on the logit scale; 0 all alike. */
	unlike: number;
	/** Share of those still there who stop for good each week. */
	stop: number;
	/** Points of that share (0…1) lost for each minute that a session takes a person beyond the budget. */
	overMinute: number;
	/** Points lost for each point of effort above 7. */
	hardPoint: number;
	/** Points lost in a week that brings nothing new. */
	dull: number;
	/** Minutes that nobody planned, on average a session: the door, the missing band. */
	lost: number;
}

/** Chosen by us so that the outcome looks like a usual group; no source. */
export const DEFAULT_ASSUMPTIONS: Assumptions = {
	people: 25,
	usual: 0.85,
	unlike: 0.9,
	stop: 0.03,
	overMinute: 0.01,
	hardPoint: 0.04,
	dull: 0.05,
	lost: 1.5
};

/** What of a day the imagined group lives through. Handed to a worker, so plain values only. */
export interface SimulatedDay {
	day: number;
	week: number;
	/** Minutes at a quarter quicker, as planned, and a quarter slower than the usual pace. */
	minutes: [number, number, number];
	effort: number;
	/** In a week that brings nothing new. */
	dull: boolean;
}

export interface SimulationInput {
	days: SimulatedDay[];
	weeks: number;
	budgetMinutes: number;
}

/** Most out of many: the middle and the values below which a tenth and nine tenths lie. */
export interface Spread {
	low: number;
	mid: number;
	high: number;
}

export interface Outcome {
	groups: number;
	/** Days with a session: minutes of those who did them, and the share of them over the budget. */
	days: { day: number; minutes: Spread; over: number }[];
	/** Of each week: share of its days done, over groups, counting those who have stopped; and who is still there. */
	weeks: { week: number; done: Spread; there: Spread }[];
	/** Share of all days done, over groups. */
	done: Spread;
	/** Share of people who do at least `GOOD` of their days, over groups. */
	good: Spread;
	/** Share of sessions done that ran over the budget. */
	over: number;
}

/** Having done this share is what coaches call having gone with it (common practice, no source). */
export const GOOD = 0.8;
/** A person's pace: a quarter quicker or slower is the range in which most lie (as in the length of a session). */
const PACE_SD = 0.125;
const PACE_MOST = 0.25;
const EASY_EFFORT = 7;

/** What a trial needs of a plan. Days without a session take no minutes and are left out. */
export function simulationInput(
	resolved: ResolvedPlan,
	budgetMinutes: number,
	dullAfter: number
): SimulationInput {
	const dull = new Set(dullWeeksOf(resolved, dullAfter).map(({ week }) => week));
	const lived = (day: ResolvedDay): SimulatedDay[] => {
		if (!day.prescribed) return [];
		const { lower, duration, upper } = day.prescribed.timeline.totals;
		return [
			{
				day: day.day,
				week: day.week,
				minutes: [lower / 60, duration / 60, upper / 60],
				effort: day.expected,
				dull: dull.has(day.week)
			}
		];
	};
	return { days: resolved.days.flatMap(lived), weeks: resolved.weeks.length, budgetMinutes };
}

const logit = (share: number): number => Math.log(share / (1 - share));
const spreadOf = (values: number[]): Spread => {
	const sorted = values.sort((a, b) => a - b);
	return { low: quantile(sorted, 0.1), mid: quantile(sorted, 0.5), high: quantile(sorted, 0.9) };
};

/** Minutes of a session at a pace: 0 as planned, −1 a quarter quicker, 1 a quarter slower. */
const minutesAt = ([quick, planned, slow]: SimulatedDay['minutes'], pace: number): number =>
	planned + pace * (pace < 0 ? planned - quick : slow - planned);

/**
 * Lives a plan with many imagined groups.
 *
 * @param seed the same seed gives the same outcome
 * @param groups how many of them; more make the edges of the spread steadier
 * @param progress called with the share of groups that are through
 * @throws RangeError for assumptions out of bounds
 */
export function simulate(
	{ days, weeks, budgetMinutes }: SimulationInput,
	assumed: Assumptions,
	seed: string,
	groups = 200,
	progress: (share: number) => void = () => undefined
): Outcome {
	checkAssumptions(assumed);
	const random = seededRandom(seed);
	const deviate = normal(random);
	const minutes = days.map((): number[] => []);
	const over = days.map(() => 0);
	const done = { all: [] as number[], good: [] as number[], weeks: weeksOf(weeks), there: weeksOf(weeks) };
	const dueInWeek = Array.from({ length: weeks }, (_, w) => days.filter(({ week }) => week === w + 1).length);
	for (let group = 0; group < groups; group++) {
		const doneInWeek = Array<number>(weeks).fill(0);
		const thereInWeek = Array<number>(weeks).fill(0);
		let good = 0;
		for (let person = 0; person < assumed.people; person++) {
			const own = 1 / (1 + Math.exp(-(logit(assumed.usual) + assumed.unlike * deviate())));
			const pace = Math.max(-1, Math.min(1, (PACE_SD * deviate()) / PACE_MOST));
			let week = 0;
			let there = true;
			let mine = 0;
			const goTo = (next: number) => {
				for (; week < next; week++) {
					if (week > 0 && there) there = random() >= assumed.stop;
					if (there) thereInWeek[week] = (thereInWeek[week] ?? 0) + 1;
				}
			};
			days.forEach((day, d) => {
				goTo(day.week);
				if (!there) return;
				const takes = minutesAt(day.minutes, pace) - assumed.lost * Math.log(1 - random());
				const share =
					own -
					assumed.overMinute * Math.max(0, takes - budgetMinutes) -
					assumed.hardPoint * Math.max(0, day.effort - EASY_EFFORT) -
					(day.dull ? assumed.dull : 0);
				if (random() >= share) return;
				mine++;
				doneInWeek[day.week - 1] = (doneInWeek[day.week - 1] ?? 0) + 1;
				minutes[d]?.push(takes);
				if (takes > budgetMinutes) over[d] = (over[d] ?? 0) + 1;
			});
			goTo(weeks);
			if (days.length > 0 && mine / days.length >= GOOD) good++;
		}
		const due = assumed.people * days.length;
		if (due > 0) done.all.push(doneInWeek.reduce((sum, n) => sum + n, 0) / due);
		done.good.push(good / assumed.people);
		for (let w = 0; w < weeks; w++) {
			const dueNow = assumed.people * (dueInWeek[w] ?? 0);
			if (dueNow > 0) done.weeks[w]?.push((doneInWeek[w] ?? 0) / dueNow);
			done.there[w]?.push((thereInWeek[w] ?? 0) / assumed.people);
		}
		if (group % 10 === 9) progress((group + 1) / groups);
	}
	const NONE: Spread = { low: 0, mid: 0, high: 0 };
	const spread = (values: number[] | undefined): Spread => (values?.length ? spreadOf(values) : NONE);
	const sessions = minutes.reduce((sum, list) => sum + list.length, 0);
	return {
		groups,
		days: days.map(({ day }, d) => {
			const count = minutes[d]?.length ?? 0;
			return { day, over: count > 0 ? (over[d] ?? 0) / count : 0, minutes: spread(minutes[d]) };
		}),
		weeks: Array.from({ length: weeks }, (_, w) => ({
			week: w + 1,
			done: spread(done.weeks[w]),
			there: spread(done.there[w])
		})),
		done: spread(done.all),
		good: spread(done.good),
		over: sessions > 0 ? over.reduce((sum, n) => sum + n, 0) / sessions : 0
	};
}

const weeksOf = (weeks: number): number[][] => Array.from({ length: weeks }, (): number[] => []);

/** Bounds of what may be assumed, for the form as well. */
export const ASSUMPTION_BOUNDS: Record<keyof Assumptions, readonly [least: number, most: number]> = {
	people: [1, 300],
	usual: [0.05, 0.99],
	unlike: [0, 3],
	stop: [0, 0.5],
	overMinute: [0, 0.2],
	hardPoint: [0, 0.5],
	dull: [0, 0.5],
	lost: [0, 15]
};

function checkAssumptions(assumed: Assumptions): void {
	for (const [name, [least, most]] of Object.entries(ASSUMPTION_BOUNDS)) {
		const value = assumed[name as keyof Assumptions];
		if (!(value >= least && value <= most))
			throw new RangeError(`${name}: ${value}; ${least} to ${most} can be assumed`);
	}
}
