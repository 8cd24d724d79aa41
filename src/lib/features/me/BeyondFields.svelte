<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { weightIn, type Units } from '$core/kit/units';

	/** Work beyond the plan, an exercise a row. */
	interface Beyond {
		exercise: string;
		amount: number;
		unit: string;
		kg: number | null;
	}
	let { before, units, most }: { before: readonly Beyond[]; units: Units; most: number } = $props();
	const UNIT_WORDS = { reps: 'reps', s: 'seconds', m: 'metres' } as const;
	let made = 0;
	const row = (one: Partial<Beyond>) => ({
		key: made++,
		exercise: one.exercise ?? '',
		amount: one.amount ? String(one.amount) : '',
		unit: one.unit || 'reps',
		weight: one.kg ? String(weightIn(one.kg, units)) : '',
		/** As it stood there before it was rounded for who reads it. */
		kg: one.kg ?? null
	});
	// svelte-ignore state_referenced_locally
	let rows = $state(before.map(row));
</script>

<fieldset>
	<legend class="font-head text-lg font-bold">More than planned</legend>
	{#each rows as one, i (one.key)}
		<div class="border-base-300 flex flex-wrap items-center gap-2 border-b py-2">
			<input
				name="beyond.{i}"
				class="input min-h-12 min-w-0 flex-1"
				maxlength="80"
				placeholder="Exercise"
				aria-label="Exercise {i + 1} beyond the plan"
				bind:value={one.exercise}
			/>
			<button
				type="button"
				class="btn btn-ghost btn-square min-h-12"
				aria-label="Remove exercise {i + 1} beyond the plan"
				onclick={() => rows.splice(i, 1)}><X class="size-5" /></button
			>
			<span class="flex w-full items-center gap-2">
				<input
					name="much.beyond.{i}"
					inputmode="decimal"
					class="input min-h-12 w-20 text-center"
					placeholder="20"
					aria-label="How much of it"
					bind:value={one.amount}
				/>
				<select
					name="unit.beyond.{i}"
					class="select min-h-12 w-28"
					aria-label="In reps, seconds or metres"
					bind:value={one.unit}
				>
					{#each Object.entries(UNIT_WORDS) as [unit, words] (unit)}<option value={unit}>{words}</option
						>{/each}
				</select>
				<input
					name="{units}.beyond.{i}"
					inputmode="decimal"
					class="input min-h-12 w-20 text-center"
					placeholder="–"
					aria-label="Load in {units}, if any"
					bind:value={one.weight}
				/>
				{units}
				{#if one.kg}<input type="hidden" name="read.beyond.{i}" value={one.kg} />{/if}
			</span>
		</div>
	{/each}
	{#if rows.length < most}
		<button type="button" class="btn btn-ghost min-h-12" onclick={() => rows.push(row({}))}
			><Plus class="size-5" /> {rows.length === 0 ? 'I did something on top' : 'One more'}</button
		>
	{/if}
	{#if rows.length > 0}<p class="quiet text-[15px]">
			Your coach sees it; it doesn’t change any figures.
		</p>{/if}
</fieldset>
