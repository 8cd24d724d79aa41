<script lang="ts">
	import OfflineHelp from '$lib/features/me/OfflineHelp.svelte';
	import { page } from '$app/state';

	/** The page that was wanted; one of ours, or nothing. */
	const to = $derived.by(() => {
		const wanted = page.url.searchParams.get('to') ?? '';
		return /^\/(?!\/)/.test(wanted) ? wanted : '/me';
	});
</script>

<svelte:head><title>Offline · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-xl flex-col gap-4 px-4 py-6 text-[17px]"><OfflineHelp {to} /></main>
