<script lang="ts">
	import { enhance } from '$app/forms';
	import { STOP_SIGN_WORDS } from '$core/health';
	import EmergencyCall from '$lib/features/me/EmergencyCall.svelte';
	import { deviceQueue } from '$lib/offline/queue.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	let sign = $state('');
	// svelte-ignore state_referenced_locally
	let note = $state(form && 'note' in form ? String(form.note) : '');
	let sending = $state(false);
	let refused = $state<string | null>(null);
	/** What became of it; null while it is not sent. */
	let sent = $state<'told' | 'kept' | null>(null);
	// svelte-ignore state_referenced_locally
	if (form && 'told' in form) sent = 'told';

	/** Keeps it on the device and sends it from there, whether there is a connection or not. */
	async function report() {
		sending = true;
		// A page that the device kept may be opened twice: each report has an id of its own.
		const id = crypto.randomUUID();
		const answer = await deviceQueue.send(data.enrolment, {
			id,
			kind: 'stop',
			day: null,
			body: { sign, note, stoppedAt: Date.now() }
		});
		sending = false;
		refused = answer.refused;
		if (refused === null) sent = answer.kept ? 'kept' : 'told';
	}
</script>

<svelte:head><title>I had to stop</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-4">
	<h1 class="text-3xl">
		{sent === 'told' ? 'Your coach knows' : sent === 'kept' ? 'Kept on this device' : 'I had to stop'}
	</h1>
	<EmergencyCall />
	{#if sent}
		{#if sent === 'kept'}<p role="status">
				There is no connection. Your report is sent as soon as there is one; until then nobody but you knows.
				If you need someone now, call them.
			</p>{/if}
		<p>
			Don’t train until a doctor or midwife has looked at it. Your sessions wait, and nothing counts against
			you. When someone has said yes, tell your coach who it was under
			<a class="link-quiet" href="/me/messages">Messages</a>.
		</p>
	{:else}
		<form
			method="post"
			class="flex flex-col gap-4"
			use:enhance={({ cancel }) => {
				cancel();
				void report();
			}}
		>
			<input type="hidden" name="id" value={data.id} />
			<fieldset class="flex flex-col">
				<legend class="font-head mb-1 text-lg font-bold">What was it?</legend>
				{#each Object.entries(STOP_SIGN_WORDS) as [value, text] (value)}
					<label class="border-base-300 flex min-h-12 items-center gap-3 border-b"
						><input type="radio" class="radio" name="sign" {value} bind:group={sign} />{text}</label
					>
				{/each}
			</fieldset>
			<label class="block"
				><span class="font-head text-lg font-bold">In your words, if you like</span>
				<textarea
					name="note"
					rows="2"
					maxlength="1000"
					class="textarea mt-1 w-full text-[17px]"
					bind:value={note}></textarea></label
			>
			{#if refused ?? (form && 'message' in form ? form.message : null)}<p
					class="remark remark-attention font-semibold"
					role="alert"
				>
					{refused ?? (form && 'message' in form ? form.message : '')}
				</p>{/if}
			<button class="btn btn-primary min-h-14 text-lg" disabled={sign === '' || sending}
				>{sending
					? 'Sending …'
					: sign === ''
						? 'Choose what it was'
						: 'Tell my coach, and hold my sessions'}</button
			>
		</form>
	{/if}
</main>
