<script lang="ts" generics="Value extends string | number | boolean">
	/** One of a few answers, each a large thing to tap. */
	interface Props {
		legend: string;
		hint?: string;
		name: string;
		options: readonly { value: Value; label: string; says?: string }[];
		value: Value | null;
		fault?: string;
		columns?: 1 | 2 | 3 | 5;
	}
	let { legend, hint, name, options, value = $bindable(), fault, columns = 1 }: Props = $props();
	const GRID = { 1: 'grid-cols-1', 2: 'grid-cols-2', 3: 'grid-cols-3', 5: 'grid-cols-5' } as const;
</script>

<fieldset>
	<legend class="font-head mb-1 text-lg font-bold">{legend}</legend>
	{#if hint}<p class="quiet mb-1.5 text-[15px]">{hint}</p>{/if}
	<div class={['grid gap-2', GRID[columns]]}>
		{#each options as option (option.value)}
			<label
				class={[
					'flex min-h-12 cursor-pointer flex-col justify-center rounded border px-3 py-2 has-focus-visible:outline-2',
					columns > 1 && 'items-center text-center',
					value === option.value
						? 'bg-primary text-primary-content border-primary'
						: 'bg-base-100 border-base-300'
				]}
			>
				<input
					class="sr-only"
					type="radio"
					{name}
					value={option.value}
					checked={value === option.value}
					onchange={() => (value = option.value)}
				/>
				<span class="font-semibold">{option.label}</span>
				{#if option.says}<span class="text-[15px]">{option.says}</span>{/if}
			</label>
		{/each}
	</div>
	{#if fault}<p class="field-fault mt-1" role="alert">{fault}</p>{/if}
</fieldset>
