<script lang="ts">
	import { SCREEN_QUESTIONS } from '$core/health';
	import Choice from './Choice.svelte';
	import type { Answers } from './intake.svelte';

	let { health = $bindable(), faults }: { health: Answers['health']; faults: Record<string, string> } =
		$props();
</script>

<p class="quiet text-[15px]">
	A yes does not keep you out: somebody qualified agrees first. Only you and your coach see this.
</p>
{#each SCREEN_QUESTIONS as { key, asks } (key)}
	<Choice
		legend={asks}
		name={key}
		columns={2}
		options={[
			{ value: false, label: 'No' },
			{ value: true, label: 'Yes' }
		]}
		bind:value={health[key]}
		fault={faults[key]}
	/>
{/each}
