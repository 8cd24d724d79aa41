/** A plan as it hangs on a wall: everything on one or two pages. */
import { dateOfDay, type DayKind } from '../calendar';
import type { Session } from '../session';
import type { ResolvedPlan } from './resolved-plan';
import { milestonesOf } from '../calendar/milestones';
import { ruleText } from './rule-text';
import { testText } from './benchmark-text';
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
	cancelled: string | null;
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

/** @param cancelled why nobody does a day, day 1 first; null where they do */
export function planSheet(
	resolved: ResolvedPlan,
	startsOn: string,
	cancelled: readonly (string | null)[]
): PlanSheet {
	const { plan, days } = resolved;
	const milestones = milestonesOf(days.map(({ kind }, i) => ({ kind, cancelled: cancelled[i] })));
	const heaviest = Math.max(1, ...days.map(({ load }) => load));
	const testNames = new Map(plan.tests.map(({ id, name }) => [id, name]));
	const sessions = new Map<string, PlanSheet['sessions'][number]>();
	for (const { prescribed, minutes } of days) {
		if (!prescribed) continue;
		const whole = Math.round(minutes);
		const known = sessions.get(prescribed.name);
		sessions.set(prescribed.name, {
			name: prescribed.name,
			minutes: known
				? [Math.min(known.minutes[0], whole), Math.max(known.minutes[1], whole)]
				: [whole, whole],
			times: (known?.times ?? 0) + 1,
			exercises: [...new Set([...(known?.exercises ?? []), ...mainExercises(prescribed.session)])]
		});
	}
	return {
		endsOn: dateOfDay(days.length, startsOn),
		works: milestones.works.length,
		weeks: resolved.weeks.map((week) => ({
			week: week.week,
			light: week.light,
			minutes: Math.round(week.minutes),
			steps: weekSteps(resolved, week.week).map(({ text }) => text),
			days: week.days.map((day) => ({
				day: day.day,
				date: dateOfDay(day.day, startsOn),
				kind: day.kind,
				session: day.prescribed?.name ?? null,
				minutes: Math.round(day.minutes),
				effort: day.expected,
				load: day.load / heaviest,
				tests: day.tests.flatMap((id) => testNames.get(id) ?? []),
				cancelled: cancelled[day.day - 1] ?? null,
				halfway: milestones.halfway === day.day
			}))
		})),
		sessions: [...sessions.values()],
		tests: plan.tests.map(testText),
		rules: plan.rules.map((rule) =>
			ruleText(rule, 'session' in rule.on ? resolved.sessions.get(rule.on.session)?.name : undefined)
		)
	};
}
