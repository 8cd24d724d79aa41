<script lang="ts">
	import { enhance } from '$app/forms';
	import Empty from '$lib/ui/Empty.svelte';
	import { dayAndTimeIn, minutesText, percent } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<svelte:head><title>Extra sessions</title></svelte:head>
<p class="mb-2"><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-5">
	<div>
		<h1 class="text-3xl">Extra sessions</h1>
		<p class="quiet">Extra sessions. Do one whenever you like; you don’t have to.</p>
	</div>
	{#if form?.message}<p class="remark remark-attention" role="alert">{form.message}</p>{/if}
	{#if data.shelf.length === 0}<Empty says="There are no extra sessions right now. Want more? Ask your coach."
			><a class="link-quiet" href="/me/messages">Write to your coach</a></Empty
		>{/if}
	<ul class="flex flex-col gap-3">
		{#each data.shelf as item (item.sessionId)}
			<li class="panel">
				<a class="block px-4 py-3" href="/me/shelf/{item.sessionId}">
					<b class="text-lg">{item.name}</b>
					<span class="quiet block text-[15px]"
						>{minutesText(item.seconds)} · {item.counts
							? 'makes up for work you missed'
							: 'just for you, it doesn’t change your figures'}</span
					>
				</a>
			</li>
		{/each}
	</ul>
	{#if data.taken.length > 0}
		<section class="panel p-4">
			<h2 class="mb-1">What you’ve done</h2>
			<ul>
				{#each data.taken as one (one.id)}
					<li class="border-base-300 flex items-center justify-between gap-3 border-b py-1 last:border-b-0">
						<span>
							<b>{one.name}</b>{one.credit < 1 ? `, ${percent(one.credit)} of it` : ''}
							<span class="quiet block text-[15px]"
								>{dayAndTimeIn(data.zone, one.at)}{one.effort === null ? '' : `, effort ${one.effort}`}</span
							>
						</span>
						<form method="post" action="?/untake" use:enhance>
							<input type="hidden" name="id" value={one.id} />
							<button class="quiet min-h-11 px-2 text-sm underline" aria-label="Remove {one.name}"
								>Remove</button
							>
						</form>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</main>
