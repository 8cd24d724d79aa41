<script lang="ts">
	import { page } from '$app/state';
	import OfflineHelp from '$lib/features/me/OfflineHelp.svelte';
	import Brand from '$lib/ui/Brand.svelte';

	const heads: Record<number, string> = {
		404: 'Not here',
		403: 'Not for you',
		429: 'Too often',
		413: 'Too large'
	};
	const offline = $derived(page.error?.offline === true);
	const head = $derived(
		offline
			? 'Offline'
			: (heads[page.status] ?? (page.status >= 500 ? 'Something went wrong' : 'Not possible'))
	);
</script>

<svelte:head><title>{head} · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-lg flex-col gap-4 px-5 py-16">
	<Brand />
	{#if offline}<OfflineHelp />{:else}
		<h1>{head}</h1>
		<p>{page.error?.message}</p>
		<p><a class="link-quiet" href="/">To the start</a></p>
	{/if}
</main>
