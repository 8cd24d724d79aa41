<script lang="ts">
	import { enhance } from '$app/forms';
	import { Submission } from '$lib/ui/submission.svelte';
	import RichText from '$lib/ui/RichText.svelte';
	import { htmlOfLetter } from '$core/text/html';
	import { dayAndTimeIn } from '$lib/format';

	/** A message to somebody, begun for the reason that they need it. */
	interface Props {
		person: string;
		name: string;
		/** Who is opened afterwards. */
		next: string | null;
		/** Of the message: sent twice, it is kept once. */
		id: string;
		draft: string;
		/** What they wrote last, where nobody has answered it. */
		waiting: { text: string; at: number } | null;
		/** The coach's. */
		zone: string;
		/** What was refused, as it was set and as it was typed without scripts, and why. */
		refused: { message: string; writing: string; typed: string } | null;
	}
	let { person, name, next, id, draft, waiting, zone, refused }: Props = $props();

	const begun = $derived(refused?.writing ?? htmlOfLetter(draft));
	// svelte-ignore state_referenced_locally
	let html = $state(begun);
	/** Messages that were done with here: where nobody else is next, the field begins anew as the page now proposes it. */
	let turn = $state(0);
	const title = $derived(waiting ? `Answer ${name}` : `Write to ${name}`);
	const sending = new Submission();
</script>

<form
	method="post"
	action="?/write"
	class="flex flex-col gap-2"
	use:enhance={sending.watch(async ({ result, update }) => {
		await update({ reset: false });
		if (result.type === 'redirect') turn++;
	})}
>
	<input type="hidden" name="person" value={person} />
	<input type="hidden" name="next" value={next ?? ''} />
	<input type="hidden" name="id" value={id} />
	<input type="hidden" name="draft" value={draft} />
	<div class="flex flex-col gap-1" data-write>
		<span class="font-semibold" aria-hidden="true">{title}</span>
		{#if waiting}
			<blockquote class="remark mb-1 text-sm">
				<p class="quiet">{name} wrote, {dayAndTimeIn(zone, waiting.at)}</p>
				<p class="line-clamp-6 whitespace-pre-line">{waiting.text}</p>
			</blockquote>
		{/if}
		{#key turn}<RichText
				html={begun}
				text={refused?.typed || draft}
				label={title}
				placeholder=""
				rows={12}
				large
				bind:value={html}
			/>{/key}
	</div>
	{#if refused}<p class="field-fault" role="alert">{refused.message}</p>{/if}
	<div class="flex flex-wrap items-center gap-2">
		<button class="btn btn-primary" disabled={sending.cancel !== null}
			>{next ? 'Send, and on to the next' : 'Send'}</button
		>
		{#if waiting}<span class="quiet text-sm">Sent as it is, the draft doesn’t count as an answer.</span>
			<button class="link-quiet min-h-11 px-1" formaction="?/settle" disabled={sending.cancel !== null}
				>Needs no answer</button
			>{/if}
	</div>
</form>
