<script lang="ts">
	import GainList from '$lib/features/me/GainList.svelte';
	import MyStrip from '$lib/features/me/MyStrip.svelte';
	import { doneWords, scoreWords } from '$lib/features/me/said';
	import { counted, dayAndTimeIn } from '$lib/format';
	import type { PageProps } from './$types';

	/** What came of a day, right after it. */
	let { data }: PageProps = $props();
	const { last, first, scores, easier, lighterThan, compared } = $derived(
		data.gains ?? { last: [], first: [], scores: [], easier: null, lighterThan: null, compared: 0 }
	);
	const better = $derived(last.length + scores.length + (easier ? 1 : 0));
</script>

<svelte:head><title>Day {data.day} saved</title></svelte:head>
<main class="flex flex-col gap-5">
	<div role="status">
		<h1 class="text-3xl">Day {data.day} saved</h1>
		<p class="text-xl">
			<b>Checked in</b>, {doneWords(data.checkin)}.
		</p>
		<p class="quiet">
			{data.left.days === 0
				? 'That was the last day.'
				: `${counted(data.left.days, 'day')} left, ${counted(data.left.sessions, 'session')} among them.`}
			{#if data.nextOpens}The next day opens {dayAndTimeIn(data.zone, data.nextOpens)}.{/if}
		</p>
	</div>

	{#each data.said as one (one.at)}
		<section class="remark" aria-label="From your coach">
			<p class="quiet text-sm">{one.by ?? 'your coach'}, {dayAndTimeIn(data.zone, one.at)}</p>
			<p class="text-lg">{one.text}</p>
		</section>
	{/each}

	{#if better > 0}
		<section class="panel p-4" aria-labelledby="better">
			<h2 id="better">Better than last time</h2>
			{#each scores as one (one.block)}
				<div class="border-base-300 border-b py-2">
					<p><b>{data.blocks[one.block] ?? data.name}</b></p>
					<p>{scoreWords(one.now)}</p>
					<p class="quiet text-[15px]">day {one.since.day}: {scoreWords(one.before)}</p>
				</div>
			{/each}
			<GainList gains={last} units={data.units} />
			{#if easier}<p class="border-base-300 border-t py-2">
					The same session felt easier: effort {easier.now} of 10, {easier.before} on day {easier.since.day}.
				</p>{/if}
		</section>
	{:else if compared > 0 && lighterThan !== null}
		<p class="remark">
			An easier day on purpose: it asked for less than day {lighterThan}.
		</p>
	{:else if compared > 0}
		<p class="remark">
			About the same as last time in {counted(compared, 'exercise')} that can be compared. Nobody gets better every
			day.
		</p>
	{:else if data.gains}
		<p class="remark">You did these exercises for the first time. Next time we compare with this.</p>
	{/if}

	{#if first.length > 0}
		<section class="panel p-4" aria-labelledby="since">
			<h2 id="since">Since your first test</h2>
			<GainList gains={first} units={data.units} />
		</section>
	{/if}

	<a class="btn btn-primary min-h-14 text-lg" href="/me">To today</a>
	<a class="btn btn-outline min-h-14 text-lg" href="/me/history">Your history</a>
	<MyStrip days={data.days} tally={data.tally} />
</main>
