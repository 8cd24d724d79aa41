<script lang="ts">
	import { areaText } from '$core/health';
	import { BODY_AREAS } from '$core/run';
	import { PAIN_KINDS } from '$core/wellbeing';

	/** Whether something hurts, and what is to be known of it. */
	interface Props {
		hurting: boolean;
		hurts: string;
		pain: { area: string; kind: string; at: string; intensity: number | null };
		/** Exercises in which it may have hurt; none where the device knows that, or where no day is told of. */
		exercises: readonly { block: number; part: number; exercise: string }[];
		/** Whether where and how are asked as well. */
		details: boolean;
	}
	let {
		hurting = $bindable(),
		hurts = $bindable(),
		pain = $bindable(),
		exercises,
		details
	}: Props = $props();

	const LEVELS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10];
</script>

{#snippet tap(name: string, value: string | number, label: string, isOn: boolean, choose: () => void)}
	<label
		class={['btn min-h-12 px-1 text-base font-normal tabular-nums', isOn ? 'btn-primary' : 'btn-outline']}
		><input type="radio" class="sr-only" {name} {value} checked={isOn} onchange={choose} />{label}</label
	>
{/snippet}

<div>
	<label class="flex min-h-12 items-center gap-3 text-lg"
		><input type="checkbox" class="checkbox" bind:checked={hurting} /> Something hurts</label
	>
	{#if hurting}
		<input
			name="hurts"
			class="input mt-1 min-h-12 w-full"
			maxlength="300"
			placeholder="In your own words, if you like"
			aria-label="What hurts"
			bind:value={hurts}
		/>
		{#if details}
			<div class="mt-2 grid grid-cols-2 gap-2">
				<fieldset class="col-span-2">
					<legend>Where</legend>
					<div class="mt-1 grid grid-cols-3 gap-2">
						{#each BODY_AREAS as area (area)}
							{@render tap('painArea', area, areaText(area), pain.area === area, () => (pain.area = area))}
						{/each}
					</div>
				</fieldset>
				<fieldset class="col-span-2">
					<legend>How much, of 10</legend>
					<div class="mt-1 grid grid-cols-5 gap-2">
						{#each LEVELS as level (level)}
							{@render tap(
								'painIntensity',
								level,
								String(level),
								pain.intensity === level,
								() => (pain.intensity = level)
							)}
						{/each}
					</div>
				</fieldset>
				<label class="col-span-2"
					>It feels
					<select name="painKind" class="select min-h-12 w-full" bind:value={pain.kind}>
						<option value="">choose</option>
						{#each PAIN_KINDS as kind (kind)}<option>{kind}</option>{/each}
					</select></label
				>
				{#if exercises.length > 0}<label class="col-span-2"
						>In which exercise
						<select name="painAt" class="select min-h-12 w-full" bind:value={pain.at}>
							<option value="">none, or I don’t know</option>
							{#each exercises as one (`${one.block}.${one.part}`)}<option value="{one.block}.{one.part}"
									>{one.exercise}</option
								>{/each}
						</select></label
					>{/if}
			</div>
		{/if}
		<p class="remark remark-safety mt-2 text-[15px]">
			Pain is not soreness. Leave out what hurts; your coach is told at once, and your next sessions spare the
			place until they decide. If it is sharp or lasts, let a doctor or physiotherapist look at it.
		</p>
	{/if}
</div>
