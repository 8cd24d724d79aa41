<script lang="ts">
	import { enhance } from '$app/forms';
	import { MEASURE_KINDS, MEASURES, unitOfMeasure, type MeasureKind } from '$core/measures';
	import { kindsIn } from '$lib/features/body/kinds-in';
	import MeasureTrend from '$lib/features/body/MeasureTrend.svelte';
	import { standInScale, weighBluetooth } from '$lib/features/body/scales';
	import { dateIn } from '$core/calendar';
	import { dayText } from '$lib/format';
	import Empty from '$lib/ui/Empty.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const typed = $derived(form && 'typed' in form ? form.typed : null);
	// svelte-ignore state_referenced_locally
	let kind = $state<MeasureKind>((typed?.kind as MeasureKind) ?? 'weight');
	// svelte-ignore state_referenced_locally
	let value = $state(typed?.value ?? '');
	// svelte-ignore state_referenced_locally
	let on = $state(typed?.on ?? data.today);
	let source = $state<'typed' | 'scale'>('typed');
	let scaleSays = $state('');
	const unit = $derived(unitOfMeasure(kind, data.units));
	const kinds = $derived(kindsIn(data.measures));
	const canWeigh = typeof navigator !== 'undefined' && 'bluetooth' in navigator;

	async function weigh(read: () => Promise<number | null>) {
		scaleSays = 'Stand on the scale …';
		try {
			const kg = await read();
			if (kg === null) {
				scaleSays = 'The scale could not weigh. Stand still and try again.';
				return;
			}
			kind = 'weight';
			value = (kg * unitOfMeasure('weight', data.units).perSi).toFixed(1);
			source = 'scale';
			scaleSays = 'Read from the scale. Keep it if it is right.';
		} catch {
			scaleSays = 'No scale was found. Type the value instead.';
		}
	}
</script>

<svelte:head><title>Measures</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-6">
	<div>
		<h1 class="text-3xl">Measures</h1>
		<p class="quiet">Only you and your coach see them.</p>
	</div>
	{#if kinds.length === 0}<Empty
			says="No measures yet. Add the first one below; mornings before breakfast compare best."
		/>{/if}
	{#each kinds as one (one.kind)}
		<MeasureTrend kind={one.kind} values={one.values} units={data.units} zone={data.zone} />
	{/each}
	<form
		method="post"
		action="?/keep"
		class="panel flex flex-col gap-3 p-4"
		use:enhance={() =>
			async ({ result, update }) => {
				await update({ reset: false });
				if (result.type !== 'success') return;
				value = '';
				source = 'typed';
				scaleSays = '';
			}}
	>
		<input type="hidden" name="id" value={data.id} />
		<input type="hidden" name="source" value={source} />
		<h2 class="text-xl">Add</h2>
		<div class="grid grid-cols-2 gap-3">
			<label
				>What
				<select class="select min-h-12 w-full" name="kind" bind:value={kind}>
					{#each MEASURE_KINDS as one (one)}<option value={one}>{MEASURES[one].name}</option>{/each}
				</select></label
			>
			<label
				>In {unit.unit}
				<input class="input min-h-12 w-full text-lg" name="value" inputmode="decimal" bind:value /></label
			>
		</div>
		<label
			>On <input
				type="date"
				class="input min-h-12 w-full"
				name="on"
				max={data.today}
				bind:value={on}
			/></label
		>
		{#if form && 'message' in form}<p class="remark remark-attention font-semibold" role="alert">
				{form.message}
			</p>{/if}
		<div class="flex flex-wrap gap-2">
			<button class="btn btn-primary min-h-12 flex-1">Keep</button>
			{#if canWeigh}<button
					type="button"
					class="btn btn-outline min-h-12"
					onclick={() => void weigh(weighBluetooth)}>Read the scale</button
				>{/if}
			{#if data.demo}<button
					type="button"
					class="btn btn-outline min-h-12"
					onclick={() => void weigh(() => standInScale(data.measures))}>Simulated scale</button
				>{/if}
		</div>
		<p class="text-[15px]" aria-live="polite">{scaleSays}</p>
	</form>
	{#if data.measures.length > 0}
		<details>
			<summary class="link-quiet cursor-pointer">All values</summary>
			<ul class="border-base-300 mt-1 border-t">
				{#each [...data.measures].reverse().slice(0, 60) as one (one.id)}
					{@const { unit: of, perSi } = unitOfMeasure(one.kind, data.units)}
					<li class="border-base-300 flex items-center justify-between gap-3 border-b">
						<span
							>{MEASURES[one.kind].name}
							<b>{(one.value * perSi).toFixed(1)} {of}</b>
							<span class="quiet text-[15px]">{dayText(dateIn(data.zone, one.at))}</span></span
						>
						<form method="post" action="?/remove" use:enhance>
							<input type="hidden" name="id" value={one.id} /><button class="link-quiet min-h-11"
								>Delete</button
							>
						</form>
					</li>
				{/each}
			</ul>
		</details>
	{/if}
	<p class="quiet text-[15px]">
		Losing more than about 1 % of your weight a week is too fast; your coach sees it first. With a history of
		disordered eating, in pregnancy or while breastfeeding, leave weighing to your doctor or dietitian.
	</p>
</main>
