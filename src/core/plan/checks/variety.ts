import { AT_HOME, needWords, type Item } from '../../library';
import { COMMON } from '../../review';
import { equipmentOf } from '../../session';
import { counted, listed } from '../../words';
import type { PlanCheck, PlanFinding, PlanSubject } from '../finding';
import type { LaidDay, LaidPlan, LaidWeek } from '../laid';

/** Exercises of the main work that none of the sessions shortly before had. */
export function freshOf(days: readonly LaidDay[], day: LaidDay, back: number): string[] {
	const before = days.filter((other) => other.day < day.day && other.sent).slice(-back);
	const known = new Set(before.flatMap((other) => other.sent?.exercises ?? []));
	return (day.sent?.exercises ?? []).filter((name) => !known.has(name));
}

/** Weeks that ask for nothing that the one before did not: no exercise, no session, no step of a rule. */
export function dullWeeksOf(laid: LaidPlan, dullAfter: number): LaidWeek[] {
	const prescribed = (days: readonly LaidDay[]) =>
		JSON.stringify(days.map((day) => day.sent?.session.blocks ?? null));
	return laid.weeks.filter(({ week, days }) => {
		const before = laid.weeks[week - 2];
		if (!before || !days.some((day) => day.sent)) return false;
		const fresh = days.flatMap((day) => freshOf(laid.days, day, dullAfter));
		return fresh.length === 0 && prescribed(before.days.slice(0, days.length)) === prescribed(days);
	});
}

const dullWeeks: PlanCheck = ({ laid, house }) => {
	const dull = dullWeeksOf(laid, house.dullAfter);
	if (dull.length === 0) return [];
	return [
		{
			rule: 'nothing new',
			weight: 'watch',
			title: `${dull.length > 1 ? 'Weeks' : 'Week'} ${listed(dull.map(({ week }) => week))}: the same as the week before`,
			figure: `No exercise that the last ${counted(house.dullAfter, 'session')} did not have, and no step of a rule; what looks like laziness is mostly boredom.`,
			days: dull.flatMap(({ days }) => days.filter((day) => day.sent).map((day) => day.day)),
			source: COMMON,
			remedy: null
		}
	];
};

function itemDays({ laid, timing }: PlanSubject): Map<Item, LaidDay[]> {
	const days = new Map<Item, LaidDay[]>();
	for (const day of laid.days) {
		if (!day.sent) continue;
		for (const { item } of equipmentOf(day.sent.session, timing.library))
			days.set(item, [...(days.get(item) ?? []), day]);
	}
	return days;
}

const onOneDay: PlanCheck = (subject) => {
	const training = subject.laid.days.filter((day) => day.sent).length;
	if (training < 6) return [];
	return [...itemDays(subject)]
		.filter(([item, days]) => days.length === 1 && !AT_HOME.has(item))
		.map(([item, days]): PlanFinding => {
			const [day] = days;
			return {
				rule: 'equipment on one day',
				weight: 'hint',
				title: `A ${item} is needed on day ${day?.day} alone`,
				figure: `1 of ${counted(training, 'training day')}: people get ${needWords({ item, count: 1 })} for one session.`,
				days: days.map((d) => d.day),
				source: COMMON,
				remedy: null
			};
		});
};

export const VARIETY_CHECKS: PlanCheck[] = [dullWeeks, onOneDay];
