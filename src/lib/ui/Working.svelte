<script lang="ts">
	/** Says that something is being worked on, and lets it be stopped where that does no harm. */
	let { what, cancel }: { what: string; cancel?: () => void } = $props();
</script>

<div class="flex items-center gap-3" role="status">
	<progress class="progress progress-primary w-40" aria-label={what}></progress>
	<span class="text-sm">{what}</span>
	{#if cancel}<button type="button" class="btn btn-ghost btn-sm" onclick={cancel}>Cancel</button>{/if}
</div>
