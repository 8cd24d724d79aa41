<script lang="ts">
	import type { Snippet } from 'svelte';

	/** Says in one line that there is nothing, and what to do next. */
	let { says, children }: { says: string; children?: Snippet } = $props();
</script>

<div class="border-base-300 rounded border border-dashed px-4 py-5">
	<p class="quiet">{says}</p>
	{#if children}<p class="mt-2">{@render children()}</p>{/if}
</div>
