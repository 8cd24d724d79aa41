<script lang="ts">
	import { enhance } from '$app/forms';
	import { FIGURE_NAMES } from '$core/figures';
	import { COUNTED_IN, ITEMS, MUSCLES, PATTERNS, POSITIONS, type Pattern, type Sketch } from '$core/exercise';
	import type { ExerciseInput } from '$contracts/exercise';
	import DemandFields from './DemandFields.svelte';
	import { workshop } from './workshop';

	/** An exercise of the coach's own, new or changed. What was typed stays when it is refused. */
	interface Props {
		start: Partial<ExerciseInput> | null;
		answer: {
			message?: string;
			faults?: { field: string; message: string }[];
			typed?: Record<string, unknown>;
		} | null;
		submit: string;
		action?: string;
	}
	let { start, answer, submit, action = '' }: Props = $props();
	const shop = workshop();
	const id = $props.id();
	const value = $derived<Partial<ExerciseInput>>(
		(answer?.typed as Partial<ExerciseInput> | undefined) ?? start ?? {}
	);
	let form = $state<HTMLFormElement>();
	// What was refused may name a movement that there is none of.
	let pattern = $state<Pattern>(PATTERNS.find((one) => one === value.pattern) ?? 'squat');

	/** The form as it is filled in now. */
	function sketch(): Sketch {
		const data = new FormData(form);
		const chosen = <T extends string>(known: readonly T[], name: string) =>
			known.filter((one) => data.getAll(name).includes(one));
		return {
			pattern,
			position: chosen(POSITIONS, 'position')[0] ?? 'standing',
			primary: chosen(MUSCLES, 'primary'),
			assisting: chosen(MUSCLES, 'assisting'),
			equipment: ITEMS.flatMap((item) => {
				const count = Number(data.get(`need-${item}`));
				return count > 0 ? [{ item, count }] : [];
			})
		};
	}
	const needs = $derived(new Map((value.equipment ?? []).map(({ item, count }) => [item, count])));
	const faultsAt = (field: string) =>
		(answer?.faults ?? []).filter((fault) => fault.field === field || fault.field.startsWith(`${field}[`));
	const names = $derived(shop().library.names());
</script>

{#snippet fault(field: string)}{#each faultsAt(field) as one (one.message)}<span class="field-fault block"
			>{one.message}</span
		>{/each}{/snippet}

<form
	bind:this={form}
	method="post"
	{action}
	use:enhance={() =>
		async ({ update }) =>
			update({ reset: false })}
	class="panel grid gap-4 p-4 md:grid-cols-2"
>
	{#if answer?.message}<p class="remark remark-attention font-semibold md:col-span-2" role="alert">
			{answer.message}
		</p>{/if}
	<label
		><span class="label-text">Name</span><input
			class="input input-sm mt-1 w-full"
			name="name"
			maxlength="80"
			required
			value={value.name ?? ''}
		/></label
	>{@render fault('name')}
	<div class="flex flex-wrap gap-3">
		<label
			><span class="label-text">Movement</span><select
				class="select select-sm mt-1 flex w-40"
				name="pattern"
				bind:value={pattern}
				>{#each PATTERNS as one (one)}<option>{one}</option>{/each}</select
			></label
		>{@render fault('pattern')}
		<label
			><span class="label-text">Position</span><select
				class="select select-sm mt-1 flex w-36"
				name="position"
				value={value.position ?? 'standing'}
				>{#each POSITIONS as one (one)}<option>{one}</option>{/each}</select
			></label
		>
	</div>
	<div class="flex flex-wrap items-end gap-3">
		<label
			><span class="label-text">Counted in</span><select
				class="select select-sm mt-1 flex w-28"
				name="countedIn"
				value={value.countedIn ?? 'reps'}
				>{#each COUNTED_IN as one (one)}<option>{one}</option>{/each}</select
			></label
		>
		<label class="flex items-center gap-1.5 pb-1.5 text-sm"
			><input type="checkbox" class="checkbox checkbox-sm" name="perSide" checked={value.perSide ?? false} /> per
			side</label
		>
		<label
			><span class="label-text">Tempo</span><input
				class="input input-sm clock mt-1 block w-28"
				name="tempo"
				placeholder="the house’s"
				value={Array.isArray(value.tempo) ? value.tempo.join('-') : ''}
			/></label
		>{@render fault('tempo')}
	</div>
	<div class="flex flex-wrap gap-3">
		<label
			><span class="label-text">Looks like</span><input
				class="input input-sm mt-1 block w-44"
				name="looksLike"
				list="{id}-figures"
				value={value.looksLike ?? ''}
				placeholder="its figure"
			/></label
		>{@render fault('looksLike')}
		<label
			><span class="label-text">Easier form</span><input
				class="input input-sm mt-1 block w-44"
				name="easier"
				list="{id}-names"
				value={value.easier ?? ''}
			/></label
		>
		<label
			><span class="label-text">Harder form</span><input
				class="input input-sm mt-1 block w-44"
				name="harder"
				list="{id}-names"
				value={value.harder ?? ''}
			/></label
		>
		<datalist id="{id}-figures"
			>{#each FIGURE_NAMES as name (name)}<option value={name}></option>{/each}</datalist
		>
		<datalist id="{id}-names"
			>{#each names as name (name)}<option value={name}></option>{/each}</datalist
		>
	</div>
	<fieldset>
		<legend class="label-text">Works directly</legend>
		<div class="mt-1 grid grid-cols-2 gap-x-3 text-sm sm:grid-cols-3">
			{#each MUSCLES as muscle (muscle)}<label class="flex items-center gap-1.5 py-0.5"
					><input
						type="checkbox"
						class="checkbox checkbox-xs"
						name="primary"
						value={muscle}
						checked={value.primary?.includes(muscle) ?? false}
					/>
					{muscle}</label
				>{/each}
		</div>
		{@render fault('primary')}
	</fieldset>
	<fieldset>
		<legend class="label-text">Assisting</legend>
		<div class="mt-1 grid grid-cols-2 gap-x-3 text-sm sm:grid-cols-3">
			{#each MUSCLES as muscle (muscle)}<label class="flex items-center gap-1.5 py-0.5"
					><input
						type="checkbox"
						class="checkbox checkbox-xs"
						name="assisting"
						value={muscle}
						checked={value.assisting?.includes(muscle) ?? false}
					/>
					{muscle}</label
				>{/each}
		</div>
	</fieldset>
	<fieldset class="md:col-span-2">
		<legend class="label-text">Equipment, how many of each</legend>
		<div class="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-sm">
			{#each ITEMS as item (item)}<label class="flex items-center gap-1.5"
					><input
						type="number"
						min="0"
						max="9"
						class="input input-xs w-14"
						name="need-{item}"
						value={needs.get(item) ?? 0}
					/>
					{item}</label
				>{/each}
		</div>
		{@render fault('equipment')}
	</fieldset>
	<DemandFields
		{pattern}
		value={value.demands ?? {}}
		{sketch}
		faults={(answer?.faults ?? []).filter(({ field }) => field.startsWith('demands'))}
	/>
	<label
		><span class="label-text">Cues, one a line, up to four</span><textarea
			class="textarea textarea-sm mt-1 w-full"
			name="cues"
			rows="4"
			required>{(value.cues ?? []).join('\n')}</textarea
		></label
	>{@render fault('cues')}
	<label
		><span class="label-text">Cautions, one a line</span><textarea
			class="textarea textarea-sm mt-1 w-full"
			name="cautions"
			rows="4">{(value.cautions ?? []).join('\n')}</textarea
		></label
	>{@render fault('cautions')}
	<div class="md:col-span-2"><button class="btn btn-primary btn-sm">{submit}</button></div>
</form>
