<script lang="ts">
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import X from '@lucide/svelte/icons/x';
	import { AEROBIC_MINUTES, STRENGTH_DAYS, weekFacts, weekSteps } from '$core/plan';
	import type { HouseRules } from '$core/practice';
	import { counted, signed } from '$lib/format';
	import FindingRemark from './FindingRemark.svelte';
	import type { PlanEditor } from './plan-editor.svelte';

	/** One week closely: its figures with what they are held against, what is new in it, what checks say of it. */
	let { editor, house }: { editor: PlanEditor; house: HouseRules } = $props();
	const weeks = $derived(editor.resolved.weeks.length);
	const week = $derived(editor.week !== null && editor.week <= weeks ? editor.week : null);
	const facts = $derived(week === null ? null : weekFacts(editor.resolved, week));
	const steps = $derived(week === null ? [] : weekSteps(editor.resolved, week));
	const own = $derived(new Set(editor.resolved.weeks[(week ?? 0) - 1]?.days.map(({ day }) => day)));
	const findings = $derived(
		editor.findings.filter(({ place: { days } }) => days.some((day) => own.has(day)))
	);
	const whole = (n: number) => String(Math.round(n));
	/** Bars go up to half as much again as the mark. */
	const share = (sets: number) => Math.min(100, (100 * sets) / (1.5 * house.weekSets));

	const figures = $derived(
		facts === null
			? []
			: [
					{
						what: 'Load',
						value: whole(facts.load),
						against:
							facts.rise === null
								? 'effort × minutes'
								: `${signed(facts.rise.share * 100)} % on week ${facts.rise.than}, up to ${house.riseMost} % is usual`
					},
					{
						what: 'Time',
						value: `${whole(facts.minutes)} min`,
						against: `on ${counted(facts.works, 'day')}`
					},
					{
						what: 'Monotony',
						value: facts.monotony === null ? '–' : facts.monotony.toFixed(1),
						against: facts.monotony === null ? 'all days alike: no value' : 'above 2 too much alike'
					},
					{
						what: 'Strain',
						value: facts.strain === null ? '–' : whole(facts.strain),
						against: 'load × monotony'
					},
					{
						what: 'Aerobic',
						value: `${whole(facts.aerobic)} min`,
						against: `of ${AEROBIC_MINUTES} advised`
					},
					{
						what: 'Cardio',
						value: `${facts.steady} + ${facts.hard}`,
						against: `steady and hard, your rule ${house.steadyAWeek} + ${house.hardAWeek}`
					}
				]
	);
</script>

{#if facts && week !== null}
	<section class="panel p-4" aria-labelledby="week-panel">
		<div class="mb-2 flex items-center gap-1">
			<h2 id="week-panel" class="grow">
				Week {week}
				{#if facts.light}<span class="text-info text-sm font-semibold">lighter</span>{/if}
			</h2>
			<button
				type="button"
				class="btn btn-ghost btn-xs"
				aria-label="The week before"
				disabled={week <= 1}
				onclick={() => (editor.week = week - 1)}><ChevronLeft size={16} aria-hidden="true" /></button
			>
			<button
				type="button"
				class="btn btn-ghost btn-xs"
				aria-label="The week after"
				disabled={week >= weeks}
				onclick={() => (editor.week = week + 1)}><ChevronRight size={16} aria-hidden="true" /></button
			>
			<button
				type="button"
				class="btn btn-ghost btn-xs"
				aria-label="Close the week"
				onclick={() => (editor.week = null)}><X size={16} aria-hidden="true" /></button
			>
		</div>
		<dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 text-sm">
			{#each figures as { what, value, against } (what)}
				<dt class="quiet">{what}</dt>
				<dd><b>{value}</b> <span class="quiet text-[13px]">{against}</span></dd>
			{/each}
		</dl>
		<h3 class="mt-3 mb-1 text-sm font-bold">Sets and days by muscle group</h3>
		<table class="w-full text-[13px]">
			<tbody>
				{#each facts.groups as { group, days, sets } (group)}
					<tr>
						<th class="pr-2 text-left font-normal">{group}</th>
						<td class="w-full"
							><span class="bg-base-300 relative block h-2 rounded-sm" aria-hidden="true"
								><span class="bg-primary block h-full rounded-sm" style:width="{share(sets)}%"></span><span
									class="bg-base-content absolute -top-0.5 h-3 w-px"
									style:left="{share(house.weekSets)}%"
								></span></span
							></td
						>
						<td class="pl-2 text-right whitespace-nowrap">{sets}</td>
						<td class={['pl-2 text-right whitespace-nowrap', days < STRENGTH_DAYS && 'attention font-bold']}
							>{counted(days, 'day')}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="quiet mt-1 text-[12px]">
			Sets of the group’s busiest muscle, assisting ones ½; the mark: {house.weekSets}. Two days a week for
			each are advised.
		</p>
		{#if steps.length > 0}
			<h3 class="mt-3 mb-1 text-sm font-bold">New by the rules</h3>
			<ul class="text-[13px]">
				{#each steps as step, i (i)}<li>
						{#if !step.text.startsWith(step.session)}<span class="quiet">{step.session}:</span>{/if}
						{step.text}
					</li>{/each}
			</ul>
		{/if}
		<h3 class="mt-3 mb-1 text-sm font-bold">
			{findings.length === 0 ? 'Checks find nothing in it' : `Checks, ${findings.length}`}
		</h3>
		<ul class="flex flex-col gap-2.5 text-sm">
			{#each findings as finding, i (`${finding.rule}.${i}`)}<li>
					<FindingRemark {editor} {finding} />
				</li>{/each}
		</ul>
	</section>
{/if}
