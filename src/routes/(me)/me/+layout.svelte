<script lang="ts">
	import { onMount } from 'svelte';
	import { dev } from '$app/environment';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import WaitingResults from '$lib/features/me/WaitingResults.svelte';
	import type { LayoutProps } from './$types';
	let { data, children }: LayoutProps = $props();

	onMount(() => {
		// In development nothing is kept: what is being changed has to be seen.
		if (dev || !('serviceWorker' in navigator)) return;
		void navigator.serviceWorker.register('/service-worker.js', { type: 'module' });
		navigator.serviceWorker.addEventListener('message', hear);
		return () => navigator.serviceWorker.removeEventListener('message', hear);
	});
	/** Minimum time between refreshes after late responses, in milliseconds: on a slow line every refresh is late too. */
	const REFRESH_INTERVAL = 60_000;
	let refreshedAt = -REFRESH_INTERVAL;
	function hear(event: MessageEvent<{ open?: string; fresher?: boolean }>) {
		if (event.data.fresher) {
			if (performance.now() - refreshedAt < REFRESH_INTERVAL) return;
			refreshedAt = performance.now();
			void invalidateAll();
		} else openAsked(event);
	}
	/** A tap on a reminder opens its page here. A person in the middle of a session is left in it. */
	function openAsked({ data: message, ports }: MessageEvent<{ open?: string }>) {
		if (!message.open) return;
		ports[0]?.postMessage(true);
		if (!page.url.pathname.endsWith('/run')) void goto(message.open);
	}
	/** Hands over to the device what it should keep: today and the days that are still open, or what goes with a session. */
	$effect(() => {
		const anew = page.data.keep !== undefined;
		const paths = page.data.keep ?? page.data.goesWith;
		if (dev || !paths || !('serviceWorker' in navigator)) return;
		const owner = data.enrolment;
		void navigator.serviceWorker.ready.then(({ active }) =>
			active?.postMessage({ keep: { owner, paths, anew } })
		);
	});
</script>

<svelte:head><link rel="manifest" href="/manifest.webmanifest" /></svelte:head>
<div class="mx-auto max-w-xl px-4 pt-3 pb-24 text-[17px] wrap-anywhere">
	<WaitingResults enrolment={data.enrolment} zone={data.zone} />
	{@render children()}
</div>
