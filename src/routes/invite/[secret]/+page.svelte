<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import NewPassword from '$lib/features/account/NewPassword.svelte';
	import WhoFields from '$lib/features/people/WhoFields.svelte';
	import Brand from '$lib/ui/Brand.svelte';
	import { isZone } from '$core/calendar';
	import { ROLE_SAYS } from '$core/people';
	import { page } from '$app/state';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const invited = $derived(data.invited);
	const answer = $derived(
		form as {
			message?: string;
			typed?: Record<string, string>;
			faults?: { field: string; message: string }[];
		} | null
	);
	const faultOf = (field: string) => answer?.faults?.find((fault) => fault.field === field)?.message;
	let zone = $state('');
	onMount(() => {
		const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
		if (!zone && isZone(here)) zone = here;
	});
	const typed = $derived({ name: invited.forWhom, ...answer?.typed });
</script>

<svelte:head><title>Invitation · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-md flex-col gap-5 px-6 py-12">
	<Brand />
	<section class="panel flex flex-col gap-4 p-6">
		<h1 class="text-2xl">{invited.challenge}</h1>
		<p>{invited.by} invites {invited.forWhom} as {invited.role === 'coach' ? 'a coach' : 'a viewer'}.</p>
		<p class="quiet text-sm">{ROLE_SAYS[invited.role]}</p>
		{#if data.coach}
			<form method="post" action="?/take" use:enhance class="flex flex-col gap-3">
				{#if answer?.message}<p class="field-fault" role="alert">{answer.message}</p>{/if}
				<button class="btn btn-primary">Accept as {data.coach.name}</button>
			</form>
			<p class="quiet text-sm">You are signed in as {data.coach.email}.</p>
		{:else}
			<p>
				<a class="link-quiet" href="/sign-in?then={encodeURIComponent(page.url.pathname)}"
					>I have an account: sign in</a
				>
			</p>
		{/if}
	</section>
	{#if !data.coach}
		<form
			method="post"
			action="?/account"
			use:enhance={() =>
				async ({ update }) =>
					update({ reset: false })}
			class="panel flex flex-col gap-4 p-6"
		>
			<h2>Make an account</h2>
			<WhoFields zones={data.zones} bind:zone {typed} {faultOf} />
			<NewPassword email={answer?.typed?.email ?? ''} fault={faultOf('password')} />
			{#if answer?.message && !answer.faults?.length}<p class="field-fault" role="alert">
					{answer.message}
				</p>{/if}
			<button class="btn btn-primary">Make it and accept</button>
		</form>
	{/if}
</main>
