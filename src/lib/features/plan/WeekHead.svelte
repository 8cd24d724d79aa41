<script lang="ts">
	import { insertDays, pasteWeek, PLAN_LIMITS, removeDays, type ResolvedWeek } from '$core/plan';
	import { dateOfDay } from '$core/calendar';
	import { counted, dayText } from '$lib/format';
	import type { PlanEditor } from './plan-editor.svelte';

	/** What a week adds up to, and what can be done with it as a whole. */
	interface Props {
		editor: PlanEditor;
		week: ResolvedWeek;
		releasedTo: number;
		people: number;
		startsOn: string;
	}
	let { editor, week, releasedTo, people, startsOn }: Props = $props();
	const id = $props.id();
	const first = $derived((week.week - 1) * 7 + 1);
	const length = $derived(editor.plan.days.length);
	/** A week may be put in or taken out only where nothing that is released would move. */
	const ahead = $derived(first > releasedTo);
	let target = $state(0);
	const others = $derived(
		editor.resolved.weeks
			.map((other) => other.week)
			.filter((w) => w !== week.week && (w - 1) * 7 >= releasedTo)
	);
	const endText = (days: number) => dayText(dateOfDay(days, startsOn));
	const who = $derived(people > 0 ? `${counted(people, 'person', 'people')}: ` : '');

	function act(plan: typeof editor.plan) {
		editor.change(plan);
		document.getElementById(id)?.hidePopover();
	}
</script>

<div role="rowheader" class="flex flex-col items-start pt-0.5 text-[13px]">
	<button
		type="button"
		class="hover:text-primary text-left font-bold underline decoration-dotted"
		popovertarget={id}
		style="anchor-name:--{id}">Week {week.week}</button
	>
	<span class="quiet">{Math.round(week.minutes)} min</span>
	<span class="quiet" title="Load: effort × minutes, added up">load {Math.round(week.load)}</span>
	{#if week.light}<span class="text-info font-semibold">lighter</span>{/if}
</div>
<div {id} popover class="panel week-menu w-72 p-3 text-sm" style="position-anchor:--{id}">
	<p class="mb-2 flex items-baseline justify-between">
		<b>Week {week.week}</b>
		<button
			type="button"
			class="link-quiet"
			onclick={() => {
				editor.week = week.week;
				document.getElementById(id)?.hidePopover();
			}}>What it comes to</button
		>
	</p>
	<div class="mb-3 flex items-end gap-2">
		<label class="grow"
			>Lay it over week
			<select class="select select-sm flex w-full" bind:value={target} disabled={others.length === 0}>
				<option value={0}>choose</option>
				{#each others as other (other)}<option value={other}>{other}</option>{/each}
				{#if others.length > 1}<option value={-1}>all of them</option>{/if}
			</select></label
		>
		<button
			type="button"
			class="btn btn-outline btn-sm"
			disabled={target === 0}
			onclick={() => act(pasteWeek(editor.plan, week.week, target === -1 ? others : [target]))}>Lay</button
		>
	</div>
	<div class="flex flex-col items-start gap-1.5">
		<button
			type="button"
			class="link-quiet disabled:opacity-50"
			disabled={!ahead || length + 7 > PLAN_LIMITS.days}
			onclick={() => act(insertDays(editor.plan, first, 7))}>Put a week of rest before it</button
		>
		<button
			type="button"
			class="link-quiet disabled:opacity-50"
			disabled={!ahead || length <= 7}
			onclick={() => act(removeDays(editor.plan, first, 7))}>Take it out</button
		>
	</div>
	<p class="quiet mt-2 text-[13px]">
		{#if !ahead}Some of it is released: it keeps its place.
		{:else}{who}the end moves from {endText(length)} to {endText(Math.min(PLAN_LIMITS.days, length + 7))} or {endText(
				Math.max(1, length - 7)
			)}.{/if}
	</p>
</div>

<style>
	.week-menu {
		margin: 0;
		inset: auto;
		position-area: right span-bottom;
		position-try-fallbacks: flip-block;
	}
</style>
