<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import DayRail from '$lib/features/challenge/DayRail.svelte';
	import KeyHelp from '$lib/ui/KeyHelp.svelte';
	import { coachKeys } from '$lib/ui/keys';
	import Places from '$lib/features/challenge/Places.svelte';
	import { dayText } from '$lib/format';
	import type { LayoutProps } from './$types';

	let { data, children }: LayoutProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	let help = $state(false);

	const dayHref = (day: number) => `${page.url.pathname}${day === data.today ? '' : `?day=${day}`}`;
	const onkeydown = coachKeys(() => data.challenge.role, {
		place: (path) => goto(`${base}/${path}${page.url.search}`),
		move: (by) =>
			goto(dayHref(Math.min(data.rail.length, Math.max(1, (data.day ?? 1) + by))), {
				noScroll: true,
				keepFocus: true
			}),
		today: () => goto(page.url.pathname, { noScroll: true }),
		help: () => (help = !help)
	});
</script>

<svelte:window {onkeydown} />
{#if data.back}
	<p class="bg-base-content text-base-100 px-4 py-1 text-sm">
		As it stood on day {data.day}, {dayText(data.rail[(data.day ?? 1) - 1]?.date ?? data.challenge.startsOn)}.
		<a class="font-semibold underline" href={page.url.pathname}>Back to today</a>
	</p>
{/if}
<DayRail days={data.rail} today={data.today} asOf={data.day} halfway={data.halfway} href={dayHref} />
<div class="flex flex-col md:min-h-[calc(100dvh-7rem)] md:flex-row">
	<Places
		{base}
		role={data.challenge.role}
		search={data.back ? `?day=${data.day}` : ''}
		onhelp={() => (help = true)}
	/>
	<main class="page min-w-0 flex-1">{@render children()}</main>
</div>
<KeyHelp bind:open={help} />
