import { COMMON } from '../../findings';
import { counted, listed } from '../../text/words';
import { swapDays } from '../edit';
import { WHO } from '../../findings';
import { type PlanCheck, type PlanFinding } from '../finding';
import { AEROBIC_MINUTES } from '../groups';
import type { ResolvedDay } from '../resolved-plan';
import { FULL_WEEK } from './muscles';
import { lighterDay } from './days';

/** Minutes from which a lifting session is long, and sets on the legs from which they are tired by it. */
const LONG_LIFT = 25;
const LEG_SETS = 6;

const aerobic: PlanCheck = ({ resolved }) => {
	const short = resolved.weeks.filter(
		({ days, aerobic: minutes, light }) =>
			days.length >= FULL_WEEK && !light && days.some((day) => day.prescribed) && minutes < AEROBIC_MINUTES
	);
	if (short.length === 0) return [];
	const least = short.reduce((a, b) => (b.aerobic < a.aerobic ? b : a));
	return [
		{
			rule: 'aerobic minutes',
			severity: 'hint',
			title: `${counted(short.length, 'week')} under ${AEROBIC_MINUTES} aerobic minutes`,
			figure: `Week ${least.week} has ${Math.round(least.aerobic)}, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too.`,
			place: { days: [] },
			source: WHO,
			remedy: null
		}
	];
};

/** Weeks whose count of a kind of cardio is not what the house asks for, as one finding a kind. */
const cardioCount: PlanCheck = ({ resolved, practice: { house } }) =>
	(['steady', 'hard'] as const).flatMap((kind): PlanFinding[] => {
		const wanted = kind === 'steady' ? house.steadyAWeek : house.hardAWeek;
		const off = resolved.weeks.filter(
			({ days }) =>
				days.length >= FULL_WEEK &&
				days.some((day) => day.prescribed) &&
				(kind === 'hard' ? Math.abs : (n: number) => Math.max(0, -n))(
					days.filter((day) => day.prescribed?.cardio === kind).length - wanted
				) > 0
		);
		if (off.length === 0) return [];
		const counts = off.map(({ days }) => days.filter((day) => day.prescribed?.cardio === kind).length);
		return [
			{
				rule: `${kind} cardio`,
				severity: 'hint',
				title: `${kind === 'steady' ? 'Steady' : 'Hard'} cardio ${listed([...new Set(counts)].sort())} times a week, not ${wanted}`,
				figure: `In ${off.length === resolved.weeks.length ? 'every week' : `week ${listed(off.map(({ week }) => week))}`}; the house rule is ${wanted}.`,
				place: { days: [] },
				source: COMMON,
				remedy: null
			}
		];
	});

const legSets = (day: ResolvedDay): number => {
	const sets = day.prescribed?.balance.sets;
	return sets ? Math.max(sets.quads, sets.hamstrings, sets.glutes) : 0;
};

/** Hard intervals on the same day as, or the day after, a long session that tired the legs. */
const afterLifting: PlanCheck = (subject) => {
	const { resolved } = subject;
	return resolved.days.flatMap((day): PlanFinding[] => {
		if (day.prescribed?.cardio !== 'hard') return [];
		const before = resolved.days[day.day - 2];
		if (!before?.prescribed || before.minutes < LONG_LIFT || legSets(before) < LEG_SETS) return [];
		const other = lighterDay(subject, day, [before.day, before.day + 1]);
		const after = other && resolved.days[other.day - 2];
		const helps = other && (!after || after.day === day.day || legSets(after) < LEG_SETS);
		return [
			{
				rule: 'hard cardio after lifting',
				severity: 'hint',
				title: `Hard intervals on day ${day.day}, the day after ${before.prescribed.name}`,
				figure: `${legSets(before)} sets on the legs in ${Math.round(before.minutes)} min the day before; the legs are not fresh.`,
				place: { days: [before.day, day.day] },
				source: COMMON,
				remedy: helps
					? {
							label: `Swap days ${other.day} and ${day.day}`,
							apply: (plan) => swapDays(plan, other.day, day.day)
						}
					: null
			}
		];
	});
};

export const CARDIO_CHECKS: PlanCheck[] = [aerobic, cardioCount, afterLifting];
