import type { Muscle } from '../exercise';
import { balanceOf, type Balance } from '../analysis';
import type { Practice } from '../practice';
import { compileSession, type Session, type Timeline } from '../session';
import { aerobicMinutes, cardioOf, expectedEffort } from './effort';
import { sessionLoad, weekLoad, type WeekLoad } from './load';
import { weekOf, type Plan, type PlannedDay } from './model';
import { dayOfTwo } from './day-of-two';
import { followsRules, isDeload, sessionInWeek, unchanged, type Progressed } from './progression';

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
	/** Of two sessions of one day: both. */
	name: string;
	/** The name of each. */
	names: readonly string[];
	timeline: Timeline;
	balance: Balance;
	/** Names of the exercises in it, each once, as the library calls them. */
	exercises: string[];
	cardio: 'steady' | 'hard' | null;
}

export interface ResolvedDay extends PlannedDay {
	/** From 1. */
	day: number;
	week: number;
	light: boolean;
	/** What is sent; null where nothing lies on it. */
	prescribed: SessionInWeek | null;
	minutes: number;
	/** 0…10, as the coach gave it or as is usual. */
	expected: number;
	/** Effort × minutes. */
	load: number;
	/** Minutes that raise the breath. */
	aerobic: { moderate: number; vigorous: number };
}

export interface ResolvedWeek extends WeekLoad {
	/** From 1. */
	week: number;
	light: boolean;
	days: ResolvedDay[];
	minutes: number;
	/** Sets by muscle, assisting ones counted half. */
	sets: Record<Muscle, number>;
	/** Moderate minutes, vigorous ones counted twice. */
	aerobic: number;
}

export interface ResolvedPlan {
	plan: Plan;
	days: ResolvedDay[];
	weeks: ResolvedWeek[];
	sessions: ReadonlyMap<string, PlanSession>;
}

/** Sessions in their weeks that were worked out before; filled as one goes. */
export type KnownForms = Map<string, SessionInWeek>;

/** A place for sessions in their weeks, to be handed to `resolvePlan` again and again. */
export const emptyForms = (): KnownForms => new Map();

/** Makes a session's form in a week once and keeps it, as long as the session and the rules stay the same. */
function formKeeper(plan: Plan, practice: Practice, known: KnownForms) {
	const { library } = practice;
	const rules = JSON.stringify([plan.rules, plan.deload]);
	const identity = new Map<PlanSession, string>();
	const bodyOf = (session: PlanSession): string => {
		const body = identity.get(session) ?? JSON.stringify(session.body);
		identity.set(session, body);
		return body;
	};
	return (
		session: PlanSession,
		evening: PlanSession | null,
		week: number,
		rulesApply: boolean
	): SessionInWeek => {
		const both = evening ? [session, evening] : [session];
		const id = `${rulesApply ? week : 'test'} ${both.map(({ key }) => key).join('+')} ${rules} ${both.map(bodyOf).join(' ')}`;
		const found = known.get(id);
		if (found) return found;
		const [first, second] = both.map((one) =>
			rulesApply ? sessionInWeek(one.body, one.of ?? one.key, week, plan, practice) : unchanged(one.body)
		);
		const progressed =
			first && evening && second ? dayOfTwo({ ...session, ...first }, { ...evening, ...second }) : first;
		if (!progressed) throw new RangeError('session: none');
		const timeline = compileSession(progressed.session, practice);
		const names = progressed.session.blocks.flatMap((block) => block.parts.map((part) => part.exercise));
		const made: SessionInWeek = {
			...progressed,
			key: session.key,
			name: both.map(({ name }) => name).join(' + '),
			names: both.map(({ name }) => name),
			timeline,
			balance: balanceOf(progressed.session, practice, timeline),
			exercises: [...new Set(names.map((name) => library.find(name)?.name ?? name))],
			cardio: cardioOf(progressed.session)
		};
		known.set(id, made);
		return made;
	};
}

function resolvedWeek(week: number, days: ResolvedDay[]): ResolvedWeek {
	const sets = {} as Record<Muscle, number>;
	for (const { prescribed } of days)
		for (const [muscle, n] of Object.entries(prescribed?.balance.sets ?? {}) as [Muscle, number][])
			sets[muscle] = (sets[muscle] ?? 0) + n;
	const sum = (of: (day: ResolvedDay) => number) => days.reduce((total, day) => total + of(day), 0);
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
export function resolvePlan(
	plan: Plan,
	sessions: readonly PlanSession[],
	practice: Practice,
	known: KnownForms = emptyForms()
): ResolvedPlan {
	const byKey = new Map(sessions.map((session) => [session.key, session]));
	const formOf = formKeeper(plan, practice, known);
	const days = plan.days.map((planned, i): ResolvedDay => {
		const day = i + 1;
		const week = weekOf(day);
		const light = isDeload(week, plan.deload);
		const session = planned.session === null ? undefined : byKey.get(planned.session);
		const evening = planned.evening === undefined ? undefined : byKey.get(planned.evening);
		const prescribed = session ? formOf(session, evening ?? null, week, followsRules(planned)) : null;
		const minutes = (prescribed?.timeline.totals.duration ?? 0) / 60;
		const expected = expectedEffort(planned, prescribed?.session ?? null, light);
		return {
			...planned,
			day,
			week,
			light,
			prescribed,
			minutes,
			expected,
			load: sessionLoad(expected, minutes),
			aerobic: prescribed
				? aerobicMinutes(prescribed.session, prescribed.timeline.spans, planned.kind === 'cardio')
				: { moderate: 0, vigorous: 0 }
		};
	});
	const weeks = Array.from({ length: weekOf(days.length) }, (_, w) =>
		resolvedWeek(w + 1, days.slice(w * 7, w * 7 + 7))
	);
	return { plan, days, weeks, sessions: byKey };
}
