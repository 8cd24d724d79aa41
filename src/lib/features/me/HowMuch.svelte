<script lang="ts">
	/** How much of a session was done. */
	let { done = $bindable() }: { done: string } = $props();
	const CHOICES = [
		['all', 'As planned'],
		['part', 'Partly'],
		['none', 'Not at all']
	] as const;
</script>

<fieldset>
	<legend class="font-head mb-2 text-lg font-bold">How much of it</legend>
	<div class="grid grid-cols-3 gap-2">
		{#each CHOICES as [value, label] (value)}
			<label
				class={[
					'flex min-h-14 cursor-pointer items-center justify-center rounded border px-1 text-center font-semibold has-focus-visible:outline-2',
					done === value ? 'bg-primary text-primary-content border-primary' : 'bg-base-100 border-base-300'
				]}
			>
				<input class="sr-only" type="radio" name="done" {value} bind:group={done} />{label}
			</label>
		{/each}
	</div>
	{#if done === 'all'}<p class="quiet mt-1 text-[15px]">
			Every set, rep and load as planned. Choose Partly to change just what differed.
		</p>{/if}
</fieldset>
