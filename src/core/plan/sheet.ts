/** A plan as it hangs on a wall: everything on one or two pages. */
import { dateOfDay, type DayKind } from '../release';
import type { Session } from '../session';
import type { LaidPlan } from './laid';
import { milestonesOf } from './milestones';
import { ruleText } from './rule-text';
import { testText } from './test-text';
import { weekSteps } from './week-steps';

export interface SheetDay {
	day: number;
	date: string;
	kind: DayKind;
	session: string | null;
	/** Whole minutes; 0 without a session. */
	minutes: number;
	/** 0…10, as it is expected. */
	effort: number;
	/** Share of the heaviest day of the plan, 0…1. */
	load: number;
	tests: string[];
	held: string | null;
	halfway: boolean;
}

export interface SheetWeek {
	week: number;
	light: boolean;
	minutes: number;
	days: SheetDay[];
	/** What is new in it, in words. */
	steps: string[];
}

export interface PlanSheet {
	/** Date of the last day. */
	endsOn: string;
	/** Days with work. */
	works: number;
	weeks: SheetWeek[];
	/** Each session once, in the order in which it first comes: with its shortest and longest form. */
	sessions: { name: string; minutes: [number, number]; times: number; exercises: string[] }[];
	tests: string[];
	rules: string[];
}

/** What a session is made of beside its warm-up and its cool-down. */
const mainExercises = (session: Session): string[] =>
	session.blocks
		.filter(({ role }) => role === 'main')
		.flatMap(({ parts }) => parts.map((part) => part.exercise));

/** @param held why nobody does a day, day 1 first; null where they do */
export function planSheet(laid: LaidPlan, startsOn: string, held: readonly (string | null)[]): PlanSheet {
	const { plan, days } = laid;
	const milestones = milestonesOf(days.map(({ kind }, i) => ({ kind, held: held[i] })));
	const heaviest = Math.max(1, ...days.map(({ load }) => load));
	const testNames = new Map(plan.tests.map(({ id, name }) => [id, name]));
	const sessions = new Map<string, PlanSheet['sessions'][number]>();
	for (const { sent, minutes } of days) {
		if (!sent) continue;
		const whole = Math.round(minutes);
		const known = sessions.get(sent.name);
		sessions.set(sent.name, {
			name: sent.name,
			minutes: known
				? [Math.min(known.minutes[0], whole), Math.max(known.minutes[1], whole)]
				: [whole, whole],
			times: (known?.times ?? 0) + 1,
			exercises: [...new Set([...(known?.exercises ?? []), ...mainExercises(sent.session)])]
		});
	}
	return {
		endsOn: dateOfDay(days.length, startsOn),
		works: milestones.works.length,
		weeks: laid.weeks.map((week) => ({
			week: week.week,
			light: week.light,
			minutes: Math.round(week.minutes),
			steps: weekSteps(laid, week.week).map(({ text }) => text),
			days: week.days.map((day) => ({
				day: day.day,
				date: dateOfDay(day.day, startsOn),
				kind: day.kind,
				session: day.sent?.name ?? null,
				minutes: Math.round(day.minutes),
				effort: day.expected,
				load: day.load / heaviest,
				tests: day.tests.flatMap((id) => testNames.get(id) ?? []),
				held: held[day.day - 1] ?? null,
				halfway: milestones.halfway === day.day
			}))
		})),
		sessions: [...sessions.values()],
		tests: plan.tests.map(testText),
		rules: plan.rules.map((rule) =>
			ruleText(rule, 'session' in rule.on ? laid.sessions.get(rule.on.session)?.name : undefined)
		)
	};
}
