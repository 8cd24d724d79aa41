import { AT_HOME, needWords, type Item } from '../../exercise';
import { COMMON } from '../../findings';
import { equipmentOf } from '../../session';
import { counted, listed } from '../../text/words';
import type { PlanCheck, PlanFinding, PlanSubject } from '../finding';
import type { ResolvedDay, ResolvedPlan, ResolvedWeek } from '../resolved-plan';

/** Exercises of the main work that none of the sessions shortly before had. */
export function freshOf(days: readonly ResolvedDay[], day: ResolvedDay, back: number): string[] {
	const before = days.filter((other) => other.day < day.day && other.prescribed).slice(-back);
	const known = new Set(before.flatMap((other) => other.prescribed?.exercises ?? []));
	return (day.prescribed?.exercises ?? []).filter((name) => !known.has(name));
}

/** Weeks that ask for nothing that the one before did not: no exercise, no session, no step of a rule. */
export function dullWeeksOf(resolved: ResolvedPlan, dullAfter: number): ResolvedWeek[] {
	const prescribed = (days: readonly ResolvedDay[]) =>
		JSON.stringify(days.map((day) => day.prescribed?.session.blocks ?? null));
	return resolved.weeks.filter(({ week, days }) => {
		const before = resolved.weeks[week - 2];
		if (!before || !days.some((day) => day.prescribed)) return false;
		const fresh = days.flatMap((day) => freshOf(resolved.days, day, dullAfter));
		return fresh.length === 0 && prescribed(before.days.slice(0, days.length)) === prescribed(days);
	});
}

const dullWeeks: PlanCheck = ({ resolved, practice: { house } }) => {
	const dull = dullWeeksOf(resolved, house.dullAfter);
	if (dull.length === 0) return [];
	return [
		{
			rule: 'nothing new',
			severity: 'watch',
			title: `${dull.length > 1 ? 'Weeks' : 'Week'} ${listed(dull.map(({ week }) => week))}: the same as the week before`,
			figure: `No exercise that the last ${counted(house.dullAfter, 'session')} did not have, and no step of a rule; people tire of the same sessions sooner than of training.`,
			place: { days: dull.flatMap(({ days }) => days.filter((day) => day.prescribed).map((day) => day.day)) },
			source: COMMON,
			remedy: null
		}
	];
};

function itemDays({ resolved, practice }: PlanSubject): Map<Item, ResolvedDay[]> {
	const days = new Map<Item, ResolvedDay[]>();
	for (const day of resolved.days) {
		if (!day.prescribed) continue;
		for (const { item } of equipmentOf(day.prescribed.session, practice))
			days.set(item, [...(days.get(item) ?? []), day]);
	}
	return days;
}

const onOneDay: PlanCheck = (subject) => {
	const training = subject.resolved.days.filter((day) => day.prescribed).length;
	if (training < 6) return [];
	return [...itemDays(subject)]
		.filter(([item, days]) => days.length === 1 && !AT_HOME.has(item))
		.map(([item, days]): PlanFinding => {
			const [day] = days;
			return {
				rule: 'equipment on one day',
				severity: 'hint',
				title: `A ${item} is needed on day ${day?.day} alone`,
				figure: `1 of ${counted(training, 'training day')}: people get ${needWords({ item, count: 1 })} for one session.`,
				place: { days: days.map((d) => d.day) },
				source: COMMON,
				remedy: null
			};
		});
};

export const VARIETY_CHECKS: PlanCheck[] = [dullWeeks, onOneDay];
