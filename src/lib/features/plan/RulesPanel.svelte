<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import {
		isEverywhere,
		newRule,
		PLAN_LIMITS,
		ruleText,
		type Rule,
		type Step,
		type StepKind
	} from '$core/plan';
	import type { PlanEditor } from './plan-editor.svelte';
	import { choicesOf, sameTarget } from './rule-form';
	import { stepDefinition, stepDefinitions } from '$core/plan';
	import { ruleTable } from './rule-table';

	/** How the plan is made harder: its rules, lighter weeks, and what becomes of each exercise over the weeks. */
	let { editor }: { editor: PlanEditor } = $props();
	const plan = $derived(editor.plan);
	const groups = $derived(choicesOf(editor.resolved));
	const choices = $derived(groups.flatMap(({ choices: all }) => all));
	const weeks = $derived(editor.resolved.weeks.length);
	let open = $state<string | null>(null);

	const put = (rules: readonly Rule[], what = '') => editor.change({ ...plan, rules }, what);
	const change = (rule: Rule, next: Partial<Rule>) =>
		put(
			plan.rules.map((other) => (other.id === rule.id ? { ...other, ...next } : other)),
			`rule ${rule.id} ${Object.keys(next).join()}`
		);
	function add() {
		const first = choices.find(({ loaded }) => loaded) ?? choices[0];
		if (!first) return;
		const id = crypto.randomUUID();
		put([...plan.rules, newRule(id, first.on, [stepDefinition('double').initial])]);
		open = id;
	}
	function putStep(rule: Rule, at: number, step: Step | null) {
		const steps = rule.steps.flatMap((old, i) => (i === at ? (step ? [step] : []) : [old]));
		if (steps.length > 0) change(rule, { steps });
	}
	function putNumber(rule: Rule, at: number, key: string, text: string) {
		const value = Number(text);
		const step = rule.steps[at];
		if (step && value > 0) putStep(rule, at, { ...step, [key]: value });
	}
	const nameOf = (rule: Rule): string | undefined =>
		isEverywhere(rule.on) ? undefined : editor.resolved.sessions.get(rule.on.session)?.name;
	const walls = $derived(new Set(editor.findings.flatMap((finding) => finding.place.progression ?? [])));
	const deload = $derived(plan.deload);
</script>

<section class="panel p-4" aria-labelledby="progression">
	<div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
		<h2 id="progression">Progression</h2>
		<label class="flex items-center gap-2 text-sm"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				checked={deload !== null}
				onchange={(event) =>
					editor.change({ ...plan, deload: event.currentTarget.checked ? { every: 4, keep: 0.6 } : null })}
			/> lighter weeks</label
		>
		{#if deload}
			<label class="flex items-center gap-1.5 text-sm"
				>every
				<input
					type="number"
					class="input input-xs w-14"
					min="2"
					max={PLAN_LIMITS.every}
					value={deload.every}
					onchange={(event) =>
						editor.change({
							...plan,
							deload: {
								...deload,
								every: Math.min(12, Math.max(2, Math.round(event.currentTarget.valueAsNumber) || 4))
							}
						})}
				/> weeks</label
			>
			<label class="flex items-center gap-1.5 text-sm"
				>keeping
				<input
					type="number"
					class="input input-xs w-16"
					min="10"
					max="90"
					step="10"
					value={Math.round(deload.keep * 100)}
					onchange={(event) =>
						editor.change({
							...plan,
							deload: {
								...deload,
								keep: Math.min(90, Math.max(10, Math.round(event.currentTarget.valueAsNumber) || 60)) / 100
							}
						})}
				/> % of sets</label
			>
		{/if}
		<a class="link-quiet text-sm" href="/glossary#deload-week">What is a deload week?</a>
		<button
			type="button"
			class="btn btn-outline btn-sm ml-auto"
			disabled={choices.length === 0 || plan.rules.length >= PLAN_LIMITS.rules}
			onclick={add}>Add a rule</button
		>
	</div>
	{#if plan.rules.length === 0}
		<p class="quiet text-sm">
			{choices.length === 0
				? 'Lay a session first; then it can be made harder week by week.'
				: 'No rule yet: every week asks for the same. A rule makes an exercise, a block or a session harder by a step a week.'}
		</p>
	{/if}
	<ul class="flex flex-col gap-2">
		{#each plan.rules as rule (rule.id)}
			<li class="border-base-300 border-t pt-2">
				<div class="flex items-baseline gap-2 text-sm">
					<button
						type="button"
						class="hover:text-primary text-left font-semibold"
						aria-expanded={open === rule.id}
						onclick={() => (open = open === rule.id ? null : rule.id)}>{ruleText(rule, nameOf(rule))}</button
					>
					{#if walls.has(rule.id)}<span class="attention text-[13px] font-semibold">see checks</span>{/if}
					<button
						type="button"
						class="btn btn-ghost btn-xs ml-auto"
						aria-label="Take out the rule {ruleText(rule, nameOf(rule))}"
						onclick={() => put(plan.rules.filter((other) => other.id !== rule.id))}
						><Trash2 size={14} aria-hidden="true" /></button
					>
				</div>
				{#if open === rule.id}
					<div class="my-2 flex flex-wrap items-end gap-x-3 gap-y-2 text-sm">
						<label
							>About
							<select
								class="select select-sm flex w-72"
								value={choices.findIndex(({ on }) => sameTarget(on, rule.on))}
								onchange={(event) => {
									const chosen = choices[Number(event.currentTarget.value)];
									if (chosen) change(rule, { on: chosen.on });
								}}
							>
								{#if !choices.some(({ on }) => sameTarget(on, rule.on))}<option value={-1}
										>{ruleText({ ...rule, steps: [] }, nameOf(rule))}</option
									>{/if}
								{#each groups as { group, choices: own } (group)}<optgroup label={group}
										>{#each own as choice (choice.label)}<option value={choices.indexOf(choice)}
												>{choice.label}</option
											>{/each}</optgroup
									>{/each}
							</select></label
						>
						{#each rule.steps as step, at (at)}
							<label
								>{at === 0 ? 'Each step' : 'and'}
								<select
									class="select select-sm flex w-44"
									value={step.kind}
									onchange={(event) =>
										putStep(rule, at, stepDefinition(event.currentTarget.value as StepKind).initial)}
								>
									{#each stepDefinitions() as { kind, label } (kind)}<option value={kind}>{label}</option
										>{/each}
								</select></label
							>
							{#each stepDefinition(step.kind).fields as field (field.key)}
								<label class="flex items-center gap-1"
									><input
										type="number"
										class="input input-sm w-16"
										min={field.step}
										step={field.step}
										aria-label={field.unit}
										value={(step as unknown as Record<string, number>)[field.key]}
										onchange={(event) => putNumber(rule, at, field.key, event.currentTarget.value)}
									/>{field.unit}</label
								>
							{/each}
							{#if rule.steps.length > 1}<button
									type="button"
									class="btn btn-ghost btn-xs"
									aria-label="Without {stepDefinition(step.kind).label}"
									onclick={() => putStep(rule, at, null)}>×</button
								>{/if}
						{/each}
						{#if rule.steps.length < PLAN_LIMITS.steps}<button
								type="button"
								class="link-quiet"
								onclick={() => change(rule, { steps: [...rule.steps, stepDefinition('rest').initial] })}
								>and also</button
							>{/if}
						<label
							>from week
							<select
								class="select select-sm flex w-20"
								value={rule.from}
								onchange={(event) => change(rule, { from: Number(event.currentTarget.value) })}
							>
								{#each { length: Math.max(weeks, rule.from) - 1 } as _, i (i)}<option value={i + 2}
										>{i + 2}</option
									>{/each}
							</select></label
						>
						<label
							>to week
							<select
								class="select select-sm flex w-24"
								value={rule.until ?? 0}
								onchange={(event) => change(rule, { until: Number(event.currentTarget.value) || null })}
							>
								<option value={0}>the end</option>
								{#each { length: Math.max(weeks, rule.until ?? 0) - 1 } as _, i (i)}<option value={i + 2}
										>{i + 2}</option
									>{/each}
							</select></label
						>
						<label
							>every
							<select
								class="select select-sm flex w-28"
								value={rule.every}
								onchange={(event) => change(rule, { every: Number(event.currentTarget.value) })}
							>
								{#each [1, 2, 3, 4] as every (every)}<option value={every}
										>{every === 1 ? 'week' : `${every} weeks`}</option
									>{/each}
								{#if rule.every > 4}<option value={rule.every}>{rule.every} weeks</option>{/if}
							</select></label
						>
					</div>
					<div class="overflow-x-auto">
						<table class="sheet text-[13px]">
							<thead
								><tr
									><th>What</th>{#each editor.resolved.weeks as { week, light } (week)}<th
											>week {week}{light ? ', lighter' : ''}</th
										>{/each}</tr
								></thead
							>
							<tbody>
								{#each ruleTable(editor.resolved, rule) as row (row.what)}
									<tr
										><td>{row.what}</td>{#each row.values as value, w (w)}<td
												class={[value !== null && value !== row.values[w - 1] && w > 0 && 'font-bold']}
												>{value ?? '–'}</td
											>{/each}</tr
									>
								{:else}<tr><td colspan={weeks + 1} class="quiet">It changes nothing yet.</td></tr>{/each}
							</tbody>
						</table>
					</div>
				{/if}
			</li>
		{/each}
	</ul>
</section>
