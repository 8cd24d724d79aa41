<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import type { HoldReason } from '$core/health';
	import { listed } from '$core/text/words';
	import { counted } from '$lib/format';

	/** What is left to do before day one, each with the place where it is done. */
	interface Props {
		readiness: {
			people: number;
			unopened: readonly { id: string; name: string }[];
			unanswered: readonly { id: string; name: string }[];
			held: readonly { id: string; name: string; reason: HoldReason }[];
			hasWritten: boolean;
		};
		/** For whom nothing of a session is left on the first days. */
		nothingFits: readonly { id: string; name: string }[];
		base: string;
	}
	let { readiness, nothingFits, base }: Props = $props();
	const names = (all: readonly { name: string }[]) =>
		listed(
			all.map(({ name }) => name),
			6
		);
	const steps = $derived([
		{
			open: readiness.people === 0,
			done: `${counted(readiness.people, 'person', 'people')} enrolled`,
			todo: 'Nobody is enrolled yet',
			action: 'Enrol people from a list',
			href: `${base}/people/import`
		},
		{
			open: readiness.unopened.length > 0,
			done: 'Everyone has opened their link',
			todo: `Not opened their link: ${names(readiness.unopened)}`,
			action: 'Send links by email',
			href: `${base}/people`
		},
		{
			open: readiness.unanswered.length > 0,
			done: 'Everyone who came has answered the questions',
			todo: `Questions not answered: ${names(readiness.unanswered)}`,
			action: 'Write to them',
			href: `${base}/reach${readiness.unanswered[0] ? `?person=${readiness.unanswered[0].id}` : ''}`
		},
		{
			open: readiness.held.length > 0,
			done: 'Nobody waits for an OK',
			todo: `Waiting for an OK: ${names(readiness.held)}`,
			action: 'Record it',
			href: readiness.held[0] ? `${base}/people/${readiness.held[0].id}` : `${base}/people`
		},
		{
			open: nothingFits.length > 0,
			done: 'Something fits for everyone on the first days',
			todo: `Nothing fits for ${names(nothingFits)}`,
			action: 'See who gets what',
			href: `${base}/people/fit`
		},
		{
			open: !readiness.hasWritten,
			done: 'The first message is written',
			todo: 'Nobody has heard from you yet',
			action: 'Write the welcome',
			href: `${base}/post`
		}
	]);
	const left = $derived(steps.filter(({ open }) => open).length);
</script>

<section class="panel mb-4 max-w-3xl p-4" aria-labelledby="readiness">
	<h2 id="readiness">Before day one</h2>
	<p class="quiet text-sm">{left === 0 ? 'Everything is ready.' : `${counted(left, 'thing')} left to do.`}</p>
	<ul class="mt-2">
		{#each steps as { open, done, todo, action, href } (action)}<li
				class="border-base-300 flex flex-wrap items-baseline justify-between gap-x-4 border-b py-1.5 last:border-b-0"
			>
				{#if open}<span class="attention min-w-0 flex-1 font-semibold">{todo}</span>
					<a class="btn btn-outline btn-sm" {href}>{action}</a>
				{:else}<span class="quiet flex items-center gap-1.5"
						><Check size={16} aria-hidden="true" />{done}</span
					>{/if}
			</li>{/each}
	</ul>
</section>
