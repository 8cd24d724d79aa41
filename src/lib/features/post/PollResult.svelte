<script lang="ts">
	import { enhance } from '$app/forms';
	import type { PollResult as Result } from '$contracts/ask';
	import { counted, dayAndTimeIn, percent } from '$lib/format';

	/** What came in of a poll: how many and who, and who has not answered. */
	interface Props {
		poll: Result;
		/** Whom it asks. */
		audience: string;
		base: string;
		zone: string;
		now: number;
	}
	let { poll, audience, base, zone, now }: Props = $props();
	const given = $derived(poll.answers.reduce((sum, one) => sum + one.length, 0));
	const open = $derived(poll.closesAt > now);
</script>

<article class="border-base-300 border-t py-3" aria-label={poll.question}>
	<div class="flex flex-wrap items-baseline justify-between gap-x-4">
		<h3>{poll.question}</h3>
		<span class="flex gap-3 text-sm">
			{#if open}<form method="post" action="?/close" use:enhance>
					<input type="hidden" name="poll" value={poll.id} /><button class="link-quiet">Close</button>
				</form>{/if}
			<form method="post" action="?/drop" use:enhance>
				<input type="hidden" name="poll" value={poll.id} /><button class="link-quiet">Delete</button>
			</form>
		</span>
	</div>
	<p class="quiet text-sm">
		To {audience}. {open ? 'Open until' : 'Closed'}
		{dayAndTimeIn(zone, poll.closesAt)}. {given} of {counted(given + poll.silent.length, 'person', 'people')} answered{poll.shown
			? ', and they see the numbers'
			: ''}.
	</p>
	<ul class="mt-2 flex flex-col gap-2 text-sm">
		{#each poll.choices as choice, i (choice)}
			{@const people = poll.answers[i] ?? []}
			{@const share = given > 0 ? people.length / given : 0}
			<li>
				<details>
					<summary class="cursor-pointer">
						<span class="inline-flex w-[calc(100%-1.5rem)] justify-between gap-3"
							><span>{choice}</span><span class="clock whitespace-nowrap"
								><b>{people.length}</b> <span class="quiet">{percent(share)}</span></span
							></span
						>
					</summary>
					<p class="quiet mt-1">
						{#each people as one, n (one.id)}{n > 0 ? ', ' : ''}<a
								class="hover:underline"
								href="{base}/people/{one.id}">{one.name}</a
							>{:else}Nobody{/each}
					</p>
				</details>
				<progress class="progress progress-primary mt-0.5 h-2 w-full" max="1" value={share} aria-hidden="true"
				></progress>
			</li>
		{/each}
	</ul>
	{#if poll.silent.length > 0}
		<details class="mt-2 text-sm">
			<summary class="quiet cursor-pointer"
				>{counted(poll.silent.length, 'person', 'people')} without an answer</summary
			>
			<p class="quiet mt-1">
				{#each poll.silent as one, n (one.id)}{n > 0 ? ', ' : ''}<a
						class="hover:underline"
						href="{base}/people/{one.id}">{one.name}</a
					>{/each}
			</p>
		</details>
	{/if}
</article>
