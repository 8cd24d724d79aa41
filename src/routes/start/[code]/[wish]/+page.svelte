<script lang="ts">
	import { enhance } from '$app/forms';
	import JoinFrame from '$lib/features/people/JoinFrame.svelte';
	import CopyText from '$lib/ui/CopyText.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<JoinFrame page={data.page}>
	{#if form && 'joined' in form && form.joined}
		<section class="remark flex flex-col gap-3" role="status">
			<h2 class="text-2xl">You’re in</h2>
			<p>
				This is your personal link. It gets you back in on any phone or computer, so keep it to yourself{form.mailed
					? '. We’ve emailed it to you, too'
					: ' and save it somewhere'}.
			</p>
			<CopyText text={form.joined} label="Copy the link" />
			<a class="btn btn-primary min-h-14 text-lg" href="/me/intake">Go on to the questions</a>
		</section>
	{:else if form && 'waiting' in form}
		<div class="remark" role="status">
			<p class="text-xl font-semibold">You’re on the list</p>
			<p>{data.page.coach} has your name and sends you your own link as soon as there is a place.</p>
		</div>
	{:else}
		<form method="post" use:enhance class="flex flex-col gap-4">
			<p>You’re joining as <b>{data.name}</b>, {data.email}.</p>
			{#if form && 'message' in form && form.message}<p class="field-fault" role="alert">
					{form.message}
				</p>{/if}
			<button class="btn btn-primary min-h-14 text-lg"
				>{data.page.places === 0 ? 'Put me on the waiting list' : 'Yes, join'}</button
			>
		</form>
	{/if}
</JoinFrame>
