import type { ReachWay } from '$contracts/reach';
import type { FinishChance } from '$core/attendance';
import type { HoldReason } from '$core/health';
import { CHECKINS_SEEN, type Effect, type Reason, type ReasonGroup, type ReasonKind } from '$core/triage';
import type { Units } from '$core/kit/units';
import { gainWords } from '$core/progress';
import { counted, dayAndTimeIn, percent } from '$lib/format';

export const GROUP_TEXT: Record<ReasonGroup, string> = {
	safety: 'Safety first',
	unanswered: 'Not answered yet',
	retention: 'May drop out',
	adaptation: 'Load is off',
	praise: 'Praise'
};

/** Colours as those of remarks: they repeat what the words say. */
export const GROUP_COLOUR: Record<ReasonGroup, string> = {
	safety: 'bg-error',
	unanswered: 'bg-base-content',
	retention: 'bg-warning',
	adaptation: 'bg-info',
	praise: 'bg-primary'
};

/** What a coach does first about it. */
export const FIRST_WAY: Record<ReasonKind, ReachWay> = {
	stopped: 'called',
	'follow up': 'wrote',
	pain: 'wrote',
	held: 'asked',
	losing: 'wrote',
	'over effort': 'wrote',
	review: 'wrote',
	questions: 'wrote',
	'never started': 'wrote',
	'first miss': 'wrote',
	missing: 'wrote',
	fading: 'wrote',
	silent: 'called',
	later: 'wrote',
	strain: 'wrote',
	tired: 'wrote',
	low: 'wrote',
	hard: 'adjusted',
	uneven: 'wrote',
	easy: 'adjusted',
	'came back': 'praised',
	best: 'praised',
	'full week': 'praised',
	sessions: 'praised'
};

export const WAY_TEXT: Record<ReachWay, string> = {
	wrote: 'Wrote',
	called: 'Called',
	talked: 'Talked',
	praised: 'Praised',
	adjusted: 'Adjusted',
	asked: 'Asked for clearance',
	settled: 'Nothing needed',
	later: 'Put off',
	post: 'Wrote to several'
};

const HELD: Record<HoldReason, string> = {
	stopped: 'They stopped at a warning sign, so nothing is released.',
	questions: 'The health questions are open, so nothing is released.',
	clearance: 'A professional has to say yes first, so nothing is released.',
	'clearance over': 'The clearance has run out, so nothing is released.',
	pain: 'You hold them because of pain, so nothing is released until you say that it is over.'
};

const rated = ({ credit, due }: { credit: number; due: number }): string =>
	`${percent(due > 0 ? credit / due : 0)} of ${counted(due, 'due day')}`;
const list = (values: readonly number[]): string => new Intl.ListFormat('en').format(values.map(String));
const hours = (value: number): string => `${Math.round(value)} h`;
const one = (value: number): string => value.toFixed(1);

/** Why somebody needs their coach, as a sentence with its figures. @param zone of the coach @param units of the coach */
export function reasonWords(reason: Reason, zone: string, units: Units): string {
	switch (reason.kind) {
		case 'pain': {
			const again =
				reason.times > 1
					? `, told ${reason.times === 2 ? 'twice' : `${reason.times} times`} in the last ${CHECKINS_SEEN} check-ins`
					: '';
			const on = reason.day === null ? ', beside the plan' : ` on day ${reason.day}`;
			return `${reason.isSharp ? 'Sharp: ' : ''}“${reason.hurts}”${on}, ${dayAndTimeIn(zone, reason.since)}${again}.`;
		}
		case 'stopped':
			return `“${reason.said}”, ${dayAndTimeIn(zone, reason.since)}. Nothing is released until you have on record that somebody qualified said yes.`;
		case 'follow up':
			return `You wanted to ask after “${reason.about}” by today.`;
		case 'held':
			return HELD[reason.why];
		case 'questions':
			return HELD.questions;
		case 'review':
			return `In their own words: “${reason.said}”. Places that were understood are spared; read it before they begin.`;
		case 'over effort':
			return `Effort ${reason.effort} of 10 on day ${reason.day}; ${reason.most} is the most for them.`;
		case 'losing':
			return `${Math.abs(reason.kgPerWeek).toFixed(1)} kg a week over ${counted(Math.round(reason.days), 'day')}, ${(reason.share * 100).toFixed(1)} % of their weight; more than 1 % a week is too fast.`;
		case 'never started':
			return `Nothing has come in, and ${counted(reason.due, 'day')} ${reason.due === 1 ? 'was' : 'were'} due.`;
		case 'first miss':
			return reason.doneBefore === 0
				? `Day ${reason.day} was missed, their first.`
				: `Day ${reason.day} was missed, after ${counted(reason.doneBefore, 'day')} without a miss.`;
		case 'missing':
			return `No check-in for ${counted(reason.due, 'due day')}, last seen ${dayAndTimeIn(zone, reason.lastSeen)}.`;
		case 'silent':
			return `No check-in for ${counted(reason.days, 'day')}, ${reason.due} of them due. Last seen ${dayAndTimeIn(zone, reason.lastSeen)}.`;
		case 'fading':
			return `${rated(reason.recent)} done in the last 7 days, ${rated(reason.before)} in the 7 before.`;
		case 'later':
			return `The last three check-ins came ${hours(reason.lately)} after the day opened, those before ${hours(reason.before)} after it.`;
		case 'strain':
			return `Effort ${one(reason.effort)} of 10 in the last three sessions, ${one(reason.effortBefore)} before. ${percent(reason.credit)} of the work done, ${percent(reason.creditBefore)} before.`;
		case 'tired':
			return `Energy ${list(reason.energy)} of 5 in the last ${reason.energy.length} check-ins.`;
		case 'low':
			return `Mood ${list(reason.mood)} of 5 in the last ${reason.mood.length} check-ins.`;
		case 'hard':
			return `Effort ${list(reason.effort)} of 10 in the last ${reason.effort.length} sessions.`;
		case 'uneven':
			return `${reason.exercise}: the ${reason.side} side did ${percent(reason.behind)} less than the other, ${reason.times} times running.`;
		case 'easy':
			return `All done at effort ${list(reason.effort)} of 10, ${reason.effort.length} sessions running.`;
		case 'came back':
			return `Did day ${reason.day} after ${counted(reason.after, 'training day')} without a check-in.`;
		case 'best': {
			const { now, before } = gainWords(reason.result.gain, units);
			return `${reason.result.gain.exercise}: ${now} on day ${reason.day}, ${before} at the test on day ${reason.result.before}.`;
		}
		case 'full week':
			return `All ${reason.due} training days of the week done.`;
		case 'sessions':
			return `${reason.count} sessions done.`;
	}
}

/** Whether they will still get there, as a coach would say it. */
/** Due days below which nothing is said of the odds. Common practice, no source. */
const FEW_DUE = 5;

export function finishWords({ chance, needed, left, due }: FinishChance, finishFrom: number): string {
	const goal = `${finishFrom} % of all work`;
	if (needed === 0) return `Has ${goal} already.`;
	const days = `needs ${needed} of the ${counted(left, 'training day')} left`;
	if (needed > left)
		return left === 0
			? `The challenge is over without ${goal}.`
			: `${goal} is out of reach: ${counted(left, 'training day')} left.`;
	if (due < FEW_DUE) return `Too early to tell: ${counted(due, 'due day')} so far. For ${goal} ${days}.`;
	const tenths = Math.round(chance * 10);
	const said =
		chance < 0.05
			? 'Less than 1 in 20'
			: chance > 0.95
				? 'More than 19 in 20'
				: `About ${Math.max(1, Math.min(9, tenths))} in 10`;
	return `${said} to reach ${goal}: ${days}.`;
}

/** What came of it. */
export function effectWords({ checkedInAt, days }: Effect, zone: string): string {
	if (checkedInAt !== null)
		return days === 0
			? `Checked in within a day, ${dayAndTimeIn(zone, checkedInAt)}.`
			: `Checked in after ${counted(days, 'day')}, ${dayAndTimeIn(zone, checkedInAt)}.`;
	return days === 0 ? 'No check-in since.' : `No check-in for ${counted(days, 'day')} since.`;
}
