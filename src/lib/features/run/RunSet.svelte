<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import type { CourseExercise } from '$core/run';
	import { kgTyped, weightIn, type Units } from '$core/kit/units';
	import type { Deed } from './runner.svelte';

	/** How a set went: as asked, unless somebody says otherwise. */
	interface Props {
		exercise: CourseExercise;
		/** Place of the exercise in the course, and which set. */
		at: number;
		set: number;
		/** What is known of it by now. */
		amount: number;
		kg: number | null;
		left: number | null;
		right: number | null;
		units: Units;
		onlog: (deed: Deed) => void;
	}
	let { exercise, at, set, amount, kg, left, right, units, onlog }: Props = $props();
	// svelte-ignore state_referenced_locally
	let said = $state({
		amount: left ?? amount,
		other: exercise.perSide ? (right ?? amount) : null,
		bad: 0,
		unsure: false,
		kg,
		effort: null as number | null
	});
	let told = $state(false);
	const step = $derived(exercise.unit === 'reps' ? 1 : exercise.unit === 's' ? 5 : 10);
	const most = $derived(exercise.unit === 'reps' ? 1000 : 7200);

	function tell(next: Partial<typeof said>) {
		said = { ...said, ...next };
		told = true;
		onlog({ do: 'log', exercise: at, set, ...said });
	}
	const within = (value: number) => Math.min(most, Math.max(0, Math.round(value)));
	const EFFORTS = [5, 6, 7, 8, 9, 10];
</script>

{#snippet counter(label: string, value: number, change: (value: number) => void)}
	<span class="flex flex-wrap items-center">
		<button
			type="button"
			class="btn btn-ghost h-12 min-h-12 w-[48px] p-0"
			aria-label="{label}, {step} less"
			onclick={() => change(within(value - step))}><Minus size={22} aria-hidden="true" /></button
		>
		<input
			class="input h-12 w-20 px-1 text-center text-2xl font-bold"
			inputmode="numeric"
			aria-label="{label}, {exercise.unit}"
			{value}
			onchange={({ currentTarget }) => {
				const typed = Number(currentTarget.value.replace(',', '.'));
				if (Number.isFinite(typed) && typed >= 0 && typed <= most) change(within(typed));
				else currentTarget.value = String(value);
			}}
		/>
		<button
			type="button"
			class="btn btn-ghost h-12 min-h-12 w-[48px] p-0"
			aria-label="{label}, {step} more"
			onclick={() => change(within(value + step))}><Plus size={22} aria-hidden="true" /></button
		>
	</span>
{/snippet}

<section class="panel flex flex-col gap-2 p-3" aria-label="{exercise.name}, set {set}">
	<div class="flex flex-wrap items-center justify-between gap-2">
		<p class="min-w-0 flex-1 basis-32 leading-tight">
			<b class="block truncate">{exercise.name}</b><span class="quiet text-[15px]"
				>set {set} of {exercise.sets}, asked {exercise.amounts[set - 1]} {exercise.unit}</span
			>
		</p>
		<button
			type="button"
			class={['btn min-h-12 shrink-0', told ? 'btn-ghost' : 'btn-primary']}
			disabled={told}
			onclick={() => tell({})}>{told ? 'Noted' : 'As shown'}</button
		>
	</div>
	<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
		{#if said.other === null}
			{@render counter('Done', said.amount, (value) => tell({ amount: value }))}
			<span>{exercise.unit}</span>
		{:else}
			<span class="flex flex-wrap items-center"
				>left {@render counter('Left side', said.amount, (value) => tell({ amount: value }))}</span
			>
			<span class="flex flex-wrap items-center"
				>right {@render counter('Right side', said.other, (value) => tell({ other: value }))}</span
			>
		{/if}
		{#if exercise.kg !== null}<label class="flex flex-wrap items-center gap-1.5"
				>with <input
					class="input h-12 w-20 px-1 text-center text-xl"
					inputmode="decimal"
					aria-label="Load, {units}"
					value={said.kg === null ? '' : weightIn(said.kg, units)}
					onchange={({ currentTarget }) => {
						const typed = Number(currentTarget.value.replace(',', '.'));
						if (currentTarget.value.trim() === '') tell({ kg: null });
						else if (typed > 0 && typed <= 500) tell({ kg: kgTyped(typed, units, said.kg) });
						else currentTarget.value = said.kg === null ? '' : String(weightIn(said.kg, units));
					}}
				/>
				{units}</label
			>{/if}
	</div>
	{#if exercise.unit === 'reps'}<div class="flex flex-wrap items-center gap-x-4 text-[15px]">
			<label class="flex min-h-11 items-center gap-2"
				><input
					type="checkbox"
					class="checkbox"
					checked={said.unsure}
					onchange={({ currentTarget }) => tell({ unsure: currentTarget.checked })}
				/> not sure of the last one</label
			>
			<label class="flex min-h-11 items-center gap-2"
				>bad form <input
					class="input h-11 w-14 text-center"
					inputmode="numeric"
					value={said.bad}
					onchange={({ currentTarget }) => {
						const typed = Number(currentTarget.value);
						if (Number.isInteger(typed) && typed >= 0 && typed <= most) tell({ bad: typed });
						else currentTarget.value = String(said.bad);
					}}
				/></label
			>
		</div>{/if}
	<div class="flex flex-wrap items-center gap-1" role="group" aria-label="Effort of this set, of 10">
		<span class="quiet mr-1 text-[15px]">effort</span>
		{#each EFFORTS as effort (effort)}
			<button
				type="button"
				class={[
					'min-h-11 min-w-11 flex-1 rounded border font-semibold',
					said.effort === effort ? 'bg-primary text-primary-content border-primary' : 'border-base-300'
				]}
				aria-pressed={said.effort === effort}
				onclick={() => tell({ effort })}>{effort}</button
			>
		{/each}
	</div>
</section>
