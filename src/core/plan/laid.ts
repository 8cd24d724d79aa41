import type { Muscle } from '../library';
import { balanceOf, DEFAULT_HOUSE, optionsOf, type Balance, type HouseRules } from '../review';
import { compileSession, type Session, type Timeline } from '../session';
import { STANDARD, type Library } from '../library';
import { aerobicMinutes, cardioOf, expectedEffort } from './effort';
import { sessionLoad, weekLoad, type WeekLoad } from './load';
import { weekOf, type Plan, type PlannedDay } from './model';
import { followsRules, isDeload, sessionInWeek, unchanged, type Progressed } from './progress';

/** A session as a plan knows it. */
export interface PlanSession {
	/** What days and rules call it. */
	key: string;
	/** What rules call it, where days have an older version of it; otherwise the key. */
	of?: string;
	name: string;
	body: Session;
}

/** A session as it is done in one week, with what it adds up to. */
export interface SessionInWeek extends Progressed {
	key: string;
	name: string;
	timeline: Timeline;
	balance: Balance;
	/** Names of the exercises in it, each once, as the library calls them. */
	exercises: string[];
	cardio: 'steady' | 'hard' | null;
}

export interface LaidDay extends PlannedDay {
	/** From 1. */
	day: number;
	week: number;
	light: boolean;
	/** What is sent; null where nothing lies on it. */
	sent: SessionInWeek | null;
	minutes: number;
	/** 0…10, as the coach gave it or as is usual. */
	expected: number;
	/** Effort × minutes. */
	load: number;
	/** Minutes that raise the breath. */
	aerobic: { moderate: number; vigorous: number };
}

export interface LaidWeek extends WeekLoad {
	/** From 1. */
	week: number;
	light: boolean;
	days: LaidDay[];
	minutes: number;
	/** Sets by muscle, assisting ones counted half. */
	sets: Record<Muscle, number>;
	/** Moderate minutes, vigorous ones counted twice. */
	aerobic: number;
}

export interface LaidPlan {
	plan: Plan;
	days: LaidDay[];
	weeks: LaidWeek[];
	sessions: ReadonlyMap<string, PlanSession>;
}

export interface LayOptions {
	library?: Library;
	house?: HouseRules;
	/** Sessions in their weeks that were worked out before; filled as one goes. */
	known?: Map<string, SessionInWeek>;
}

/** A place for sessions in their weeks, to be handed to `layOut` again and again. */
export const emptyForms = (): Map<string, SessionInWeek> => new Map();

/** Makes a session's form in a week once and keeps it, as long as the session and the rules stay the same. */
function formKeeper(
	plan: Plan,
	{ library = STANDARD, house = DEFAULT_HOUSE, known = emptyForms() }: LayOptions
) {
	const timing = optionsOf(house, library);
	const rules = JSON.stringify([plan.rules, plan.deload]);
	const identity = new Map<PlanSession, string>();
	return (session: PlanSession, week: number, rulesApply: boolean): SessionInWeek => {
		const body = identity.get(session) ?? JSON.stringify(session.body);
		identity.set(session, body);
		const id = `${rulesApply ? week : 'test'} ${session.key} ${rules} ${body}`;
		const found = known.get(id);
		if (found) return found;
		const progressed = rulesApply
			? sessionInWeek(session.body, session.of ?? session.key, week, plan, timing)
			: unchanged(session.body);
		const timeline = compileSession(progressed.session, timing);
		const names = progressed.session.blocks.flatMap((block) => block.parts.map((part) => part.exercise));
		const made: SessionInWeek = {
			...progressed,
			key: session.key,
			name: session.name,
			timeline,
			balance: balanceOf(progressed.session, library, timeline),
			exercises: [...new Set(names.map((name) => library.find(name)?.name ?? name))],
			cardio: cardioOf(progressed.session)
		};
		known.set(id, made);
		return made;
	};
}

function laidWeek(week: number, days: LaidDay[]): LaidWeek {
	const sets = {} as Record<Muscle, number>;
	for (const { sent } of days)
		for (const [muscle, n] of Object.entries(sent?.balance.sets ?? {}) as [Muscle, number][])
			sets[muscle] = (sets[muscle] ?? 0) + n;
	const sum = (of: (day: LaidDay) => number) => days.reduce((total, day) => total + of(day), 0);
	return {
		...weekLoad(days.map((day) => day.load)),
		week,
		light: days[0]?.light ?? false,
		days,
		minutes: sum((day) => day.minutes),
		sets,
		aerobic: sum(({ aerobic }) => aerobic.moderate + 2 * aerobic.vigorous)
	};
}

/** What is done on every day of a plan and what it adds up to. Days whose session is unknown have none. */
export function layOut(plan: Plan, sessions: readonly PlanSession[], options: LayOptions = {}): LaidPlan {
	const byKey = new Map(sessions.map((session) => [session.key, session]));
	const formOf = formKeeper(plan, options);
	const days = plan.days.map((planned, i): LaidDay => {
		const day = i + 1;
		const week = weekOf(day);
		const light = isDeload(week, plan.deload);
		const session = planned.session === null ? undefined : byKey.get(planned.session);
		const sent = session ? formOf(session, week, followsRules(planned)) : null;
		const minutes = (sent?.timeline.totals.duration ?? 0) / 60;
		const expected = expectedEffort(planned, sent?.session ?? null, light);
		return {
			...planned,
			day,
			week,
			light,
			sent,
			minutes,
			expected,
			load: sessionLoad(expected, minutes),
			aerobic: sent
				? aerobicMinutes(sent.session, sent.timeline.spans, planned.kind === 'cardio')
				: { moderate: 0, vigorous: 0 }
		};
	});
	const weeks = Array.from({ length: weekOf(days.length) }, (_, w) =>
		laidWeek(w + 1, days.slice(w * 7, w * 7 + 7))
	);
	return { plan, days, weeks, sessions: byKey };
}
