<script lang="ts">
	import { enhance } from '$app/forms';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	let sign = $state('');
	// svelte-ignore state_referenced_locally
	let note = $state(form && 'note' in form ? String(form.note) : '');
</script>

<svelte:head><title>I had to stop</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main>
	<h1 class="text-3xl">{form && 'told' in form ? 'Your coach knows' : 'I had to stop'}</h1>
	<p class="remark remark-safety my-4 font-semibold">
		If it is there now, or frightens you: call your emergency number, or have somebody call it. Don’t wait for
		your coach.
	</p>
	{#if form && 'told' in form}
		<p>
			Don’t train until a doctor, or a midwife, has looked at it. Your sessions wait, and nothing counts
			against you. Tell your coach who said yes, under <a class="link-quiet" href="/me/messages">Messages</a>.
		</p>
	{:else}
		<form method="post" class="flex flex-col gap-4" use:enhance>
			<input type="hidden" name="id" value={data.id} />
			<fieldset class="flex flex-col">
				<legend class="font-head mb-1 text-lg font-bold">What was it</legend>
				{#each data.signs as [value, text] (value)}
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
			{#if form && 'message' in form}<p class="remark remark-attention font-semibold" role="alert">
					{form.message}
				</p>{/if}
			<button class="btn btn-primary min-h-14 text-lg" disabled={sign === ''}
				>{sign === '' ? 'Choose what it was' : 'Tell my coach, and hold my sessions'}</button
			>
		</form>
	{/if}
</main>
