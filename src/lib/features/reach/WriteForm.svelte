<script lang="ts">
	import { enhance } from '$app/forms';
	import { Submission } from '$lib/ui/submission.svelte';
	import { MOST_LETTERS } from '$contracts/message';

	/** A message to somebody, begun for the reason that they need it. */
	interface Props {
		person: string;
		name: string;
		/** Who is opened afterwards. */
		next: string | null;
		/** Of the message: sent twice, it is kept once. */
		id: string;
		draft: string;
		/** What was refused, and why. */
		refused: { message: string; writing: string } | null;
	}
	let { person, name, next, id, draft, refused }: Props = $props();

	// svelte-ignore state_referenced_locally
	let text = $state(refused?.writing ?? draft);
	const sending = new Submission();
</script>

<form
	method="post"
	action="?/write"
	class="flex flex-col gap-2"
	use:enhance={sending.watch(({ update }) => update({ reset: false }))}
>
	<input type="hidden" name="person" value={person} />
	<input type="hidden" name="next" value={next ?? ''} />
	<input type="hidden" name="id" value={id} />
	<label class="flex flex-col gap-1">
		<span class="font-semibold">Write to {name}</span>
		<textarea
			name="text"
			rows="12"
			maxlength={MOST_LETTERS}
			class="textarea w-full text-[15px]"
			data-write
			bind:value={text}></textarea>
	</label>
	{#if refused}<p class="field-fault" role="alert">{refused.message}</p>{/if}
	<button class="btn btn-primary self-start" disabled={sending.cancel !== null}
		>{next ? 'Send, and on to the next' : 'Send'}</button
	>
</form>
