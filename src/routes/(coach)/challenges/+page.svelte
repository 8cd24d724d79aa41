<script lang="ts">
	import Empty from '$lib/ui/Empty.svelte';
	import { counted, dayText } from '$lib/format';
	import { addDays, daysBetween } from '$core/calendar';
	import { enhance } from '$app/forms';
	import { firstPlace } from '$lib/ui/keys';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const today = $derived(new Date(data.now).toLocaleDateString('en-CA', { timeZone: data.coach.zone }));

	function stand(startsOn: string, days: number): string {
		const day = daysBetween(startsOn, today) + 1;
		if (day < 1) return `starts in ${counted(1 - day, 'day')}`;
		if (day > days) return `ended ${dayText(addDays(startsOn, days - 1))}`;
		return `day ${day} of ${days}, ${counted(days - day, 'day')} left`;
	}
</script>

<svelte:head><title>Challenges · Cadrex</title></svelte:head>
<main class="mx-auto max-w-4xl px-5 py-8">
	<div class="mb-4 flex items-center justify-between">
		<h1>Challenges</h1>
		<span class="flex gap-2">
			<a class="btn btn-outline btn-sm" href="/challenges/import">From a file</a>
			<a class="btn btn-primary btn-sm" href="/challenges/new">New challenge</a>
		</span>
	</div>
	{#if data.challenges.length === 0}
		<Empty says="No challenge yet. Start one: its goal, its weeks and its training days.">
			<a class="link-quiet" href="/challenges/new">Frame the first challenge</a>
		</Empty>
	{:else}
		<table class="sheet panel">
			<thead
				><tr
					><th class="pl-4">Challenge</th><th>Status</th><th>Starts</th><th>Length</th><th>People</th><th
						>You are</th
					><th></th></tr
				></thead
			>
			<tbody>
				{#each data.challenges as challenge (challenge.id)}
					<tr>
						<td class="pl-4"
							><a
								class="link-quiet"
								id="name-{challenge.id}"
								href="/c/{challenge.id}/{firstPlace(challenge.role)}">{challenge.name}</a
							></td
						>
						<td>{stand(challenge.startsOn, challenge.days)}</td>
						<td class="quiet">{dayText(challenge.startsOn)}</td>
						<td class="quiet">{counted(challenge.days, 'day')}</td>
						<td class="quiet">{counted(challenge.people, 'person', 'people')}</td>
						<td class="quiet">{challenge.role === 'owner' ? '' : challenge.role}</td>
						<td
							><div class="flex justify-end gap-4">
								{#if challenge.role !== 'viewer'}<a
										class="link-quiet"
										href="/challenges/import?from={challenge.id}"
										aria-describedby="name-{challenge.id}">Duplicate</a
									>{/if}
								{#if challenge.role !== 'owner'}
									<form method="post" action="?/leave" use:enhance>
										<input type="hidden" name="challenge" value={challenge.id} />
										<button class="link-quiet" aria-describedby="name-{challenge.id}">Leave</button>
									</form>
								{/if}
							</div></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
</main>
