<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { addDays, isZone } from '$core/calendar';
	import CopyText from '$lib/ui/CopyText.svelte';
	import WhoFields from '$lib/features/people/WhoFields.svelte';
	import { counted, longDayText, WEEKDAYS } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const { page } = $derived(data);
	const challenge = $derived(page.challenge);
	const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
	const faultOf = (field: string) =>
		(form && 'faults' in form ? (form.faults ?? []) : []).find((one) => one.field === field)?.message;
	let zone = $state('');
	onMount(() => {
		const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
		if (!zone && isZone(here)) zone = here;
	});
	const full = $derived(page.places === 0);
</script>

<svelte:head><title>{challenge.name} · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-xl flex-col gap-5 px-4 py-10 text-[17px]">
	<div>
		<p class="quiet">with {page.coach}</p>
		<h1 class="text-3xl">{challenge.name}</h1>
		<p class="mt-1 text-xl">{challenge.goal}</p>
	</div>
	<dl class="panel grid grid-cols-[max-content_minmax(0,1fr)] gap-x-5 gap-y-1.5 p-4">
		<dt class="quiet">Starts</dt>
		<dd>
			{longDayText(challenge.startsOn)}, {counted(challenge.days, 'day')} until {longDayText(
				addDays(challenge.startsOn, challenge.days - 1)
			)}
		</dd>
		<dt class="quiet">Training</dt>
		<dd>
			{challenge.trainingDays.map((day) => WEEKDAYS[day - 1]).join(', ')}, about {challenge.budgetMinutes} min,
			in your own morning or whenever you train
		</dd>
		<dt class="quiet">You need</dt>
		<dd>
			{page.needs.length > 0 ? page.needs.join(', ') : 'nothing but room'}; what you don’t have is replaced
		</dd>
		{#if page.places !== null}<dt class="quiet">Places</dt>
			<dd>{full ? 'none left; you can wait for one' : `${page.places} left`}</dd>{/if}
	</dl>
	{#if form && 'joined' in form && form.joined}
		<section class="remark flex flex-col gap-3" role="status">
			<h2 class="text-2xl">You’re in</h2>
			<p>
				This is your personal link. It gets you back in on any phone or computer, so keep it to yourself{form.mailed
					? '. We’ve emailed it to you, too'
					: ' and save it somewhere'}.
			</p>
			<CopyText text={form.joined} label="Copy the link" />
			<a class="btn btn-primary min-h-14 text-lg" href="/me/intake">Go on to the questions</a>
		</section>
	{:else if form && 'waiting' in form}
		<div class="remark" role="status">
			<p class="text-xl font-semibold">You’re on the list</p>
			<p>{page.coach} has your name and sends you your own link as soon as there is a place.</p>
		</div>
	{:else}
		<form
			method="post"
			novalidate
			use:enhance={() =>
				async ({ update }) =>
					update({ reset: false })}
			class="flex flex-col gap-4"
		>
			<WhoFields zones={data.zones} bind:zone {typed} {faultOf} own />
			{#if form && 'message' in form && form.message && !form.faults?.length}<p
					class="field-fault"
					role="alert"
				>
					{form.message}
				</p>{/if}
			<button class="btn btn-primary min-h-14 text-lg">{full ? 'Put me on the waiting list' : 'Join'}</button>
			<p class="quiet text-[15px]">
				After that come a few questions about you, what you have and what hurts. Ask a doctor before you train
				if you are not sure that you should.
			</p>
		</form>
	{/if}
</main>
