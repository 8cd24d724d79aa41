<script lang="ts">
	import { enhance } from '$app/forms';
	import { SHAPES } from '$core/plan';
	import { counted } from '$lib/format';

	/** For a plan on which nothing lies yet: a shape with sessions of ours, laid over all of it. */
	interface Props {
		/** How long the challenge is now. */
		days: number;
		/** The plan has changes that are not saved. */
		changed: boolean;
		/** Why it was refused. */
		message: string | null;
		onlaid: () => void;
	}
	let { days, changed, message, onlaid }: Props = $props();
	let chosen = $state('');
	const shape = $derived(SHAPES.find(({ key }) => key === chosen));
</script>

<section class="panel mb-3 p-4" aria-labelledby="shape">
	<h2 id="shape">Start from a shape</h2>
	<p class="quiet mt-1 mb-2 text-[13px]">
		Nothing lies on any day yet. A shape lays sessions of ours, tests and what makes them harder; everything
		can be changed afterwards.
	</p>
	{#if message}<p class="field-fault mb-2" role="alert">{message}</p>{/if}
	<form
		method="post"
		action="?/shape"
		class="flex flex-wrap items-center gap-2 text-sm"
		use:enhance={() =>
			async ({ update, result }) => {
				await update();
				if (result.type === 'success') onlaid();
			}}
	>
		<select class="select select-sm w-64" name="shape" aria-label="Shape" bind:value={chosen} required>
			<option value="" disabled>choose one</option>
			{#each SHAPES as one (one.key)}<option value={one.key}>{one.name}, {one.budgetMinutes} min</option
				>{/each}
		</select>
		<button class="btn btn-outline btn-sm" disabled={changed || !shape}>Lay it</button>
		{#if changed}<span class="quiet">Save or undo your changes first.</span>{/if}
	</form>
	{#if shape}
		<p class="mt-2 text-sm">
			{shape.forWhom}
			{shape.why}
			{#if shape.days !== days}<b class="attention"
					>The challenge is then {counted(shape.days, 'day')} long, not {days}.</b
				>{/if}
		</p>
	{/if}
</section>
