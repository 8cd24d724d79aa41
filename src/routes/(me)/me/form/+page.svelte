<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import MarkedMedia from '$lib/features/body/MarkedMedia.svelte';
	import { dayAndTimeIn } from '$lib/format';
	import { Submission } from '$lib/ui/submission.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const typed = $derived(form && 'typed' in form ? form.typed : null);
	// svelte-ignore state_referenced_locally
	let exercise = $state(typed?.exercise ?? '');
	// svelte-ignore state_referenced_locally
	let note = $state(typed?.note ?? '');
	const sending = new Submission();

	onMount(() => {
		if (!data.checks.some(({ answeredAt, seenAt }) => answeredAt !== null && seenAt === null)) return;
		void fetch('?/seen', {
			method: 'POST',
			body: new FormData(),
			headers: { 'x-sveltekit-action': 'true' }
		}).catch(() => undefined);
	});
</script>

<svelte:head><title>Form check</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-6">
	<div>
		<h1 class="text-3xl">Form check</h1>
		<p class="quiet">
			A photograph or a clip of one exercise, up to 30 MB; your coach says what to mind. From the side, all of
			you in the frame. A clip keeps what the camera wrote into it, such as the place.
		</p>
	</div>
	<form
		method="post"
		action="?/send"
		enctype="multipart/form-data"
		class="panel flex flex-col gap-3 p-4"
		use:enhance={sending.watch(async ({ result, update }) => {
			await update({ reset: result.type === 'success' });
			if (result.type === 'success') exercise = note = '';
		})}
	>
		<label
			>Exercise
			<input class="input min-h-12 w-full" name="exercise" maxlength="80" bind:value={exercise} /></label
		>
		<label
			>Photograph or clip
			<input
				type="file"
				class="file-input min-h-12 w-full"
				name="file"
				accept="image/jpeg,image/png,image/webp,video/mp4,video/webm,video/quicktime"
			/></label
		>
		<label
			>What do you want to know
			<input class="input min-h-12 w-full" name="note" maxlength="1000" bind:value={note} /></label
		>
		{#if form && 'message' in form}<p class="remark remark-attention font-semibold" role="alert">
				{form.message}
			</p>{/if}
		{#if form && 'sent' in form}<p class="remark" role="status">Sent. You see the answer here.</p>{/if}
		<button class="btn btn-primary min-h-12" disabled={sending.cancel !== null}
			>{sending.cancel ? 'Sending …' : 'Send'}</button
		>
	</form>
	{#each data.checks as one (one.id)}
		<section
			class="border-base-300 border-t pt-3"
			aria-label="{one.exercise}, {dayAndTimeIn(data.zone, one.at)}"
		>
			<h2 class="text-xl">{one.exercise}</h2>
			<p class="quiet mb-2 text-[15px]">
				{dayAndTimeIn(data.zone, one.at)}{one.note ? `: “${one.note}”` : ''}
			</p>
			<MarkedMedia src="/me/form/{one.id}" type={one.type} alt={one.exercise} mark={one.mark} />
			{#if one.cue}<p class="remark mt-2"><b>{one.by ?? 'Your coach'}:</b> {one.cue}</p>
			{:else}<p class="quiet mt-2">Not answered yet.</p>{/if}
			<form method="post" action="?/remove" use:enhance>
				<input type="hidden" name="id" value={one.id} />
				<button class="link-quiet min-h-11">Delete</button>
			</form>
		</section>
	{/each}
</main>
