import { needWords, type Item } from '../../exercise';
import { missingIn } from '../../kit';
import { againstFor, kitOf, limitsFor, type Against } from '../../people';
import { COMMON } from '../../findings';
import { equipmentOf, partFor } from '../../session';
import { substitute } from '../../substitution';
import { counted, listed } from '../../text/words';
import type { PlanCheck, PlanFinding } from '../finding';
import type { ResolvedDay } from '../resolved-plan';

const notOwned: PlanCheck = ({ resolved, plan, practice }) => {
	const kit = kitOf(plan.audience);
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
		day.prescribed?.session.blocks.forEach((block, b) =>
			block.parts.forEach((part, p) => {
				const { kg } = partFor(part, plan.audience.level);
				if (kg === null || kg <= heaviestKg) return;
				// What a rule made heavy is said of the rule.
				const changed = day.prescribed?.changes.some(
					({ what, block: at, part: of }) => what === 'load' && at === b && of === p
				);
				if (changed) return;
				const seen = found.get(part.exercise) ?? { kg: 0, days: [] };
				found.set(part.exercise, {
					kg: Math.max(seen.kg, kg),
					days: [...new Set([...seen.days, day.day])]
				});
			})
		);
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

/** Exercises of a plan that somebody of its audience must not be asked for, with what all can do in their place. */
const notForThem: PlanCheck = ({ resolved, plan: { audience }, practice }) => {
	const fitting = { kit: kitOf(audience), limits: limitsFor(audience) };
	const wrong = new Map<string, { days: number[]; reasons: Against[]; instead: string | null }>();
	for (const day of resolved.days)
		for (const name of day.prescribed?.exercises ?? []) {
			const exercise = practice.library.find(name);
			const known = wrong.get(name);
			if (known) known.days.push(day.day);
			if (!exercise || known) continue;
			const reasons = againstFor(exercise, audience);
			if (reasons.length === 0) continue;
			const instead = substitute(exercise, fitting, practice)?.exercise ?? null;
			wrong.set(name, { days: [day.day], reasons, instead: instead && instead.name.toLowerCase() });
		}
	if (wrong.size === 0) return [];
	const days = [...new Set([...wrong.values()].flatMap((one) => one.days))].sort((a, b) => a - b);
	const who = [...new Set([...wrong.values()].flatMap(({ reasons }) => reasons.map((one) => one.who)))];
	const instead = [...wrong].map(([name, one]) => `${name}: ${one.instead ?? 'nothing like it'}`);
	return [
		{
			rule: 'audience, limits',
			severity: 'safety',
			title: `Not for this group (${listed(who)}): ${listed([...wrong.keys()], 4)}`,
			figure: `On ${counted(days.length, 'day')}. In their place: ${listed(instead, 4)}.`,
			place: { days },
			source: COMMON,
			remedy: null
		}
	];
};

export const AUDIENCE_CHECKS: PlanCheck[] = [notForThem, notOwned, tooHeavy];
