<script lang="ts">
	import { onMount } from 'svelte';
	import { deviceQueue } from '$lib/offline/queue.svelte';
	import type { Queued } from '$lib/offline/store';
	import { findConflict, type Conflict } from '$lib/offline/two-results';
	import TwoResults from './TwoResults.svelte';

	/** A result or report that the server refused, with the reason and what the person can do. */
	interface Props {
		one: Queued;
		enrolment: string;
		zone: string;
	}
	let { one, enrolment, zone }: Props = $props();
	let conflict = $state<Conflict | null>(null);
	onMount(async () => {
		conflict = await findConflict(one);
	});
</script>

<section class="remark remark-attention mb-3" role="alert">
	{#if conflict}
		<TwoResults
			day={one.day}
			{conflict}
			body={one.body}
			madeAt={one.madeAt}
			{zone}
			keep={() => deviceQueue.drop(enrolment, one.id)}
			use={(replaces) => deviceQueue.replace(enrolment, one.id, replaces)}
		/>
	{:else}
		<p>
			<b
				>{one.kind === 'stop' ? 'Your report that you had to stop' : `Your result of day ${one.day}`} was not taken.</b
			>
			{one.refused}
		</p>
		<div class="mt-1 flex flex-wrap gap-3">
			<button class="btn btn-outline btn-sm min-h-11" onclick={() => deviceQueue.again(enrolment, one.id)}
				>Send again</button
			>
			<button class="btn btn-ghost btn-sm min-h-11" onclick={() => deviceQueue.drop(enrolment, one.id)}
				>Discard it</button
			>
		</div>
	{/if}
</section>
