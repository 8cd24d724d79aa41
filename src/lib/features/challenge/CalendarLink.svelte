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
		Paste it into your calendar, or open it there. It is shown only once. Any earlier link no longer works.
	</p>
	<CopyText text={made} label="Copy the calendar link" {large} />
	<p class="mt-2">
		<a class={['btn btn-outline', size]} href={made.replace(/^https?:/, 'webcal:')}>Open in a calendar</a>
	</p>
{:else}
	<p class="mb-2 text-sm">
		{#if ended}The calendar link is turned off. Calendars that use it get no more updates.
		{:else if there}There is a calendar link. It can’t be shown again. If it is lost, create a new one; the
			old one stops working.
		{:else}A calendar that subscribes to the link checks about every hour and follows every change.{/if}
	</p>
	<form method="post" use:enhance class="flex flex-wrap gap-2">
		<button class={['btn btn-outline', size]} formaction="?/make"
			>{there ? 'Create a new calendar link' : 'Create calendar link'}</button
		>
		{#if there}<button class={['btn btn-ghost', size]} formaction="?/end">Turn off</button>{/if}
	</form>
{/if}
