<script lang="ts">
	import { onMount } from 'svelte';
	import type { LiveGroup } from '$contracts/live';
	import { liveGroup } from './live-group.svelte';
	import TrainingNow from './TrainingNow.svelte';

	/** Who trains in a challenge, as it happens. */
	interface Props {
		challenge: string;
		/** Who trained when the page was asked for. */
		first: LiveGroup['present'];
		/** When that was. Epoch milliseconds. */
		at: number;
	}
	let { challenge, first, at }: Props = $props();
	// svelte-ignore state_referenced_locally
	const live = liveGroup(challenge, null, { group: [], present: first });
	/** Minutes that it has been looked at: how long ago something was goes on. */
	let minutes = $state(0);
	onMount(() => {
		const unfollow = live.follow();
		const timer = setInterval(() => (minutes += 1), 60_000);
		return () => {
			unfollow();
			clearInterval(timer);
		};
	});
</script>

{#if live.now.present.length > 0}
	<p class="quiet border-base-content/70 border-b pb-1.5 text-sm">training now</p>
	<div class="mb-3 text-sm">
		<TrainingNow present={live.now.present} now={at + minutes * 60_000} base="/c/{challenge}" />
	</div>
{/if}
