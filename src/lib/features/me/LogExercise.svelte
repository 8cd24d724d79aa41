<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import { weightIn, type Units } from '$core/kit/units';
	import Plus from '@lucide/svelte/icons/plus';

	/** The sets of one exercise: as planned with one tap, or set by set where it differed. */
	interface Props {
		exercise: string;
		/** Block and part, as the form names them: `0.1`. */
		at: string;
		unit: string;
		/** What was asked for, and with what, in words. */
		asked: string;
		load: string | null;
		/** Set by set; of a range the lower end, from which on it counts as the whole. */
		expected: number[];
		amounts: number[];
		kg: number | null;
		/** In which the load is read and typed. */
		units: Units;
		loaded: boolean;
	}
	let { exercise, at, unit, asked, load, expected, amounts, kg, units, loaded }: Props = $props();
	type Way = 'planned' | 'other' | 'out';
	// svelte-ignore state_referenced_locally
	let done = $state(amounts.map(String));
	// svelte-ignore state_referenced_locally
	let weight = $state(kg === null ? '' : String(weightIn(kg, units)));
	// svelte-ignore state_referenced_locally
	let way = $state<Way>(
		amounts.every((amount, i) => amount === expected[i])
			? 'planned'
			: amounts.every((amount) => amount === 0)
				? 'out'
				: 'other'
	);
	const step = $derived(unit === 'reps' ? 1 : unit === 's' ? 5 : 10);
	const WAYS: [Way, string][] = [
		['planned', 'as planned'],
		['other', 'changed'],
		['out', 'skipped']
	];

	function choose(next: Way) {
		way = next;
		if (next !== 'other') done = amounts.map((_, i) => (next === 'planned' ? String(expected[i]) : '0'));
	}
	function change(i: number, by: number) {
		done[i] = String(Math.max(0, (Number(done[i]) || 0) + by));
	}
</script>

<fieldset class="border-base-300 border-b py-2">
	<legend class="sr-only">{exercise}</legend>
	<div class="flex flex-wrap items-center justify-between gap-2">
		<p class="min-w-0 flex-1 basis-32 leading-tight">
			<b class="block">{exercise}</b>
			<span class="quiet text-[15px]">{asked}{load ? `, ${load}` : ''}</span>
		</p>
		<div
			class="border-base-300 flex flex-wrap overflow-hidden rounded border text-[15px]"
			role="group"
			aria-label={exercise}
		>
			{#each WAYS as [value, label] (value)}
				<button
					type="button"
					aria-pressed={way === value}
					onclick={() => choose(value)}
					class={[
						'border-base-300 min-h-11 border-l px-2 first:border-l-0',
						way === value ? 'bg-primary text-primary-content' : 'bg-base-100'
					]}>{label}</button
				>
			{/each}
		</div>
	</div>
	{#if way === 'other'}
		<div class="mt-2 flex flex-wrap gap-x-3 gap-y-2">
			{#each done as _, i (i)}
				<div class="flex items-center">
					<button
						type="button"
						class="btn btn-ghost h-11 min-h-11 w-[44px] p-0 text-xl"
						onclick={() => change(i, -step)}
						aria-label="Set {i + 1} of {exercise}, {step} less"><Minus size={18} aria-hidden="true" /></button
					>
					<input
						name="set.{at}.{i + 1}"
						inputmode="decimal"
						class={[
							'input h-11 w-14 px-1 text-center text-[17px]',
							Number(done[i]) < (expected[i] ?? 0) && 'border-warning'
						]}
						aria-label="Set {i + 1} of {exercise}, {unit}"
						bind:value={done[i]}
					/>
					<button
						type="button"
						class="btn btn-ghost h-11 min-h-11 w-[44px] p-0 text-xl"
						onclick={() => change(i, step)}
						aria-label="Set {i + 1} of {exercise}, {step} more"><Plus size={18} aria-hidden="true" /></button
					>
				</div>
			{/each}
			{#if loaded}<label class="flex items-center gap-1.5"
					>with <input
						name="{units}.{at}"
						inputmode="decimal"
						class="input h-11 w-16 px-1 text-center text-[17px]"
						bind:value={weight}
						aria-label="Load of {exercise}, {units}"
					/>
					{units}</label
				>{/if}
		</div>
	{:else}
		{#each done as amount, i (i)}<input type="hidden" name="set.{at}.{i + 1}" value={amount} />{/each}
		{#if loaded}<input type="hidden" name="{units}.{at}" value={weight} />{/if}
	{/if}
	{#if loaded && kg !== null}<input type="hidden" name="read.{at}" value={kg} />{/if}
</fieldset>
