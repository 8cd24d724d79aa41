<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A label, the input given as children, a hint and what is wrong with it. */
	let {
		label,
		hint,
		fault,
		id,
		children
	}: { label: string; hint?: string; fault?: string | string[]; id: string; children: Snippet } = $props();
	const faults = $derived(fault === undefined ? [] : [fault].flat());
</script>

<div class="flex flex-col gap-1">
	<label class="label-text" for={id}>{label}</label>
	{@render children()}
	{#each faults as text (text)}<p class="field-fault" id="{id}-fault" role="alert">{text}</p>{/each}
	{#if hint && faults.length === 0}<p class="quiet text-[13px]">{hint}</p>{/if}
</div>
