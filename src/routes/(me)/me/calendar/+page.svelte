<script lang="ts">
	import { enhance } from '$app/forms';
	import CalendarAddress from '$lib/features/challenge/CalendarLink.svelte';
	import SlowFile from '$lib/ui/SlowFile.svelte';
	import { placeOf } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const answer = $derived(
		form as { message?: string; hourSaved?: boolean; address?: string; ended?: boolean } | null
	);
</script>

<svelte:head><title>Calendar and print</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Today</a></p>
<h1 class="mb-1 text-3xl">Calendar and print</h1>
<p class="quiet mb-5">
	Every day with work as an entry, in the time of {placeOf(data.zone)}. What is done on a day stays on your
	page and opens in its morning.
</p>

<main class="flex flex-col gap-5">
	<section class="panel p-4" aria-labelledby="hour">
		<h2 id="hour">When do you train?</h2>
		<form method="post" action="?/hour" class="mt-2 flex flex-wrap items-center gap-3" use:enhance>
			<input
				type="time"
				name="hour"
				class="input min-h-11 w-36"
				value={data.hour}
				aria-label="Hour at which I train"
			/>
			<button class="btn btn-outline min-h-11">Save</button>
		</form>
		{#if answer?.message}<p class="field-fault mt-2" role="alert">{answer.message}</p>{/if}
		<p class="quiet mt-2 text-[15px]" role="status">
			{#if answer?.hourSaved}Kept.{/if}
			{data.hour
				? `Entries begin at ${data.hour}.`
				: `Entries begin as soon as a day opens${data.opensAt ? `, ${data.opensAt}` : ''}.`}
		</p>
	</section>
	<section class="panel p-4" aria-labelledby="subscribe">
		<h2 id="subscribe" class="mb-1">Subscribe</h2>
		<CalendarAddress
			there={data.subscribed}
			made={answer?.address ?? null}
			ended={answer?.ended ?? false}
			large
		/>
	</section>
	<section class="panel p-4" aria-labelledby="file">
		<h2 id="file" class="mb-1">Or download it once</h2>
		<p class="mb-2 text-sm">A file doesn’t follow changes. Download it again to update the entries.</p>
		<a class="btn btn-outline min-h-11" href="/me/calendar.ics" download>Download calendar file</a>
	</section>
	<section class="panel p-4" aria-labelledby="paper">
		<h2 id="paper" class="mb-1">Print</h2>
		<p class="mb-2 text-sm">
			For days without a phone: every session that is released to you, with its pictures and room for results.
		</p>
		<SlowFile
			href="/me/packet.pdf"
			label="Sessions as PDF"
			meanwhile="Setting the sessions"
			class="btn btn-outline min-h-11"
		/>
	</section>
</main>
