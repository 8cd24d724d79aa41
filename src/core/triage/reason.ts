import type { Adherence } from '../attendance';
import type { HoldReason } from '../health';
import type { BestResult } from '../progress';

/** What a reason is about, the more urgent first. */
export const REASON_GROUPS = ['safety', 'unanswered', 'retention', 'adaptation', 'praise'] as const;
export type ReasonGroup = (typeof REASON_GROUPS)[number];

/** Every kind of reason to turn to somebody, the more urgent first, with what it is about. */
export const REASON_KINDS = {
	stopped: 'safety',
	held: 'safety',
	pain: 'safety',
	losing: 'safety',
	'over effort': 'safety',
	review: 'safety',
	'follow up': 'safety',
	questions: 'unanswered',
	'never started': 'retention',
	'first miss': 'retention',
	missing: 'retention',
	fading: 'retention',
	silent: 'retention',
	later: 'retention',
	strain: 'retention',
	tired: 'retention',
	low: 'retention',
	hard: 'adaptation',
	uneven: 'adaptation',
	easy: 'adaptation',
	'came back': 'praise',
	best: 'praise',
	'full week': 'praise',
	sessions: 'praise'
} as const satisfies Record<string, ReasonGroup>;
export type ReasonKind = keyof typeof REASON_KINDS;

/** What each is called. */
export const REASON_TITLE: Record<ReasonKind, string> = {
	stopped: 'Stopped at a warning sign',
	pain: 'Pain reported',
	'follow up': 'Ask after it',
	held: 'On hold',
	losing: 'Losing weight fast',
	'over effort': 'Harder than is good for them',
	review: 'Review before day one',
	questions: 'Not answered yet',
	'never started': 'Hasn’t started',
	'first miss': 'First missed day',
	missing: 'Missing days',
	fading: 'Fading',
	silent: 'Silent',
	later: 'Checks in later',
	strain: 'Works harder, does less',
	tired: 'Low energy',
	low: 'Low mood',
	hard: 'Too hard',
	uneven: 'One side behind',
	easy: 'Ready for more',
	'came back': 'Back again',
	best: 'Best test so far',
	'full week': 'Full week',
	sessions: 'Round number'
};

const ORDER = Object.keys(REASON_KINDS) as ReasonKind[];

/** The place of a kind among all, 0 the most urgent; without one, behind them all. */
const urgency = (kind: ReasonKind | undefined): number =>
	kind === undefined ? ORDER.length : ORDER.indexOf(kind);

type Rated = Pick<Adherence, 'credit' | 'due'>;

/** Why somebody needs their coach, with the figures that say so. Days count from 1; instants are epoch milliseconds. */
export type Reason = {
	/** When what it is about last happened: what was answered before is not answered. */
	since: number;
} &
	/** The last that was told, and how often in the check-ins that are looked at. */
	(
		| { kind: 'pain'; day: number | null; hurts: string; times: number; isSharp: boolean }
		| { kind: 'held'; why: Exclude<HoldReason, 'stopped' | 'questions'> }
		/** The health questions are open, so that nothing is released. */
		| { kind: 'questions' }
		/** What they told of their health in their own words, for a coach to read. */
		| { kind: 'review'; said: string }
		/** Effort (0…10) of a session above the most that suits them. */
		| { kind: 'over effort'; day: number; effort: number; most: number }
		/** They stopped at a warning sign, in their words. */
		| { kind: 'stopped'; said: string }
		/** The day has come on which a coach wanted to ask after something. */
		| { kind: 'follow up'; about: string }
		/** Weight is lost faster than is good: kg a week (below 0), and as a share of it. */
		| { kind: 'losing'; kgPerWeek: number; share: number; days: number }
		/** Nothing has come in, and so many days were due. */
		| { kind: 'never started'; due: number }
		/** A day is missed for the first time, after so many that were done. */
		| { kind: 'first miss'; day: number; doneBefore: number }
		/** So many due days in a row without a check-in. */
		| { kind: 'missing'; due: number; lastSeen: number }
		/** What was done of the last 7 days, and of the 7 before. */
		| { kind: 'fading'; recent: Rated; before: Rated }
		/** As missing, and for so many days of the calendar. */
		| { kind: 'silent'; due: number; lastSeen: number; days: number }
		/** How many hours after their day opens they check in, lately and before. */
		| { kind: 'later'; lately: number; before: number }
		/** Mean effort (0…10) and share done (0…1), lately and before. */
		| { kind: 'strain'; effort: number; effortBefore: number; credit: number; creditBefore: number }
		/** Energy (1…5) of the last check-ins, the newest first. */
		| { kind: 'tired'; energy: number[] }
		/** Mood (1…5) of the last check-ins, the newest first. */
		| { kind: 'low'; mood: number[] }
		/** Effort (0…10) of the last check-ins, the newest first. */
		| { kind: 'hard'; effort: number[] }
		/** One side did less of an exercise, by a share of the other one, so many times running. */
		| { kind: 'uneven'; exercise: string; side: 'left' | 'right'; behind: number; times: number }
		| { kind: 'easy'; effort: number[] }
		/** Done again after so many due days without anything. */
		| { kind: 'came back'; day: number; after: number }
		/** Better at a test than at any before. */
		| { kind: 'best'; day: number; result: BestResult }
		/** All that was due in the last 7 days is done. */
		| { kind: 'full week'; due: number }
		| { kind: 'sessions'; count: number }
	);

/** Since when it has been so. */
const sinceWhen = (reason: Reason): number => ('lastSeen' in reason ? reason.lastSeen : reason.since);

/** Sharp pain comes before pain that is not. */
const isSharp = (reason: Reason | undefined): boolean => reason?.kind === 'pain' && reason.isSharp;

/**
 * Which of two people needs their coach first, by their reasons with the most urgent first: as urgent as the first one is,
 * and of the same kind whoever it has been so for the longest. Those without any come last.
 */
export function compareNeed([a]: readonly Reason[], [b]: readonly Reason[]): number {
	return (
		urgency(a?.kind) - urgency(b?.kind) ||
		Number(isSharp(b)) - Number(isSharp(a)) ||
		(a && b ? sinceWhen(a) - sinceWhen(b) : 0)
	);
}
