<script lang="ts">
	import {
		ARM_HEIGHTS,
		completeDemands,
		DEMAND_WORDS,
		IMPACTS,
		LEVERS,
		nearestTo,
		RATED,
		RATINGS,
		SPACES,
		STANDARD,
		type DemandInput,
		type Pattern,
		type Rated,
		type Sketch
	} from '$core/exercise';

	/** What an exercise demands of the body; what is not set counts as the highest of its movement. */
	interface Props {
		pattern: Pattern;
		value: DemandInput;
		/** The form as it is filled in now, to find the nearest exercise by. */
		sketch: () => Sketch;
		faults: { field: string; message: string }[];
	}
	let { pattern, value, sketch, faults }: Props = $props();

	const FIELDS = [
		...RATED.map((field) => ({ field, label: DEMAND_WORDS[field], options: RATINGS.map(String) })),
		{ field: 'arms', label: 'Arms reach', options: [...ARM_HEIGHTS] },
		{ field: 'balance', label: 'Balance', options: RATINGS.map(String) },
		{ field: 'canHoldOn', label: 'A hand can hold on', options: ['yes', 'no'] },
		{ field: 'impact', label: 'Impact', options: [...IMPACTS] },
		{ field: 'floorTransfer', label: 'Down to the floor', options: ['yes', 'no'] },
		{ field: 'space', label: 'Space', options: [...SPACES] },
		{ field: 'lever', label: 'Lever', options: [...LEVERS] }
	] as const satisfies readonly {
		field: Rated | keyof DemandInput;
		label: string;
		options: readonly string[];
	}[];
	type Field = (typeof FIELDS)[number]['field'] | 'relativeLoad';

	const textOf = (one: unknown): string =>
		one === undefined || one === null
			? ''
			: typeof one === 'boolean'
				? one
					? 'yes'
					: 'no'
				: `${one as string | number}`;
	const textsOf = (demands: DemandInput): Record<Field, string> =>
		Object.fromEntries(
			[...FIELDS.map(({ field }) => field), 'relativeLoad' as const].map((field) => [
				field,
				textOf(demands[field])
			])
		) as Record<Field, string>;
	// svelte-ignore state_referenced_locally
	let texts = $state(textsOf(value));
	let from = $state<string | null>(null);
	const highest = $derived(textsOf(completeDemands(pattern, {})));

	function propose() {
		const nearest = nearestTo(sketch(), STANDARD.all);
		if (!nearest) return;
		texts = textsOf(nearest.demands);
		from = nearest.exercise.name;
	}
</script>

<fieldset class="md:col-span-2">
	<legend class="label-text">What it demands</legend>
	<p class="quiet mt-1 text-[13px]">
		0 practically none, 1 light, 2 moderate, 3 high. Who gets this exercise follows from these, so what is not
		set counts as the highest of its movement.
	</p>
	<div class="mt-2 flex flex-wrap items-baseline gap-3">
		<button type="button" class="btn btn-sm btn-outline" onclick={propose}
			>Suggest from the nearest exercise</button
		>
		<span class="text-sm" role="status"
			>{#if from}Taken from {from}. Check each one.{/if}</span
		>
	</div>
	<div class="mt-2 flex flex-wrap gap-3">
		{#each FIELDS as { field, label, options } (field)}
			<label
				><span class="label-text">{label}</span><select
					class="select select-sm mt-1 flex w-36"
					name="demand-{field}"
					bind:value={texts[field]}
					><option value="">not set ({highest[field] || '–'})</option>
					{#each options as option (option)}<option value={option}>{option}</option>{/each}</select
				></label
			>
		{/each}
		<label
			><span class="label-text">Load (goblet squat is 1)</span><input
				class="input input-sm mt-1 block w-36"
				type="number"
				step="0.05"
				min="0.05"
				max="3"
				name="demand-relativeLoad"
				placeholder="no weight"
				bind:value={texts.relativeLoad}
			/></label
		>
	</div>
	{#each faults as one (one.message)}<span class="field-fault block">{one.message}</span>{/each}
</fieldset>
