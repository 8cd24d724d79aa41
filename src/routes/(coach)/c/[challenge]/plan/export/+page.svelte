<script lang="ts">
	import CalendarAddress from '$lib/features/challenge/CalendarLink.svelte';
	import PlanParts from '$lib/features/plan/PlanParts.svelte';
	import SlowFile from '$lib/ui/SlowFile.svelte';
	import { counted } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const answer = $derived(form as { address?: string; ended?: boolean } | null);
	let who = $state('');
	const person = $derived(data.people.find(({ name }) => name === who)?.id ?? '');
	const unknown = $derived(who.trim() !== '' && person === '');
	let withAhead = $state(false);
	const packet = $derived.by(() => {
		const asked = [person && `person=${person}`, withAhead && 'ahead=yes'].filter(Boolean).join('&');
		return `${base}/plan/packet.pdf?${asked}`;
	});
</script>

<svelte:head><title>Calendar, print and export · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Plan</h1>
<PlanParts {base} part="export" />
<div class="grid items-start gap-4 lg:grid-cols-2">
	<section class="panel p-4" aria-labelledby="paper">
		<h2 id="paper">Print</h2>
		<p class="quiet mt-1 mb-2 text-sm">The whole plan on two pages, to put on the wall.</p>
		<p class="flex flex-wrap gap-2">
			<a class="btn btn-outline btn-sm" href="{base}/plan/sheet">Print preview</a>
			<SlowFile href="{base}/plan/sheet.pdf" label="Plan as PDF" meanwhile="Setting two pages" />
		</p>
		<h3 class="mt-4 font-bold">Printed sessions</h3>
		<p class="quiet mb-2 text-sm">
			Every session that is released, a page or two each, with its pictures, room for results, and the
			check-in to fill in.
		</p>
		<div class="flex flex-wrap items-end gap-3 text-sm">
			<label
				>For
				<input
					class="input input-sm flex w-56"
					list="people"
					placeholder="anyone, on the group’s dates"
					autocomplete="off"
					bind:value={who}
				/>
				<datalist id="people"
					>{#each data.people as one (one.id)}<option value={one.name}></option>{/each}</datalist
				></label
			>
			<label class="flex items-center gap-1.5 pb-1.5"
				><input type="checkbox" class="checkbox checkbox-xs" bind:checked={withAhead} /> include upcoming days</label
			>
			<SlowFile href={packet} label="Sessions as PDF" meanwhile="Setting the sessions" />
		</div>
		{#if unknown}<p class="field-fault mt-2">
				Nobody called “{who.trim()}” is enrolled; the sessions are anyone’s.
			</p>{/if}
		{#if withAhead}<p class="attention mt-2 text-sm">
				Whoever gets this paper sees what is to come, before its morning.
			</p>{/if}
	</section>

	<section class="panel p-4" aria-labelledby="calendar">
		<h2 id="calendar">Your calendar</h2>
		<p class="quiet mt-1 mb-2 text-sm">
			Each day with work as a whole-day entry, with its session and minutes; a day of rest is none.
		</p>
		<CalendarAddress there={data.address} made={answer?.address ?? null} ended={answer?.ended ?? false} />
		<p class="mt-2">
			<a class="btn btn-outline btn-sm" href="{base}/plan/calendar.ics" download>Download calendar file</a>
		</p>
		<p class="quiet mt-3 text-sm">
			Participants find theirs on their own page, in their own time zone and without what is done on a day.
			{data.people.length === 0
				? 'Nobody is enrolled yet.'
				: `${data.subscribed} of ${counted(data.people.length, 'person', 'people')} ${data.subscribed === 1 ? 'has' : 'have'} a calendar link.`}
		</p>
	</section>

	<section class="panel p-4" aria-labelledby="file">
		<h2 id="file">Export and reuse</h2>
		<p class="quiet mt-1 mb-2 text-sm">
			Frame, days, sessions, own exercises, progression, tests and announcements in one file; no people and
			nothing that they sent in. Another Cadrex makes the same plan of it.
		</p>
		<p class="flex flex-wrap gap-2">
			<a class="btn btn-outline btn-sm" href="{base}/plan/bundle.json" download>Export challenge</a>
			<a class="btn btn-outline btn-sm" href="/challenges/import?from={data.challenge.id}"
				>Duplicate challenge</a
			>
		</p>
	</section>
</div>
