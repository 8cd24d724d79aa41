import { COMMON } from '../../findings';
import { formatOf, partFor } from '../../session';
import type { PlanCheck, PlanFinding, PlanSubject } from '../finding';
import type { ResolvedDay } from '../resolved-plan';
import type { Plan, Rule } from '../model';
import type { Step } from '../steps';
import { isEverywhere } from '../progression';
import { ruleText } from '../rule-text';

/** Where a rule runs into a wall, and what else could be done from there on. */
interface Wall {
	rule: Rule;
	day: ResolvedDay;
	what: string;
	figure: string;
	/** Another way to go on from that week; null: only stop. */
	instead: { label: string; step: Step } | null;
}

const without = (plan: Plan, id: string, change: (rule: Rule) => Rule[]): Plan => ({
	...plan,
	rules: plan.rules.flatMap((rule) => (rule.id === id ? change(rule) : [rule]))
});

const finding = ({ rule, day, what, figure, instead }: Wall): PlanFinding => {
	const stop = (r: Rule): Rule[] => (day.week > r.from ? [{ ...r, until: day.week - 1 }] : []);
	return {
		rule: 'progression',
		severity: 'watch',
		title: `Week ${day.week}, ${day.prescribed?.name ?? ''}: ${what}`,
		figure,
		place: { days: [day.day], progression: rule.id },
		source: COMMON,
		remedy: instead
			? {
					label: instead.label,
					apply: (plan) =>
						without(plan, rule.id, (r) => [
							...stop(r),
							{ ...r, id: `${r.id}-w${day.week}`, from: day.week, until: r.until, steps: [instead.step] }
						])
				}
			: {
					label: day.week > rule.from ? `Let it stand after week ${day.week - 1}` : 'Take the rule out',
					apply: (plan) => without(plan, rule.id, stop)
				}
	};
};

const has = (rule: Rule, ...kinds: Step['kind'][]): boolean =>
	rule.steps.some(({ kind }) => kinds.includes(kind));
const SLOWER = { label: 'Go on slower instead of heavier', step: { kind: 'tempo', seconds: 1 } } as const;
const CLOSER = { label: 'Go on with less rest instead', step: { kind: 'rest', seconds: 5 } } as const;

/** Blocks of a day’s session that a rule has changed. */
const changedBlocks = (day: ResolvedDay, rule: Rule): Set<number> =>
	new Set(
		(day.prescribed?.changes ?? []).filter((change) => change.rule === rule.id).map(({ block }) => block)
	);

function tooHeavy(rule: Rule, day: ResolvedDay, { plan }: PlanSubject): Wall | null {
	const { heaviestKg } = plan.audience;
	if (heaviestKg === null || !has(rule, 'load', 'double')) return null;
	for (const change of day.prescribed?.changes ?? []) {
		if (change.rule !== rule.id || change.part === null) continue;
		const part = day.prescribed?.session.blocks[change.block]?.parts[change.part];
		const kg = part && partFor(part, plan.audience.level).kg;
		if (!part || typeof kg !== 'number' || kg <= heaviestKg) continue;
		return {
			rule,
			day,
			what: `${part.exercise} at ${kg} kg`,
			figure: `The heaviest that people are taken to have is ${heaviestKg} kg.`,
			instead: SLOWER
		};
	}
	return null;
}

function blockFull(rule: Rule, day: ResolvedDay, { practice }: PlanSubject): Wall | null {
	for (const b of changedBlocks(day, rule)) {
		const block = day.prescribed?.session.blocks[b];
		const full = block && formatOf(block).full?.(block, practice);
		if (!full) continue;
		return {
			rule,
			day,
			...full,
			instead: has(rule, 'rounds')
				? null
				: { label: 'Go on with another round instead', step: { kind: 'rounds', rounds: 1 } }
		};
	}
	return null;
}

function overBudget(rule: Rule, day: ResolvedDay, { resolved, budgetMinutes }: PlanSubject): Wall | null {
	if (budgetMinutes === null || day.minutes <= budgetMinutes + 0.5 || changedBlocks(day, rule).size === 0)
		return null;
	const first = resolved.days.find((other) => other.prescribed?.key === day.prescribed?.key);
	if (!first || first.minutes > budgetMinutes + 0.5) return null;
	return {
		rule,
		day,
		what: `over the budget, ${Math.round(day.minutes)} min of ${budgetMinutes}`,
		figure: `${Math.round(first.minutes)} min in week ${first.week}; the rule has made it longer.`,
		instead: has(rule, 'rest') ? null : CLOSER
	};
}

function cannot(rule: Rule, day: ResolvedDay): Wall | null {
	const stuck = day.prescribed?.stuck.find((one) => one.rule === rule.id);
	if (!stuck) return null;
	return {
		rule,
		day,
		what: stuck.why,
		figure: `${ruleText(rule)}: from here on it stays as in the week before.`,
		instead: has(rule, 'variation', 'double') ? SLOWER : null
	};
}

/** The first wall of every rule; walls behind it would go with it. */
const walls: PlanCheck = (subject) =>
	subject.plan.rules.flatMap((rule): PlanFinding[] => {
		for (const day of subject.resolved.days) {
			if (
				!day.prescribed?.met.has(rule.id) ||
				day.week < rule.from ||
				(rule.until !== null && day.week > rule.until)
			)
				continue;
			const wall =
				cannot(rule, day) ??
				tooHeavy(rule, day, subject) ??
				blockFull(rule, day, subject) ??
				overBudget(rule, day, subject);
			if (wall) return [finding(wall)];
		}
		return [];
	});

/** A rule whose exercise, session or kind of step is nowhere in the plan, or that begins after its end. */
const idle: PlanCheck = ({ plan, resolved }) =>
	plan.rules.flatMap((rule): PlanFinding[] => {
		const met = resolved.days.some((day) => day.prescribed?.met.has(rule.id));
		const late = rule.from > resolved.weeks.length;
		if (met && !late) return [];
		const session = isEverywhere(rule.on) ? null : resolved.sessions.get(rule.on.session);
		return [
			{
				rule: 'progression',
				severity: 'watch',
				title: `A rule changes nothing: ${ruleText(rule, session?.name)}`,
				figure: late
					? `It begins in week ${rule.from}, and the plan has ${resolved.weeks.length}.`
					: 'What it is about does not come in this plan, or cannot be changed in that way.',
				place: { days: [], progression: rule.id },
				source: COMMON,
				remedy: { label: 'Take the rule out', apply: (p) => without(p, rule.id, () => []) }
			}
		];
	});

export const RULE_CHECKS: PlanCheck[] = [walls, idle];
