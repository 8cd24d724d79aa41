<script lang="ts">
	import { enhance } from '$app/forms';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
</script>

<svelte:head><title>{data.challenge} · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-md flex-col gap-4 px-5 py-12">
	<p class="quiet">{data.challenge}</p>
	<h1>Are you {data.name}?</h1>
	{#if data.other}
		<p class="remark remark-attention">
			This device is signed in as <b>{data.other}</b>. If you go on, {data.other} is signed out here and needs their
			own link to come back.
		</p>
	{:else}
		<p>
			{#if data.by}{data.by} created this link for you.{:else}This is your personal link.{/if} It signs you in on
			this device, so don’t pass it on.
		</p>
	{/if}
	<form method="post" use:enhance>
		<button class="btn btn-primary h-12 w-full text-base">Yes, I’m {data.name}</button>
	</form>
	{#if data.other}
		<a class="btn btn-ghost h-12 w-full text-base" href="/me">No, stay {data.other}</a>
	{:else}
		<p class="quiet text-sm">Not you? Close this page and ask the coach for your own link.</p>
	{/if}
</main>
