<script lang="ts">
	import { enhance } from '$app/forms';
	import CopyText from '$lib/ui/CopyText.svelte';
	import { dayText } from '$lib/format';

	/** The challenges that somebody is in, leaving this one, coming back, and going on in another. */
	interface Props {
		name: string;
		challengeId: string;
		leftAt: number | null;
		all: readonly {
			enrolmentId: string;
			challengeId: string;
			name: string;
			startsOn: string;
			left: boolean;
		}[];
		/** Challenges that they could go on in. */
		others: readonly { id: string; name: string }[];
		form: { message?: string; moved?: { to: string; link: string | null } } | null;
	}
	let { name, challengeId, leftAt, all, others, form }: Props = $props();
</script>

<details class="panel p-4" open={leftAt !== null || form?.moved !== undefined}>
	<summary class="font-head cursor-pointer text-lg font-bold">Challenges, {all.length}</summary>
	<ul class="mt-1 text-sm">
		{#each all as one (one.enrolmentId)}
			<li class="py-0.5">
				{#if one.challengeId === challengeId}<b>{one.name}</b>{:else}<a
						class="link-quiet"
						href="/c/{one.challengeId}/people/{one.enrolmentId}">{one.name}</a
					>{/if}
				<span class="quiet">from {dayText(one.startsOn)}{one.left ? ', left' : ''}</span>
			</li>
		{/each}
	</ul>
	{#if form?.moved}
		<div class="mt-2" role="status">
			<p class="mb-1 text-sm">
				<b>{name} goes on in {form.moved.to}.</b>
				{form.moved.link
					? 'Their link for it, shown now and never again:'
					: 'Send them their link for it by email.'}
			</p>
			{#if form.moved.link}<CopyText text={form.moved.link} label="Copy the link" />{/if}
		</div>
	{/if}
	{#if form?.message}<p class="field-fault mt-1" role="alert">{form.message}</p>{/if}
	{#if leftAt === null}
		{#if others.length > 0}
			<form method="post" action="?/move" use:enhance class="mt-2 flex items-end gap-2 text-sm">
				<label class="flex-1"
					>Go on in <select name="to" class="select select-sm w-full"
						>{#each others as one (one.id)}<option value={one.id}>{one.name}</option>{/each}</select
					></label
				>
				<button class="btn btn-sm btn-outline">Move</button>
			</form>
		{/if}
		<form method="post" action="?/leave" use:enhance class="mt-2">
			<button class="btn btn-sm btn-ghost">{name} leaves</button>
			<span class="quiet text-[13px]">What was done stays; nothing more is asked.</span>
		</form>
	{:else}
		<form method="post" action="?/back" use:enhance class="mt-2">
			<button class="btn btn-sm btn-outline">{name} comes back</button>
		</form>
	{/if}
</details>
