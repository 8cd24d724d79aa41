import type { FinishChance } from '$core/attendance';
import { reasonSentence, type Effect, type ReachWay, type Reason, type ReasonGroup } from '$core/triage';
import type { Units } from '$core/kit/units';
import { counted, dayAndTimeIn } from '$lib/format';

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

/** The reason with its figures as a sentence. @param zone of the coach @param units of the coach */
export const reasonWords = (reason: Reason, zone: string, units: Units): string =>
	reasonSentence(reason, { when: (at) => dayAndTimeIn(zone, at), units });

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
