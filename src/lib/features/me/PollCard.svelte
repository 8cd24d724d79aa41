<script lang="ts">
	import { enhance } from '$app/forms';
	import type { OwnPoll } from '$contracts/ask';
	import { dayAndTimeIn, percent } from '$lib/format';

	/** A question of the coach: one press answers it, another changes the answer while it is open. */
	interface Props {
		poll: OwnPoll;
		zone: string;
		refused: string | null;
	}
	let { poll, zone, refused }: Props = $props();
	const given = $derived((poll.counts ?? []).reduce((sum, one) => sum + one, 0));
</script>

<section class="panel p-4" aria-label="A question from your coach">
	<h2 class="text-lg">{poll.question}</h2>
	<form method="post" action="?/poll" class="mt-2 flex flex-col gap-2" use:enhance>
		<input type="hidden" name="poll" value={poll.id} />
		{#each poll.choices as choice, i (choice)}
			{@const count = poll.counts?.[i]}
			<button
				class={[
					'btn min-h-12 justify-between text-left text-base',
					poll.choice === i ? 'btn-primary' : 'btn-outline'
				]}
				name="choice"
				value={i}
				disabled={!poll.open}
				aria-pressed={poll.choice === i}
				><span>{choice}</span>{#if count !== undefined}<span class="clock"
						>{count} <span class="text-sm">{percent(given > 0 ? count / given : 0)}</span></span
					>{/if}</button
			>
		{/each}
	</form>
	{#if refused}<p class="remark remark-attention mt-2" role="alert">{refused}</p>{/if}
	<p class="quiet mt-2 text-sm">
		{poll.open
			? `Open until ${dayAndTimeIn(zone, poll.closesAt)}. Your coach sees who said what.`
			: `Closed ${dayAndTimeIn(zone, poll.closesAt)}.`}
	</p>
</section>
