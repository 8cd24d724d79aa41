<script lang="ts">
	import { enhance } from '$app/forms';
	import CopyText from '$lib/ui/CopyText.svelte';

	/** The address of a calendar: made, shown once, made anew and ended. Asks the page's actions `make` and `end`. */
	interface Props {
		/** There is one that is good. */
		there: boolean;
		/** The one just made. */
		made: string | null;
		ended: boolean;
		large?: boolean;
	}
	let { there, made, ended, large = false }: Props = $props();
	const size = $derived(large ? 'min-h-11' : 'btn-sm');
</script>

{#if made}
	<p class="mb-2 text-sm">
		Copy it into your calendar, or open it there. It is shown this once; one from before has ended.
	</p>
	<CopyText text={made} label="Copy the address" {large} />
	<p class="mt-2">
		<a class={['btn btn-outline', size]} href={made.replace(/^https?:/, 'webcal:')}>Open in a calendar</a>
	</p>
{:else}
	<p class="mb-2 text-sm">
		{#if ended}The address has ended: calendars that have it get nothing any more.
		{:else if there}There is an address. It cannot be shown again; if it is lost, make a new one and the old
			one ends.
		{:else}A calendar that has the address looks again every hour or so, and follows every change.{/if}
	</p>
	<form method="post" use:enhance class="flex flex-wrap gap-2">
		<button class={['btn btn-outline', size]} formaction="?/make"
			>{there ? 'Make a new address' : 'Make an address'}</button
		>
		{#if there}<button class={['btn btn-ghost', size]} formaction="?/end">End it</button>{/if}
	</form>
{/if}
