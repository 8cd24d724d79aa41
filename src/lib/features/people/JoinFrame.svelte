<script lang="ts">
	import type { Snippet } from 'svelte';
	import { addDays } from '$core/calendar';
	import type { JoinPage } from '$lib/server/people/join';
	import { counted, longDayText, WEEKDAYS } from '$lib/format';

	/** What somebody reads of a challenge before they join, and below it what they do. */
	let { page, children }: { page: JoinPage; children: Snippet } = $props();
	const challenge = $derived(page.challenge);
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
			<dd>{page.places === 0 ? 'none left; you can wait for one' : `${page.places} left`}</dd>{/if}
	</dl>
	{@render children()}
</main>
