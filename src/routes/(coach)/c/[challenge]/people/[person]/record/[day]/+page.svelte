<script lang="ts">
	import EffortSaid from '$lib/features/people/EffortSaid.svelte';
	import { enhance } from '$app/forms';
	import { readIn } from '$core/kit/units';
	import { amountsText, howText, unitOf } from '$core/session/amount';
	import { askedOf } from '$core/session/prescription';
	import LogExercise from '$lib/features/me/LogExercise.svelte';
	import type { PageProps } from './$types';

	/** A coach enters the sets of a day, or a test result, as she was told. */
	let { data, form }: PageProps = $props();
	const { record, person } = $derived(data);
</script>

<svelte:head><title>Record day {record.day}, {person.name}</title></svelte:head>
<div class="max-w-2xl">
	<p><a class="link-quiet" href="/c/{data.challenge.id}/people/{person.id}">Back to {person.name}</a></p>
	<h1>Record day {record.day} for {person.name}</h1>
	<p class="quiet mb-3">{record.name}. Everything is filled in as planned: change what was different.</p>
	{#if data.taken}<p class="remark remark-attention mb-3">
			{person.name} has checked in for this day. They can correct it themselves.
		</p>{/if}
	<form
		method="post"
		class="flex flex-col gap-3"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="id" value={data.id} />
		{#each record.asked as exercise (`${exercise.block}.${exercise.part}`)}
			{@const amounts = Array.from({ length: exercise.sets }, (_, i) => askedOf(exercise, i + 1))}
			<LogExercise
				exercise={exercise.exercise}
				at="{exercise.block}.{exercise.part}"
				unit={unitOf(exercise.target)}
				asked="{exercise.sets > 1 ? `${exercise.sets} × ` : ''}{amountsText(
					exercise.target,
					exercise.each
				)}{exercise.perSide ? ' per side' : ''}"
				load={readIn(howText(exercise), record.units)}
				units={record.units}
				expected={amounts}
				{amounts}
				kg={exercise.kg}
				loaded={exercise.kg !== null}
			/>
		{/each}
		<EffortSaid />
		<label class="flex flex-col gap-1"
			>What they told you <textarea name="note" rows="2" maxlength="1000" class="textarea w-full"
			></textarea></label
		>
		{#if form?.message}<p class="field-fault" role="alert">{form.message}</p>{/if}
		<button class="btn btn-primary self-start">Record day {record.day}</button>
	</form>
</div>
