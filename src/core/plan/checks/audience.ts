import { needWords, type Item } from '../../exercise';
import { kitOfItems, missingIn } from '../../kit';
import { COMMON } from '../../findings';
import { equipmentOf } from '../../session';
import { counted, listed } from '../../text/words';
import type { PlanCheck, PlanFinding } from '../finding';
import type { ResolvedDay } from '../resolved-plan';

const notOwned: PlanCheck = ({ resolved, plan, practice }) => {
	const kit = kitOfItems(plan.audience.items, plan.audience.heaviestKg);
	const missing = new Map<Item, { days: ResolvedDay[]; count: number }>();
	for (const day of resolved.days) {
		const needs = day.prescribed ? equipmentOf(day.prescribed.session, practice) : [];
		for (const { item, count } of missingIn(kit, needs)) {
			const seen = missing.get(item) ?? { days: [], count: 0 };
			missing.set(item, { days: [...seen.days, day], count: Math.max(seen.count, count) });
		}
	}
	return [...missing].map(([item, { days, count }]): PlanFinding => ({
		rule: 'audience, equipment',
		severity: 'watch',
		title: `Not taken to be at hand: ${needWords({ item, count })}`,
		figure: `Needed on ${counted(days.length, 'day')}: ${listed(days.map((day) => day.day))}, in ${listed([...new Set(days.map((day) => day.prescribed?.name ?? ''))], 4)}.`,
		place: { days: days.map((day) => day.day) },
		source: 'the audience set for this plan',
		remedy: {
			label: 'People have it',
			apply: (p) => ({ ...p, audience: { ...p.audience, items: [...p.audience.items, item] } })
		}
	}));
};

const tooHeavy: PlanCheck = ({ resolved, plan }) => {
	const { heaviestKg } = plan.audience;
	if (heaviestKg === null) return [];
	const found = new Map<string, { kg: number; days: number[] }>();
	for (const day of resolved.days)
		for (const block of day.prescribed?.session.blocks ?? [])
			for (const part of block.parts) {
				if (part.kg === null || part.kg <= heaviestKg) continue;
				const changed = day.prescribed?.changes.some(
					({ what, to }) => what === 'load' && to === `${part.kg} kg`
				);
				if (changed) continue;
				const seen = found.get(part.exercise) ?? { kg: 0, days: [] };
				found.set(part.exercise, {
					kg: Math.max(seen.kg, part.kg),
					days: [...new Set([...seen.days, day.day])]
				});
			}
	if (found.size === 0) return [];
	const days = [...new Set([...found.values()].flatMap((one) => one.days))].sort((a, b) => a - b);
	return [
		{
			rule: 'audience, load',
			severity: 'watch',
			title: `Heavier than ${heaviestKg} kg: ${listed(
				[...found].map(([name, { kg }]) => `${name} ${kg} kg`),
				4
			)}`,
			figure: `On ${counted(days.length, 'day')}; the heaviest that people are taken to have is ${heaviestKg} kg.`,
			place: { days },
			source: 'the audience set for this plan',
			remedy: null
		}
	];
};

/** Jumps, and balance without support, in a plan for beginners. */
const tooHard: PlanCheck = ({ resolved, plan, practice }) => {
	if (plan.audience.level !== 'beginner') return [];
	const hard = new Map<string, number[]>();
	for (const day of resolved.days)
		for (const name of day.prescribed?.exercises ?? []) {
			const exercise = practice.library.find(name);
			if (!exercise || (exercise.impact !== 'high' && exercise.balance < 2)) continue;
			hard.set(name, [...(hard.get(name) ?? []), day.day]);
		}
	if (hard.size === 0) return [];
	const days = [...new Set([...hard.values()].flat())].sort((a, b) => a - b);
	return [
		{
			rule: 'audience, level',
			severity: 'safety',
			title: `For beginners: ${listed([...hard.keys()], 4)}`,
			figure: `Hard landings or balance without a hold on ${counted(days.length, 'day')}; an easier variation, or a chair in reach.`,
			place: { days },
			source: COMMON,
			remedy: null
		}
	];
};

export const AUDIENCE_CHECKS: PlanCheck[] = [tooHard, notOwned, tooHeavy];
