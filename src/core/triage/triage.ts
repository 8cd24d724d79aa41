import { mean, median } from 'simple-statistics';
import { isDue, isSilent, type Attendance } from '../attendance';
import { entryOf, type PersonDay, type Strip } from '../day';
import { holdAt, readPain, type Hold } from '../health';
import type { Losing } from '../measures';
import type { HouseRules } from '../practice';
import { weakerOf, type BestResult, type SidesDone } from '../progress';
import { compareNeed, type Reason } from './reason';

/** A check-in as triage sees it. */
export interface CheckinSeen {
	day: number;
	/** Epoch milliseconds at which the work was done, or told of. */
	at: number;
	/** 0…1 */
	credit: number;
	/** 0…10 */
	effort: number | null;
	/** 1…5 */
	energy: number | null;
	/** 1…5 */
	mood: number | null;
	hurts: string | null;
	/** Of exercises that are done on each side. */
	sides: SidesDone[];
	/** What it brought as a test. */
	best: BestResult | null;
}

/** What triage knows of somebody, as it stood at an instant. */
export interface TriageFacts {
	days: readonly PersonDay[];
	strip: Strip;
	attendance: Pick<Attendance, 'silent' | 'trend' | 'weeks' | 'lastSeen'>;
	holds: readonly Hold[];
	/** The last sign at which they stopped and that nobody has dealt with, in their words; null: none. */
	stopped: string | null;
	/** Pain that is on record and not decided about, the last; whether it was told in no check-in. Null: none. */
	undecided: {
		at: number;
		said: string;
		day: number | null;
		beside: boolean;
		isSharp: boolean;
	} | null;
	/** What they told of their health in their own words, and when; null: nothing. */
	review: { at: number; said: string } | null;
	/** The most effort that suits them, 0…10; null: no bound of their own. */
	effortMost: number | null;
	/** What was to be asked after by now, and when that was decided; null: nothing. */
	followUp: { at: number; said: string } | null;
	/** How fast they lose weight, and when they were last weighed; null: not too fast. */
	losing: (Losing & { since: number }) | null;
	/** What stands, the newest first, no more than `CHECKINS_SEEN`. */
	checkins: readonly CheckinSeen[];
}

/** Check-ins that are looked at; nothing here asks for more. */
export const CHECKINS_SEEN = 10;

const DAY = 86_400_000;
const HOUR = 3_600_000;

/*
 * Common practice, no source: for how long praise and a first miss are news; what is “lately” and what was before;
 * from when on changes of effort, work and energy are more than those of one day to the next.
 */
const NEWS_DAYS = 3;
const SILENT_DAYS = 7;
const LATELY = 3;
const BEFORE = 5;
const EFFORT_UP = 1.5;
const CREDIT_DOWN = 0.15;
const LOW_ENERGY = 2;
const LOW_MOOD = 2;
const EASY_EFFORT = 6;
/** Sessions done that are a round number. */
const EVERY_SESSIONS = 10;

const told = <K extends 'effort' | 'energy' | 'mood'>(all: readonly CheckinSeen[], what: K): number[] =>
	all.flatMap((one) => one[what] ?? []);

/**
 * Why somebody needs their coach, the most urgent first: safety before those who may be lost, those before whose load is
 * wrong, those before who has earned praise. Several reasons may hold at once; of those about missing days only the
 * gravest does.
 *
 * @param now epoch milliseconds
 */
export function triage(facts: TriageFacts, house: HouseRules, now: number): Reason[] {
	const gone = missing(facts, house, now);
	const back = cameBack(facts, house, now);
	const found = [
		stopped(facts, now),
		pain(facts),
		followUp(facts),
		held(facts, now),
		losing(facts),
		overEffort(facts, now),
		review(facts),
		gone,
		// Who has gone quiet does less than before, and who is back did: that says the same once more.
		(gone ?? back) ? null : fading(facts, house, now),
		later(facts, house),
		strain(facts),
		tired(facts),
		low(facts),
		hard(facts, house),
		uneven(facts),
		easy(facts),
		back,
		best(facts, now),
		fullWeek(facts, now),
		sessions(facts, now)
	];
	return found.filter((reason) => reason !== null).sort((a, b) => compareNeed([a], [b]));
}

type Found = Reason | null;

/** Pain stands until somebody has dealt with it, however long ago it was told. */
function pain({ checkins, undecided }: TriageFacts): Found {
	const hurting = checkins.filter(({ hurts }) => hurts);
	const [last] = hurting;
	// Told beside the days: of a session from the shelf, or one that was done again.
	if (undecided?.beside && (!last || undecided.at > last.at))
		return {
			kind: 'pain',
			since: undecided.at,
			day: undecided.day,
			hurts: undecided.said,
			times: hurting.length + 1,
			isSharp: undecided.isSharp
		};
	return last
		? {
				kind: 'pain',
				since: last.at,
				day: last.day,
				hurts: last.hurts!,
				times: hurting.length,
				isSharp: readPain(last.hurts!).isSharp || (undecided?.day === last.day && undecided.isSharp)
			}
		: null;
}

function stopped({ holds, stopped: said }: TriageFacts, now: number): Found {
	const hold = holdAt(holds, now);
	return hold?.reason === 'stopped' ? { kind: 'stopped', since: hold.from, said: said ?? '' } : null;
}

function followUp({ followUp: due }: TriageFacts): Found {
	return due && { kind: 'follow up', since: due.at, about: due.said };
}

function losing({ losing: found }: TriageFacts): Found {
	return found && { kind: 'losing', ...found };
}

function held({ holds }: TriageFacts, now: number): Found {
	const hold = holdAt(holds, now);
	if (hold === null || hold.reason === 'stopped') return null;
	return hold.reason === 'questions'
		? { kind: 'questions', since: hold.from }
		: { kind: 'held', since: hold.from, why: hold.reason };
}

function review({ review: told }: TriageFacts): Found {
	return told && { kind: 'review', since: told.at, said: told.said };
}

/** Check-ins that tell of training: a test is meant to be hard. */
const trained = ({ checkins, days }: TriageFacts): CheckinSeen[] =>
	checkins.filter(({ day }) => days[day - 1]?.kind !== 'test');

/** The newest session that was harder than suits them, as long as it is news. */
function overEffort(facts: TriageFacts, now: number): Found {
	const [last] = trained(facts);
	const most = facts.effortMost;
	return last &&
		most !== null &&
		last.effort !== null &&
		last.effort > most &&
		last.at > now - NEWS_DAYS * DAY
		? { kind: 'over effort', since: last.at, day: last.day, effort: last.effort, most }
		: null;
}

function missing(facts: TriageFacts, house: HouseRules, now: number): Found {
	const { attendance } = facts;
	const { lastSeen } = attendance;
	const due = facts.days.filter(({ state }) => isDue(state));
	const last = due.at(-1);
	if (!last || attendance.silent === 0 || holdAt(facts.holds, now)) return null;
	const since = Math.min(now, last.window.closes);
	if (lastSeen === null) return { kind: 'never started', since, due: due.length };
	if (isSilent(attendance, house)) {
		const days = Math.floor((now - lastSeen) / DAY);
		const quiet = { since, due: attendance.silent, lastSeen };
		return days >= SILENT_DAYS ? { kind: 'silent', ...quiet, days } : { kind: 'missing', ...quiet };
	}
	const missed = due.filter(({ state }) => state === 'missed');
	return missed.length === 1 && last.state === 'missed' && since > now - NEWS_DAYS * DAY
		? { kind: 'first miss', since, day: last.day, doneBefore: due.length - 1 }
		: null;
}

function fading({ attendance, days }: TriageFacts, { fadingFrom }: HouseRules, now: number): Found {
	const { trend, weeks } = attendance;
	if (trend === null || trend > -fadingFrom) return null;
	const last = days.filter(({ state, window }) => isDue(state) && window.due <= now).at(-1);
	return { kind: 'fading', since: last?.window.due ?? now, recent: weeks.recent, before: weeks.before };
}

/** The last check-ins against the ones before them; null without enough of both. */
function parted<T>(all: readonly T[]): { lately: T[]; before: T[] } | null {
	const lately = all.slice(0, LATELY);
	const before = all.slice(LATELY, LATELY + BEFORE);
	return before.length < LATELY ? null : { lately, before };
}

function later({ checkins, days }: TriageFacts, { laterBy }: HouseRules): Found {
	const hours = checkins.flatMap(({ day, at }) => {
		const opens = days[day - 1]?.window.opens;
		return opens === undefined ? [] : Math.max(0, at - opens) / HOUR;
	});
	const both = parted(hours);
	if (!both) return null;
	const lately = median(both.lately);
	const before = median(both.before);
	return lately - before >= laterBy ? { kind: 'later', since: checkins[0]!.at, lately, before } : null;
}

function strain(facts: TriageFacts): Found {
	const both = parted(trained(facts).filter(({ effort }) => effort !== null));
	if (!both) return null;
	const [effort, effortBefore] = [mean(told(both.lately, 'effort')), mean(told(both.before, 'effort'))];
	const [credit, creditBefore] = [both.lately, both.before].map((some) =>
		mean(some.map((one) => one.credit))
	) as [number, number];
	return effort - effortBefore >= EFFORT_UP && creditBefore - credit >= CREDIT_DOWN
		? { kind: 'strain', since: both.lately[0]!.at, effort, effortBefore, credit, creditBefore }
		: null;
}

/** Whether each of the newest check-ins told something, and something that is so. */
function running(
	checkins: readonly CheckinSeen[],
	what: 'effort' | 'energy' | 'mood',
	times: number,
	so: (value: number, checkin: CheckinSeen) => boolean
): { since: number; values: number[] } | null {
	const newest = checkins.slice(0, times);
	const values = told(newest, what);
	return newest.length === times &&
		values.length === times &&
		newest.every((one) => so(one[what] as number, one))
		? { since: newest[0]!.at, values }
		: null;
}

function tired(facts: TriageFacts): Found {
	const found = running(facts.checkins, 'energy', LATELY, (energy) => energy <= LOW_ENERGY);
	return found && { kind: 'tired', since: found.since, energy: found.values };
}

function low(facts: TriageFacts): Found {
	const found = running(facts.checkins, 'mood', LATELY, (mood) => mood <= LOW_MOOD);
	return found && { kind: 'low', since: found.since, mood: found.values };
}

function hard(facts: TriageFacts, { hardEffort }: HouseRules): Found {
	const found = running(trained(facts), 'effort', 2, (effort) => effort >= hardEffort);
	return found && { kind: 'hard', since: found.since, effort: found.values };
}

function easy(facts: TriageFacts): Found {
	const found = running(
		trained(facts),
		'effort',
		LATELY,
		(effort, { credit }) => effort <= EASY_EFFORT && credit >= 1
	);
	return found && { kind: 'easy', since: found.since, effort: found.values };
}

/** The same side behind in an exercise, the last times that it was done; of several the one that is furthest. */
function uneven({ checkins }: TriageFacts): Found {
	const done = checkins.flatMap(({ at, sides }) => sides.map((one) => ({ at, ...one })));
	const found = [...new Set(done.map(({ exercise }) => exercise))].flatMap((exercise) => {
		const newest = done.filter((one) => one.exercise === exercise).slice(0, LATELY);
		const weaker = newest.flatMap((one) => weakerOf(one) ?? []);
		const [first] = weaker;
		return first && weaker.length === LATELY && weaker.every(({ side }) => side === first.side)
			? [{ since: newest[0]!.at, exercise, side: first.side, behind: mean(weaker.map((one) => one.behind)) }]
			: [];
	});
	const [furthest] = found.sort((a, b) => b.behind - a.behind || a.exercise.localeCompare(b.exercise));
	return furthest ? { kind: 'uneven', times: LATELY, ...furthest } : null;
}

/** Days with work of somebody that have opened, and when they did something of them; null: they have not. */
const ownWork = ({ days, strip }: TriageFacts, now: number): { day: PersonDay; doneAt: number | null }[] =>
	days
		.filter(({ open, kind, state }) => open && kind !== 'rest' && state !== 'cancelled')
		.map((day) => {
			const entry = entryOf(strip, day.day);
			const done = entry?.kind === 'check-in' && entry.credit > 0 && entry.at <= now;
			return { day, doneAt: done ? entry.at : null };
		});

function cameBack(facts: TriageFacts, { silentFrom }: HouseRules, now: number): Found {
	const work = ownWork(facts, now);
	const last = work.findLastIndex(({ doneAt }) => doneAt !== null);
	let first = last;
	while (first > 0 && work[first - 1]!.doneAt !== null) first--;
	const before = work.slice(0, Math.max(0, first)).findLastIndex(({ doneAt }) => doneAt !== null);
	const back = work[first];
	const after = first - before - 1;
	return back && before >= 0 && after >= silentFrom && back.doneAt! > now - NEWS_DAYS * DAY
		? { kind: 'came back', since: back.doneAt!, day: back.day.day, after }
		: null;
}

function best({ checkins }: TriageFacts, now: number): Found {
	const newest = checkins.find((one) => one.best !== null && one.at > now - NEWS_DAYS * DAY);
	return newest?.best ? { kind: 'best', since: newest.at, day: newest.day, result: newest.best } : null;
}

const weekOf = (day: number): number => Math.ceil(day / 7);

function fullWeek(facts: TriageFacts, now: number): Found {
	const work = ownWork(facts, now);
	const last = work.findLast(({ doneAt }) => doneAt !== null);
	if (!last) return null;
	const week = weekOf(last.day.day);
	const asked = facts.days.filter(
		({ day, kind, state, theirs }) =>
			theirs && weekOf(day) === week && kind !== 'rest' && state !== 'cancelled' && state !== 'excused'
	);
	const since = Math.max(
		...work.flatMap(({ day, doneAt }) => (weekOf(day.day) === week ? (doneAt ?? []) : []))
	);
	return asked.length >= LATELY &&
		asked.every(({ state }) => state === 'done') &&
		since > now - NEWS_DAYS * DAY
		? { kind: 'full week', since, due: asked.length }
		: null;
}

function sessions(facts: TriageFacts, now: number): Found {
	const done = ownWork(facts, now).flatMap(({ doneAt }) => doneAt ?? []);
	const since = Math.max(...done);
	return done.length > 0 && done.length % EVERY_SESSIONS === 0 && since > now - NEWS_DAYS * DAY
		? { kind: 'sessions', since, count: done.length }
		: null;
}
