<script lang="ts">
	import { enhance } from '$app/forms';
	import Scale from '$lib/features/me/Scale.svelte';
	import PlateStrip from '$lib/ui/PlateStrip.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const typed = $derived(form && 'typed' in form ? form.typed : null);
	// svelte-ignore state_referenced_locally
	let favourite = $state(typed?.favourite ?? data.said?.favourite ?? '');
	// svelte-ignore state_referenced_locally
	let hardest = $state(typed?.hardest ?? data.said?.hardest ?? '');
	// svelte-ignore state_referenced_locally
	let obstacle = $state(typed?.obstacle ?? data.said?.obstacle ?? '');
</script>

<svelte:head><title>Week {data.week}</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main>
	<h1 class="text-3xl">Week {data.week}</h1>
	<div class="my-2">
		<PlateStrip days={data.done} firstDay={(data.week - 1) * 7 + 1} name="Week {data.week}" />
	</div>
	{#if form && 'kept' in form}
		<p class="remark my-4" role="status">
			<b>Kept.</b> Your coach reads it.
		</p>
	{/if}
	<form
		method="post"
		class="flex flex-col gap-5"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="id" value={data.id} />
		<input type="hidden" name="week" value={data.week} />
		<label class="block"
			><span class="font-head text-lg font-bold">Favourite exercise or session</span>
			<input
				class="input mt-1 min-h-12 w-full"
				name="favourite"
				maxlength="80"
				list="sessions"
				bind:value={favourite}
			/></label
		>
		<label class="block"
			><span class="font-head text-lg font-bold">Hardest</span>
			<input
				class="input mt-1 min-h-12 w-full"
				name="hardest"
				maxlength="80"
				list="sessions"
				bind:value={hardest}
			/></label
		>
		<datalist id="sessions"
			>{#each data.sessions as one (one)}<option value={one}></option>{/each}</datalist
		>
		<label class="block"
			><span class="font-head text-lg font-bold">What got in the way</span>
			<textarea
				class="textarea mt-1 w-full text-[17px]"
				name="obstacle"
				rows="3"
				maxlength="1000"
				bind:value={obstacle}></textarea></label
		>
		{#key data.week}<Scale
				name="confidence"
				label="How sure are you of the week ahead"
				low="not at all"
				high="certain"
				from={0}
				to={10}
				value={typed?.confidence ?? data.said?.confidence ?? null}
			/>{/key}
		{#if form && 'message' in form}<p class="remark remark-attention font-semibold" role="alert">
				{form.message}
			</p>{/if}
		<button class="btn btn-primary min-h-14 text-lg">{data.said ? 'Change it' : 'Send'}</button>
	</form>
	<section class="border-base-300 mt-6 border-t pt-3" aria-labelledby="once">
		<h2 id="once" class="text-lg">Once a week as well</h2>
		<div class="mt-2 grid grid-cols-2 gap-2">
			<a class="btn btn-outline min-h-12" href="/me/body">Weight and girths</a>
			<a class="btn btn-outline min-h-12" href="/me/photos">A photograph</a>
		</div>
	</section>
	<nav class="mt-6 flex flex-wrap gap-3" aria-label="Weeks">
		{#each Array.from({ length: data.begun }, (_, i) => i + 1) as week (week)}
			<a
				class="link-quiet inline-flex min-h-11 items-center"
				href="/me/week?week={week}"
				aria-current={week === data.week ? 'page' : undefined}>Week {week}</a
			>
		{/each}
	</nav>
</main>
