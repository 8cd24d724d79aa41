import { COMMON } from '../../findings';
import { counted } from '../../text/words';
import { FOSTER } from '../../findings';
import { type PlanCheck, type PlanFinding } from '../finding';
import { FULL_WEEK } from './muscles';

/** Above this a week's days are too much alike; Foster 1998, from memory. */
const MONOTONY_MOST = 2;
/** From this many weeks on one of them is usually lighter. */
const LONG = 6;

const rise: PlanCheck = ({ resolved, practice: { house } }) => {
	// A lighter week and a stub at the end are no measure for the next.
	const whole = resolved.weeks.filter(({ light, days, load }) => !light && days.length === 7 && load > 0);
	return whole.flatMap(({ week, load, days }, i): PlanFinding[] => {
		const before = whole[i - 1];
		if (!before) return [];
		const percent = (load / before.load - 1) * 100;
		if (percent <= house.riseMost) return [];
		return [
			{
				rule: 'rise of the week',
				severity: 'hint',
				title: `Week ${week} is ${Math.round(percent)} % harder than week ${before.week}`,
				figure: `Load ${Math.round(before.load)} → ${Math.round(load)}; up to ${house.riseMost} % is a rule of thumb, no limit of injury.`,
				place: { days: days.map((day) => day.day) },
				source: `${COMMON}: the evidence for any fixed rise is weak`,
				remedy: null
			}
		];
	});
};

const monotony: PlanCheck = ({ resolved }) =>
	resolved.weeks
		.filter(({ days, monotony: value }) => days.length === 7 && value !== null && value > MONOTONY_MOST)
		.map(({ week, monotony: value, strain, load, days }): PlanFinding => ({
			rule: 'monotony',
			severity: 'hint',
			title: `Week ${week}: its days are much alike`,
			figure: `Monotony ${(value ?? 0).toFixed(1)}, strain ${Math.round(strain ?? 0)} at a load of ${Math.round(load)}; above ${MONOTONY_MOST} hard and easy days are hardly apart.`,
			place: { days: days.map((day) => day.day) },
			source: FOSTER,
			remedy: null
		}));

const deload: PlanCheck = ({ resolved, plan }) => {
	const weeks = resolved.weeks.filter(({ days }) => days.length >= FULL_WEEK).length;
	if (plan.deload && plan.deload.every > resolved.weeks.length)
		return [
			{
				rule: 'lighter week',
				severity: 'watch',
				title: `The lighter week never comes`,
				figure: `Every ${plan.deload.every} weeks, and the plan has ${counted(resolved.weeks.length, 'week')}.`,
				place: { days: [] },
				source: COMMON,
				remedy:
					resolved.weeks.length < 3
						? { label: 'Do without', apply: (p) => ({ ...p, deload: null }) }
						: {
								label: `Every ${resolved.weeks.length - 1} weeks`,
								apply: (p) => ({
									...p,
									deload: p.deload && { ...p.deload, every: resolved.weeks.length - 1 }
								})
							}
			}
		];
	if (plan.deload || weeks < LONG || plan.rules.length === 0) return [];
	return [
		{
			rule: 'lighter week',
			severity: 'hint',
			title: `${weeks} weeks of rising and none lighter`,
			figure: 'One week in four with about 60 % of the sets lets people catch up.',
			place: { days: [] },
			source: COMMON,
			remedy: {
				label: 'Every fourth week lighter',
				apply: (p) => ({ ...p, deload: { every: 4, keep: 0.6 } })
			}
		}
	];
};

export const LOAD_CHECKS: PlanCheck[] = [rise, monotony, deload];
