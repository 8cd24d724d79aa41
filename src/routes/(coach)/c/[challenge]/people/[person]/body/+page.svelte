<script lang="ts">
	import MeasureTrend from '$lib/features/body/MeasureTrend.svelte';
	import PhotoCompare from '$lib/features/body/PhotoCompare.svelte';
	import { kindsIn } from '$lib/features/body/kinds-in';
	import { calledBy } from '$core/people';
	import Empty from '$lib/ui/Empty.svelte';
	import { dayText } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}/people/${data.person.id}`);
	const first = $derived(calledBy(data.person.name));
	const kinds = $derived(kindsIn(data.measures));
	const href = (id: string) => `${base}/body/${id}`;
</script>

<svelte:head><title>{data.person.name}, measures and weeks · {data.challenge.name}</title></svelte:head>
<p class="text-sm"><a class="link-quiet" href={base}>All of {first}</a></p>
<h1 class="mb-3">{data.person.name}, measures and weeks</h1>
<div class="grid items-start gap-6 lg:grid-cols-2">
	<div class="flex flex-col gap-5">
		{#if kinds.length === 0}<Empty
				says="{first} has measured nothing yet. Participants add weight and girths themselves, under Measures."
			/>{/if}
		{#each kinds as one (one.kind)}
			<MeasureTrend kind={one.kind} values={one.values} units={data.coach.units} zone={data.person.zone} />
		{/each}
		<p class="quiet text-sm">
			Losing more than 1 % of the weight a week is too fast. It comes up under Reach out, and belongs to a
			doctor or dietitian where it goes on.
		</p>
	</div>
	<div class="flex flex-col gap-6">
		<section aria-labelledby="weeks">
			<h2 id="weeks" class="mb-1">Weeks</h2>
			{#if data.weeks.length === 0}<p class="quiet text-sm">
					{first} has not looked back on a week yet.
				</p>{/if}
			<ul class="border-base-content/70 border-t text-sm">
				{#each data.weeks as one (one.week)}
					<li class="border-base-300 border-b py-2">
						<b>Week {one.week}</b>{one.confidence === null
							? ''
							: `, sure of the week ahead: ${one.confidence} of 10`}
						{#if one.favourite}<p>Favourite: {one.favourite}</p>{/if}
						{#if one.hardest}<p>Hardest: {one.hardest}</p>{/if}
						{#if one.obstacle}<p>In the way: “{one.obstacle}”</p>{/if}
					</li>
				{/each}
			</ul>
		</section>
		<section aria-labelledby="photos">
			<h2 id="photos" class="mb-1">Photographs</h2>
			{#if data.pictures.length === 0}<p class="quiet text-sm">
					{first} shares none. That is theirs to decide.
				</p>
			{:else}
				<PhotoCompare pictures={data.pictures} {href} />
				<ul class="mt-3 grid grid-cols-4 gap-2">
					{#each data.pictures as one (one.id)}
						<li>
							<img
								class="bg-base-200 aspect-[3/4] w-full rounded object-contain"
								src={href(one.id)}
								alt="{one.view}, {dayText(one.takenOn)}"
								loading="lazy"
							/>
							<p class="text-[13px]">{one.view}, {dayText(one.takenOn)}</p>
						</li>
					{/each}
				</ul>
			{/if}
		</section>
	</div>
</div>
