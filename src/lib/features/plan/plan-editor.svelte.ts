import {
	changedFindings,
	checkPlan,
	copyDay,
	emptyForms,
	resolvePlan,
	swapDays,
	type ResolvedPlan,
	type Plan,
	type PlanFinding,
	type PlanSession
} from '$core/plan';
import { History } from '$lib/ui/history.svelte';
import type { Workshop } from '$lib/features/build/workshop';

/** A day that is on its way to another: by the pointer or by keys. */
export interface Carry {
	from: number;
	/** Where it would be dropped; itself at first. */
	to: number;
	how: 'swap' | 'copy';
}

export interface PlanSetting {
	sessions: readonly PlanSession[];
	shop: Workshop;
	budgetMinutes: number;
	/** Days up to this one are released and keep their place. */
	releasedTo: number;
}

/** Whether something that was kept is a plan. */
export function isPlan(value: unknown): value is Plan {
	const plan = value as Partial<Plan> | null | undefined;
	return [plan?.days, plan?.rules, plan?.tests].every(Array.isArray) && typeof plan?.audience === 'object';
}

/** A plan that is being edited: what it adds up to, what checks say, and what is chosen in it. */
export class PlanEditor extends History<Plan> {
	private readonly setting: () => PlanSetting;
	/** Sessions in their weeks stay worked out while the plan is moved about. */
	private readonly known = emptyForms();
	/** Chosen days, ascending. */
	chosen = $state.raw<readonly number[]>([]);
	carry = $state.raw<Carry | null>(null);
	/** The week that is looked at closely; null: none. */
	week = $state.raw<number | null>(null);
	/** Days that a finding points at. */
	pointed = $state.raw<readonly number[]>([]);

	constructor(start: Plan, setting: () => PlanSetting) {
		super(start);
		this.setting = setting;
	}

	get plan(): Plan {
		return this.state;
	}

	private worked(plan: Plan): { resolved: ResolvedPlan; findings: PlanFinding[] } {
		const { sessions, shop, budgetMinutes, releasedTo } = this.setting();
		const resolved = resolvePlan(plan, sessions, shop, this.known);
		return { resolved, findings: checkPlan(resolved, shop, { budgetMinutes, releasedTo }) };
	}

	private readonly now = $derived.by(() => this.worked(this.state));
	get resolved(): ResolvedPlan {
		return this.now.resolved;
	}
	get findings(): PlanFinding[] {
		return this.now.findings;
	}

	change(plan: Plan, what = ''): void {
		if (plan !== this.state) this.step(plan, what);
	}

	/** Whether a day may change places: released ones stay where they are. */
	movable(day: number): boolean {
		return day > this.setting().releasedTo;
	}

	private carried({ from, to, how }: Carry): Plan | null {
		if (from === to || !this.movable(to) || (how === 'swap' && !this.movable(from))) return null;
		return how === 'swap' ? swapDays(this.state, from, to) : copyDay(this.state, from, [to]);
	}

	/** What dropping the carried day here would bring and end; null where it cannot be dropped. */
	readonly effect = $derived.by(() => {
		if (!this.carry) return null;
		const next = this.carried(this.carry);
		return next && changedFindings(this.findings, this.worked(next).findings);
	});

	drop(): void {
		const next = this.carry && this.carried(this.carry);
		const to = this.carry?.to;
		this.carry = null;
		if (!next || to === undefined) return;
		this.change(next);
		this.chosen = [to];
	}

	/** Chooses a day alone, or with those chosen before, or all up to it. */
	choose(day: number, how: 'alone' | 'toggle' | 'range' = 'alone'): void {
		if (how === 'toggle')
			this.chosen = this.chosen.includes(day)
				? this.chosen.filter((other) => other !== day)
				: [...this.chosen, day].sort((a, b) => a - b);
		else if (how === 'range' && this.chosen.length > 0) {
			const [first, last] = [Math.min(this.chosen[0] ?? day, day), Math.max(this.chosen.at(-1) ?? day, day)];
			this.chosen = Array.from({ length: last - first + 1 }, (_, i) => first + i);
		} else this.chosen = [day];
	}
}
