<script lang="ts">
	import type { Ending } from '$core/attendance';
	import { listed } from '$core/text/words';
	import { counted, percent } from '$lib/format';

	/** What a challenge that is over came to, and what comes next. */
	interface Named {
		id: string;
		name: string;
	}
	interface Props {
		ending: Pick<Ending<unknown>, 'adherence' | 'weeks'> & {
			finished: number;
			dropped: readonly Named[];
			neverBegan: readonly Named[];
			most: readonly (Named & { rate: number | null; due: number })[];
		};
		base: string;
		/** Its id. */
		challenge: string;
	}
	let { ending, base, challenge }: Props = $props();
	/** Names written out in a sentence. */
	const MOST_NAMES = 8;
	const names = (all: readonly Named[]) =>
		listed(
			all.map(({ name }) => name),
			MOST_NAMES
		);
	const began = $derived(ending.finished + ending.dropped.length);
</script>

<section class="grid items-start gap-6 lg:col-span-2 lg:grid-cols-2" aria-label="How it went">
	<div class="panel p-4">
		{#if ending.adherence.rate === null}
			<p>Nothing was due, so there is nothing to add up.</p>
		{:else}
			<p>
				<b class="text-3xl">{percent(ending.adherence.rate)}</b>
				<span class="quiet">of {counted(ending.adherence.due, 'due day')} done</span>
			</p>
			<p class="mt-2">
				<b>{ending.finished} of {began}</b> who began were still there in the last week.
			</p>
			{#if ending.dropped.length > 0}<p class="mt-1 text-sm">
					<span class="quiet">Not in the last week:</span>
					{names(ending.dropped)}
				</p>{/if}
			{#if ending.neverBegan.length > 0}<p class="mt-1 text-sm">
					<span class="quiet">Never began:</span>
					{names(ending.neverBegan)}
				</p>{/if}
			<table class="sheet mt-4">
				<caption class="text-left font-semibold">Week by week</caption>
				<thead
					><tr><th>Week</th><th class="w-1/2">Done of due</th><th class="text-right">People active</th></tr
					></thead
				>
				<tbody>
					{#each ending.weeks as { week, adherence, active } (week)}
						<tr>
							<td class="clock">{week}</td>
							<td>
								{#if adherence.rate === null}<span class="quiet">nothing due</span>
								{:else}<span class="flex items-center gap-2">
										<span class="bg-base-300 h-2.5 flex-1" aria-hidden="true"
											><span class="bg-primary block h-full" style="width:{100 * adherence.rate}%"
											></span></span
										>
										<span class="clock w-11 text-right">{percent(adherence.rate)}</span>
									</span>{/if}
							</td>
							<td class="clock text-right">{active}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
	</div>
	<div>
		<h2>Who did the most</h2>
		<ol class="border-base-content/70 mt-1 border-t">
			{#each ending.most as { id, name, rate, due } (id)}
				<li class="border-base-300 flex items-baseline justify-between gap-3 border-b py-1.5">
					<a class="font-semibold hover:underline" href="{base}/people/{id}">{name}</a>
					<span><b>{percent(rate ?? 0)}</b> <span class="quiet text-sm">of {due}</span></span>
				</li>
			{/each}
		</ol>
		<ul class="mt-4 flex flex-col gap-2">
			<li><a class="link-quiet" href="{base}/roll">Everyone, day by day</a></li>
			<li><a class="link-quiet" href="{base}/reach/works">What came of reaching out</a></li>
			<li>
				<a class="link-quiet" href="/challenges/import?from={challenge}">Plan the next one from this</a>
			</li>
		</ul>
	</div>
</section>
