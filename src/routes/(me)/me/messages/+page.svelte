<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import Requests from '$lib/features/me/Requests.svelte';
	import Thread from '$lib/features/reach/Thread.svelte';
	import { MOST_LETTERS } from '$contracts/message';
	import { Submission } from '$lib/ui/submission.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const refused = $derived(form && 'message' in form && !('asking' in form) ? form : null);
	const refusedRequest = $derived(form && 'message' in form && 'asking' in form ? form : null);
	// svelte-ignore state_referenced_locally
	let text = $state(refused && 'text' in refused ? String(refused.text) : '');
	const sending = new Submission();

	onMount(() => {
		if (data.messages.some(({ byCoach, readAt }) => byCoach && readAt === null))
			void fetch('?/read', {
				method: 'POST',
				body: new FormData(),
				headers: { 'x-sveltekit-action': 'true' }
			}).catch(() => undefined);
	});
</script>

<svelte:head><title>Messages</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main>
	<h1 class="mb-3 text-3xl">Messages</h1>
	{#if data.messages.length === 0}
		<Empty says="No messages yet. Write below, and your coach reads it here." />
	{:else}
		<Thread messages={data.messages} zone={data.zone} side="participant" />
	{/if}
	<form
		method="post"
		action="?/write"
		class="mt-5 flex flex-col gap-3"
		use:enhance={sending.watch(async ({ result, update }) => {
			await update({ reset: false });
			if (result.type === 'success') text = '';
		})}
	>
		<input type="hidden" name="id" value={data.id} />
		<label class="flex flex-col gap-1">
			<span class="font-head text-lg font-bold">Write to your coach</span>
			<textarea
				name="text"
				rows="4"
				maxlength={MOST_LETTERS}
				class="textarea w-full text-base"
				bind:value={text}></textarea>
		</label>
		{#if refused}<p class="remark remark-attention font-semibold" role="alert">{refused.message}</p>{/if}
		<button class="btn btn-primary min-h-14 text-lg" disabled={sending.cancel !== null}>Send</button>
		<p class="quiet text-sm">
			Your coach doesn’t read this at every hour. With chest pain, fainting, or anything that frightens you,
			stop and get medical help.
		</p>
	</form>
	<Requests
		requests={data.requests}
		id={data.requestId}
		zone={data.zone}
		refused={refusedRequest?.asking
			? { message: String(refusedRequest.message), raw: refusedRequest.asking }
			: null}
	/>
	<form
		method="post"
		action="?/mail"
		class="border-base-300 mt-6 border-t pt-3"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<label class="flex min-h-11 items-center gap-3"
			><input
				type="checkbox"
				class="checkbox"
				name="mailed"
				checked={data.mailed}
				onchange={({ currentTarget }) => currentTarget.form?.requestSubmit()}
			/> Email me when my coach writes</label
		>
		<noscript><button class="btn btn-outline btn-sm">Save</button></noscript>
		{#if form && 'mailed' in form}<p class="quiet text-sm" role="status">
				{form.mailed ? 'You get an email, outside of the night.' : 'No more emails; it all stands here.'}
			</p>{/if}
	</form>
</main>
