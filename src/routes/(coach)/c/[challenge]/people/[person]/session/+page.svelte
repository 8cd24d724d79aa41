<script lang="ts">
	import Timeline from '$lib/features/build/Timeline.svelte';
	import SessionList from '$lib/features/me/SessionList.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import { minutesText } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const first = $derived(data.person.name.split(' ')[0] ?? data.person.name);
	const base = $derived(`/c/${data.challenge.id}/people`);
	const own = $derived(data.as?.own ?? null);
	const before = $derived(data.training.findLast((day) => day < data.fitDay));
	const after = $derived(data.training.find((day) => day > data.fitDay));
	const minutes = $derived(own ? Math.round(own.timeline.totals.duration / 60) : 0);
</script>

<svelte:head><title>Day {data.fitDay} as {first} gets it · {data.challenge.name}</title></svelte:head>
<p class="mb-1 text-sm">
	<a class="link-quiet" href={base}>People</a> /
	<a class="link-quiet" href="{base}/{data.person.id}">{data.person.name}</a>
</p>
<div class="mb-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
	<h1>Day {data.fitDay} as {first} gets it</h1>
	{#if data.as && own}
		<p class={minutes > data.as.minutes ? 'attention font-semibold' : 'quiet'}>
			{minutes} min, as planned {minutesText(data.as.plannedSeconds)}; {first} has {data.as.minutes} min
		</p>
	{/if}
	<p class="ml-auto flex gap-3 text-sm">
		{#if before}<a class="link-quiet" href="?day={before}">Day {before}</a>{/if}
		{#if after}<a class="link-quiet" href="?day={after}">Day {after}</a>{/if}
		<a class="link-quiet" href="{base}/{data.person.id}?differ#differs">Another exercise for {first}</a>
		<a class="link-quiet" href="{base}/fit?day={data.fitDay}">Everybody</a>
	</p>
</div>
{#if !data.as}
	<Empty says="There is no session on day {data.fitDay}."
		><a class="link-quiet" href="/c/{data.challenge.id}/plan?day={data.fitDay}">Put one on it in the plan</a
		></Empty
	>
{:else if !own}
	<p class="remark remark-safety">
		<b>Nothing of “{data.as.name}” is left for {first}</b>: no exercise of it is safe with the limits and what
		is at hand.
		<a class="link-quiet" href="{base}/{data.person.id}?differ#differs">Give another exercise</a>
	</p>
{:else}
	{#if !data.person.answered}<p class="remark remark-attention mb-3">
			{first} has not answered the questions yet: level and equipment are as you listed them.
		</p>{/if}
	<div class="panel mb-4 p-3">
		<Timeline session={own.session} timeline={own.timeline} budgetMinutes={data.as.minutes} />
	</div>
	<div class="max-w-2xl">
		<SessionList outline={own.outline} name={data.as.name} changes={own.changes} whose={first} />
	</div>
{/if}
