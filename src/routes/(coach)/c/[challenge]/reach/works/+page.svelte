<script lang="ts">
	import ReachParts from '$lib/features/reach/ReachParts.svelte';
	import { REASON_TITLE, type Worked } from '$core/triage';
	import { counted, percent } from '$lib/format';
	import Empty from '$lib/ui/Empty.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const share = ({ n, x }: { n: number; x: number }) =>
		n === 0 ? 'nobody' : `${x} of ${n}, ${percent(x / n)}`;
	const points = (value: number) => `${value >= 0 ? '+' : '−'}${Math.round(Math.abs(value) * 100)}`;
	function differenceText({ difference }: Worked): string {
		if (!difference) return 'nothing to compare with';
		const { difference: by, low, high } = difference;
		const between = `between ${points(low)} and ${points(high)}`;
		return `${points(by)} points, ${between}${low <= 0 && high >= 0 ? ': may be chance' : ''}`;
	}
	const hours = (value: number) =>
		value < 1 ? 'under an hour' : value < 48 ? `${Math.round(value)} h` : `${Math.round(value / 24)} days`;
</script>

<svelte:head><title>What works · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Reach out</h1>
<ReachParts {base} part="works" />
{#if data.looked === null}
	<Empty
		says="This page compares what you did with what came of it. It fills from the second day of the challenge on."
	/>
{:else}
	{#await data.looked}
		<p class="quiet" role="status">Looking back on days {data.from} to {data.to} …</p>
	{:then { worked, week }}
		<section class="mb-6" aria-labelledby="week">
			<h2 id="week">Your last seven days</h2>
			<dl class="mt-1 flex flex-wrap gap-x-10 gap-y-2">
				<div>
					<dt class="quiet text-sm">Reached</dt>
					<dd class="text-2xl font-bold">{week.reached} of {week.needed}</dd>
					<dd class="quiet text-sm">of those who needed you</dd>
				</div>
				<div>
					<dt class="quiet text-sm">Median time until you did</dt>
					<dd class="text-2xl font-bold">{week.hours === null ? 'not yet' : hours(week.hours)}</dd>
					<dd class="quiet text-sm">from the first morning with a reason</dd>
				</div>
				<div>
					<dt class="quiet text-sm">Open this morning</dt>
					<dd class="text-2xl font-bold">{week.open}</dd>
					<dd class="quiet text-sm"><a class="link-quiet" href="{base}/reach">go through them</a></dd>
				</div>
			</dl>
		</section>
		<section aria-labelledby="worked">
			<h2 id="worked">Checked in within two days</h2>
			<p class="quiet mb-2 max-w-prose text-sm">
				Days {data.from} to {data.to}: each morning on which somebody had a reason, with and without your
				turning to them that day. It is no experiment: you choose whom to write to, and may choose those who
				would have come anyway, or never.
			</p>
			{#if worked.length === 0}<Empty
					says="No results yet. Reach out to somebody, and two mornings later this shows whether they came back."
				/>
			{:else}
				<table class="sheet panel text-sm">
					<thead
						><tr
							><th class="pl-3">Reason</th><th>You reached out</th><th>You didn’t</th><th
								>Difference, 95 % interval</th
							></tr
						></thead
					>
					<tbody>
						{#each worked as one (one.kind)}
							<tr
								><td class="pl-3 font-semibold">{REASON_TITLE[one.kind]}</td><td>{share(one.reached)}</td><td
									>{share(one.others)}</td
								><td>{differenceText(one)}</td></tr
							>
						{/each}
					</tbody>
				</table>
				<details class="mt-3 text-sm">
					<summary class="link-quiet cursor-pointer">How this is worked out</summary>
					<p class="mt-1 max-w-prose">
						A morning counts as one where you turned to somebody when you did within 24 hours of it; mornings
						within two days after you had are left out of both. The interval is Newcombe’s, of two Wilson
						intervals (1998, Stat Med 17:873). {counted(
							worked.reduce((sum, one) => sum + one.reached.n + one.others.n, 0),
							'morning'
						)} in all.
					</p>
				</details>
			{/if}
		</section>
	{:catch}
		<p class="field-fault" role="alert">It could not be worked out. Load the page again.</p>
	{/await}
{/if}
