<script lang="ts">
	import '@fontsource-variable/atkinson-hyperlegible-mono';
	import '@fontsource-variable/atkinson-hyperlegible-next';
	import '@fontsource-variable/bricolage-grotesque';
	import { onMount, tick } from 'svelte';
	import { navigating } from '$app/state';
	import { restoreTyped } from '$lib/ui/typed-early';
	import '../app.css';
	import type { LayoutProps } from './$types';

	let { children }: LayoutProps = $props();

	onMount(async () => {
		await tick();
		restoreTyped();
	});

	/** A page that is there at once shows nothing; one that takes its time says that it is coming. */
	let slow = $state(false);
	$effect(() => {
		// Says that the scripts run and nothing is on its way: what drives a page from outside waits for it.
		document.documentElement.dataset.settled = navigating.to ? 'no' : 'yes';
		if (!navigating.to) {
			slow = false;
			return;
		}
		const timer = setTimeout(() => (slow = true), 300);
		return () => clearTimeout(timer);
	});
</script>

{#if slow}<progress
		class="progress progress-primary fixed inset-x-0 top-0 z-50 h-1 rounded-none"
		aria-label="The page is coming"
	></progress>{/if}
{@render children()}
