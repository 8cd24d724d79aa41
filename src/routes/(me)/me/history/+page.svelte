<script lang="ts">
	import { weightIn } from '$core/kit/units';
	import { performanceKey, setWords } from '$core/progress';
	import { clockText } from '$core/session';
	import MyStrip from '$lib/features/me/MyStrip.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import { counted, dayAndTimeIn, percent } from '$lib/format';
	import type { PageProps } from './$types';

	/** What somebody has done so far: their days, their bests, their sessions. */
	let { data }: PageProps = $props();
	/** As many bests as are read at once; the rest on wish. */
	const FIRST = 8;
	let all = $state(false);
	const shown = $derived(all ? data.bests : data.bests.slice(0, FIRST));
</script>

<svelte:head><title>Your history</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-5">
	<h1 class="text-3xl">Your history</h1>
	<MyStrip days={data.days} tally={data.tally} />
	{#if data.past.length === 0}
		<Empty
			says="Nothing here yet. Check in after your first session, and it’s listed here with your bests."
		/>
	{:else}
		<section class="panel p-4" aria-labelledby="bests">
			<h2 id="bests">Your bests</h2>
			<ul>
				{#each shown as best (performanceKey(best))}
					<li class="border-base-300 border-b py-2 last:border-b-0">
						<p class="flex justify-between gap-3">
							<b>{best.exercise}</b><span class="quiet whitespace-nowrap">{counted(best.days, 'day')}</span>
						</p>
						<p>
							{setWords(best.top, best, data.units)} <span class="quiet">on day {best.top.day}</span>
						</p>
						{#if best.most}<p>
								{setWords(best.most, best, data.units)}
								<span class="quiet">on day {best.most.day}</span>
							</p>{/if}
						<p class="quiet text-[15px]">
							{best.first.at === best.top.at
								? 'the first time is the best so far'
								: `first, day ${best.first.day}: ${setWords(best.first, best, data.units)}`}{#if best.once !== null}
								· about {weightIn(Math.round(best.once), data.units)}
								{data.units} once, by Epley’s estimate{/if}
						</p>
					</li>
				{/each}
			</ul>
			{#if data.bests.length > shown.length}<button
					class="btn btn-ghost min-h-11 w-full"
					onclick={() => (all = true)}>{counted(data.bests.length - shown.length, 'more exercise')}</button
				>{/if}
		</section>
		<section aria-labelledby="sessions">
			<h2 id="sessions" class="mb-2">Your sessions</h2>
			<ul class="panel px-4">
				{#each data.past as one (one.id)}
					<li class="border-base-300 border-b last:border-b-0">
						<a class="flex min-h-14 items-center justify-between gap-3 py-2" href="/me/history/{one.day}">
							<span class="min-w-0"
								><b>Day {one.day}</b>{one.again ? ', again' : ''} · {one.name}<span
									class="quiet block text-[15px]"
									>{dayAndTimeIn(data.zone, one.at)}{one.effort === null
										? ''
										: ` · effort ${one.effort} of 10`}{one.seconds === null
										? ''
										: ` · ${clockText(one.seconds)}`}</span
								></span
							>
							<span class="tabular-nums whitespace-nowrap">{percent(one.credit)}</span>
						</a>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</main>
