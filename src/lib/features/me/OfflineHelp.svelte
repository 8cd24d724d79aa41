<script lang="ts">
	import { onMount } from 'svelte';
	import EmergencyCall from './EmergencyCall.svelte';
	import { PAGES } from '$lib/offline/forget';
	import { keptAs, keptPages, mayReload, type KeptPage } from '$lib/offline/pages';

	/** Help for a page that can't be loaded offline, with links to the pages stored on this device. */
	let {
		to = null
	}: { /** Path of the page that was wanted; null: the one of the address. */ to?: string | null } = $props();
	let pages = $state<KeptPage[] | null>(null);
	onMount(async () => {
		if (!('caches' in window)) return void (pages = []);
		const cache = await caches.open(PAGES);
		// Only the page's data was missing: the complete page may be stored.
		if (
			to === null &&
			(await cache.match(keptAs(new URL(location.href)))) &&
			mayReload(sessionStorage, Date.now())
		)
			return location.reload();
		const kept = await cache.keys();
		pages = keptPages(kept.map(({ url }) => url));
	});
</script>

<h1 class="text-3xl">You’re offline</h1>
<p>This page isn’t on your device. It opens once there is a connection.</p>
{#if pages && pages.length > 0}
	<section aria-labelledby="kept-pages">
		<h2 id="kept-pages" class="text-xl">On your device</h2>
		<ul class="panel mt-1 px-4">
			{#each pages as { path, name } (path)}<li class="border-base-300 border-b last:border-b-0">
					<a class="link-quiet flex min-h-12 items-center" href={path}>{name}</a>
				</li>{/each}
		</ul>
	</section>
{:else if pages}<p>Nothing is kept on this device yet.</p>{/if}
<button
	class="btn btn-primary min-h-12"
	onclick={() => (to === null ? location.reload() : location.assign(to))}>Try again</button
>
<EmergencyCall />
