<script lang="ts">
	/** A row of numbers to tap; both ends are named. */
	let {
		name,
		label,
		low,
		high,
		from,
		to,
		value
	}: {
		name: string;
		label: string;
		low: string;
		high: string;
		from: number;
		to: number;
		value: number | string | null;
	} = $props();
	// svelte-ignore state_referenced_locally
	let chosen = $state<string>(value === null ? '' : String(value));
	const steps = $derived(Array.from({ length: to - from + 1 }, (_, i) => String(from + i)));
</script>

<fieldset>
	<legend class="font-head mb-2 text-lg font-bold">{label}</legend>
	<div class={['grid gap-1.5', steps.length > 6 ? 'grid-cols-6' : 'grid-cols-5']}>
		{#each steps as step (step)}
			<label
				class={[
					'flex min-h-11 cursor-pointer items-center justify-center rounded border font-semibold has-focus-visible:outline-2',
					chosen === step ? 'bg-primary text-primary-content border-primary' : 'bg-base-100 border-base-300'
				]}
			>
				<input class="sr-only" type="radio" {name} value={step} bind:group={chosen} />{step}
			</label>
		{/each}
	</div>
	<p class="quiet mt-1 flex justify-between text-sm"><span>{from} {low}</span><span>{to} {high}</span></p>
</fieldset>
