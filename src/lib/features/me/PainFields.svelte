<script lang="ts">
	import { BODY_AREAS } from '$core/run';
	import { PAIN_KINDS } from '$core/wellbeing';

	/** Whether something hurts, and what is to be known of it. */
	interface Props {
		hurting: boolean;
		hurts: string;
		pain: { area: string; kind: string; at: string };
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
</script>

<div>
	<label class="flex min-h-12 items-center gap-3 text-lg"
		><input type="checkbox" class="checkbox" bind:checked={hurting} /> Something hurts</label
	>
	{#if hurting}
		<input
			name="hurts"
			class="input mt-1 min-h-12 w-full"
			maxlength="300"
			placeholder="Where, how much of 10, in which exercise"
			aria-label="What hurts"
			bind:value={hurts}
		/>
		{#if details}
			<div class="mt-2 grid grid-cols-2 gap-2">
				<label
					>Where
					<select name="painArea" class="select min-h-12 w-full" bind:value={pain.area}>
						<option value="">choose</option>
						{#each BODY_AREAS as area (area)}<option>{area}</option>{/each}
					</select></label
				>
				<label
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
			Pain is not soreness. Leave out what hurts; your coach is told at once, and it stays out of your
			sessions until they decide. If it is sharp or lasts, let a doctor or physiotherapist look at it.
		</p>
	{/if}
</div>
