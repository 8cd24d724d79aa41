<script lang="ts">
	import { enhance } from '$app/forms';
	import Scale from '$lib/features/me/Scale.svelte';
	import SessionList from '$lib/features/me/SessionList.svelte';
	import StopSigns from '$lib/features/me/StopSigns.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const session = $derived(data.session);
	const SHARES = [
		[1, 'All of it'],
		[0.75, 'About three quarters'],
		[0.5, 'About half'],
		[0.25, 'About a quarter']
	] as const;
</script>

<svelte:head><title>{session.name}</title></svelte:head>
<p class="mb-2">
	<a class="link-quiet inline-flex min-h-11 items-center" href="/me/shelf">Back to the shelf</a>
</p>
<main class="flex flex-col gap-5">
	<h1 class="text-3xl">From the shelf</h1>
	<SessionList outline={session.outline} name={session.name} changes={session.changes} />
	<StopSigns />
	<form method="post" use:enhance class="panel flex flex-col gap-4 p-4">
		<h2>Done?</h2>
		<p class="quiet text-[15px]">
			{session.counts
				? 'It makes up for work you missed, but never for more than that.'
				: 'It’s just for you and doesn’t change your figures; your coach sees that you did it.'}
		</p>
		{#if form?.message}<p class="remark remark-attention" role="alert">{form.message}</p>{/if}
		<input type="hidden" name="id" value={data.id} />
		<label
			>How much of it
			<select class="select w-full" name="credit">
				{#each SHARES as [share, text] (share)}<option value={share}>{text}</option>{/each}
			</select></label
		>
		<Scale
			name="effort"
			label="How hard was it"
			low="nothing at all"
			high="all I had"
			from={0}
			to={10}
			value={null}
		/>
		<label
			>Does anything hurt?
			<input
				class="input min-h-12 w-full"
				name="hurts"
				maxlength="300"
				placeholder="Where, and in which exercise"
			/></label
		>
		<label
			>Note to your coach
			<textarea class="textarea w-full" name="note" rows="2" maxlength="1000"></textarea></label
		>
		<button class="btn btn-primary min-h-14 text-lg">Log it</button>
	</form>
</main>
