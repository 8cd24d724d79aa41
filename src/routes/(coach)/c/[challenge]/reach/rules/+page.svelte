<script lang="ts">
	import { enhance } from '$app/forms';
	import ReachParts from '$lib/features/reach/ReachParts.svelte';
	import Chart from '$lib/ui/Chart.svelte';
	import { TRIAGE_RULES } from '$contracts/house';
	import { listed } from '$core/text/words';
	import { counted } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const LABELS: Record<(typeof TRIAGE_RULES)[number], string> = {
		silentFrom: 'Missing days: due days without a check-in',
		fadingFrom: 'Fading: points under the week before',
		laterBy: 'Checks in later: by so many hours',
		hardEffort: 'Too hard: effort of two sessions, of 10',
		againAfter: 'Comes up again after days',
		finishFrom: 'Finished from, % of all work'
	};
	// svelte-ignore state_referenced_locally
	let rules = $state({ ...data.rules });
</script>

<svelte:head><title>Rules · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Reach out</h1>
<ReachParts {base} part="rules" />
{#if form && 'kept' in form}<p class="remark mb-3" role="status">The rules are saved.</p>{/if}
{#if form && 'message' in form}<p class="field-fault mb-3" role="alert">{form.message}</p>{/if}
<div class="grid items-start gap-6 lg:grid-cols-[20rem_minmax(0,1fr)]">
	<form class="panel flex flex-col gap-3 p-4" data-sveltekit-keepfocus>
		<h2>When somebody comes up</h2>
		{#each TRIAGE_RULES as name (name)}
			<label class="flex items-center justify-between gap-3 text-sm"
				><span>{LABELS[name]}</span><input
					class="input input-sm w-20 text-right"
					inputmode="numeric"
					{name}
					bind:value={rules[name]}
				/></label
			>
		{/each}
		<label class="text-sm"
			>Look back on
			<select class="select select-sm w-full" name="challenge">
				{#each data.challenges as one (one.id)}<option value={one.id} selected={one.id === data.of.id}
						>{one.name}</option
					>{/each}
			</select></label
		>
		{#if data.fault}<p class="field-fault" role="alert">{data.fault}</p>{/if}
		<div class="flex flex-wrap gap-2">
			<button class="btn btn-primary btn-sm">Preview</button>
			{#if data.challenge.role === 'owner'}
				<button class="btn btn-outline btn-sm" form="save" disabled={data.saved || data.fault !== null}
					>Save these rules</button
				>
			{/if}
		</div>
		<p class="quiet text-[13px]">
			{data.saved ? 'As they are saved.' : 'Not saved yet.'} What is about safety comes up whatever the rules say.
		</p>
	</form>
	<form id="save" method="post" action="?/save" use:enhance hidden>
		{#each TRIAGE_RULES as name (name)}<input type="hidden" {name} value={data.rules[name]} />{/each}
	</form>
	<div>
		{#if data.looked === null}
			<p class="quiet max-w-prose">
				There is nothing to look back on before day 3. Choose another challenge on the left, or come back
				then.
			</p>
		{:else}
			{#await data.looked}
				<p class="quiet" role="status">Looking back on {data.of.name}, day by day …</p>
			{:then seen}
				<h2>{data.of.name}, {data.of.over ? 'over' : `up to day ${data.of.day}`}</h2>
				<table class="sheet panel mt-2 text-sm">
					<thead
						><tr
							><th class="pl-3"></th><th>{data.of.over ? 'Dropped out' : 'Nothing for a week'}</th><th
								>{data.of.over ? 'Went on to the end' : 'Still there'}</th
							></tr
						></thead
					>
					<tbody>
						<tr
							><th class="pl-3 text-left font-semibold" scope="row">Named before</th><td
								><b>{seen.hits.length}</b>
								<span class="quiet">{listed(seen.hits, 6)}</span></td
							><td><b>{seen.alarms.length}</b> <span class="quiet">{listed(seen.alarms, 6)}</span></td></tr
						>
						<tr
							><th class="pl-3 text-left font-semibold" scope="row">Never named</th><td
								><b>{seen.misses.length}</b>
								<span class="quiet">{listed(seen.misses, 6)}</span></td
							><td><b>{seen.quiet}</b></td></tr
						>
					</tbody>
				</table>
				<p class="mt-2 max-w-prose text-sm">
					{seen.hits.length + seen.misses.length === 0
						? 'Nobody dropped out.'
						: `${seen.hits.length} of ${counted(seen.hits.length + seen.misses.length, 'person', 'people')} who dropped out ${seen.hits.length === 1 ? 'was' : 'were'} named while still there`}{seen.warning !==
					null
						? `, ${counted(Math.round(seen.warning), 'day')} before their last day at the median.`
						: seen.hits.length + seen.misses.length === 0
							? ''
							: '.'}
					{#if seen.alarms.length > 0}{counted(seen.alarms.length, 'person was', 'people were')} named and stayed:
						a letter to them was not wasted, and rules that name fewer find fewer.{/if}
				</p>
				{#if seen.mornings.length > 1}
					<h3 class="mt-4">Who would have come up, morning by morning</h3>
					<Chart
						label="People who would have come up on each morning, of {data.of.name}"
						height={160}
						config={(colours) => ({
							type: 'bar',
							data: {
								labels: seen.mornings.map(({ day }) => String(day)),
								datasets: [
									{ data: seen.mornings.map(({ people }) => people), backgroundColor: colours.work ?? '' }
								]
							},
							options: {
								maintainAspectRatio: false,
								scales: {
									x: { title: { display: true, text: 'day' }, grid: { display: false } },
									y: { title: { display: true, text: 'people' }, ticks: { precision: 0 }, beginAtZero: true }
								}
							}
						})}
					/>
				{/if}
			{:catch}
				<p class="field-fault" role="alert">It could not be worked out. Load the page again.</p>
			{/await}
		{/if}
	</div>
</div>
