<script lang="ts">
	import type { View } from '$contracts/body';

	/** How to stand, and how much of the picture to fill, so that one photograph can be laid over another. */
	let { view }: { view: View } = $props();
</script>

<svg
	viewBox="0 0 90 120"
	class="stroke-primary h-full w-full fill-none"
	stroke-width="1.2"
	aria-hidden="true"
>
	<path d="M8 8 h8 M8 8 v8 M82 8 h-8 M82 8 v8 M8 112 h8 M8 112 v-8 M82 112 h-8 M82 112 v-8" />
	{#if view === 'side'}
		<ellipse cx="45" cy="17" rx="6" ry="7.5" />
		<path
			d="M41 25 q-5 6 -5 18 q0 12 3 20 l1 24 l-1 20 h9 l-2 -20 l5 -26 q2 -12 0 -22 q-2 -10 -6 -14 M44 32 q-3 12 -1 24 l2 8"
		/>
	{:else}
		<ellipse cx="45" cy="17" rx="6.5" ry="7.5" />
		<path
			d="M41 25 q-12 2 -14 7 l-5 26 l4 1 l6 -20 l1 22 l-2 24 l1 22 h7 l4 -36 l4 36 h7 l1 -22 l-2 -24 l1 -22 l6 20 l4 -1 l-5 -26 q-2 -5 -14 -7"
		/>
	{/if}
</svg>
