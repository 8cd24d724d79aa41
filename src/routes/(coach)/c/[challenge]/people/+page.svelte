<script lang="ts">
	import { HOLD_TEXT } from '$lib/ui/hold-text';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import Empty from '$lib/ui/Empty.svelte';
	import { counted, dayAndTimeIn, placeOf, timeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}/people`);
	let find = $state('');
	const wanted = $derived(find.trim().toLowerCase());
	const held = $derived(page.url.searchParams.get('show') === 'held');
	const shows = (p: (typeof data.people)[number]) => !held || p.hold !== null;
	const people = $derived(
		data.people.filter(
			(p) =>
				shows(p) &&
				(!wanted ||
					[p.name, p.email, p.zone, p.equipment].some((text) => text.toLowerCase().includes(wanted)))
		)
	);
	const linkText = ({ hasLink, invited }: (typeof data.people)[number]) => {
		if (!invited) return hasLink ? 'created' : 'none';
		if (invited.state === 'failed') return `email given up: ${invited.error ?? ''}`;
		const when = dayAndTimeIn(data.coach.zone, invited.at);
		return invited.state === 'sent' ? `emailed ${when}` : 'email on its way';
	};
	const answer = $derived(
		form as { message?: string; words?: string; invited?: { sent: number; leftOut: number } } | null
	);
	const places = $derived(new Set(data.people.map((p) => p.zone)).size);
</script>

<svelte:head><title>People · {data.challenge.name}</title></svelte:head>
<div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
	<h1>People</h1>
	{#if data.people.length > 0}<p class="quiet">
			{counted(data.people.length, 'person', 'people')} in {counted(places, 'time zone')}{#if held}
				· held only, <a class="link-quiet" href={base}>show everybody</a>{/if}
		</p>{/if}
	<div class="ml-auto flex gap-2">
		<input
			class="input input-sm w-44"
			placeholder="Find  /"
			aria-label="Find a person"
			data-find
			bind:value={find}
		/>
		<a class="btn btn-outline btn-sm" href="{base}/group">The group</a>
		<a class="btn btn-outline btn-sm" href="{base}/teams">Teams</a>
		<a class="btn btn-outline btn-sm" href="{base}/fit">Who gets what</a>
		<a class="btn btn-outline btn-sm" href="{base}/join">Add and invite</a>
		<a class="btn btn-primary btn-sm" href="{base}/import">Enrol from a list</a>
	</div>
</div>
{#if data.people.length === 0}
	<Empty says="Nobody is enrolled yet. A list from any spreadsheet will do: name, email address, time zone.">
		<a class="link-quiet" href="{base}/import">Enrol people from a list</a>
	</Empty>
{:else}
	{#if answer?.invited}<p class="remark mb-3" role="status">
			{counted(answer.invited.sent, 'link is', 'links are')} on the way by email.
			{#if answer.invited.leftOut > 0}{counted(answer.invited.leftOut, 'person was', 'people were')} sent theirs
				within the last hour and left out.{/if}
		</p>{/if}
	{#if data.unopened > 0}
		<details class="panel mb-3 p-3" open={!!answer?.message}>
			<summary class="cursor-pointer text-sm font-semibold"
				>{counted(data.unopened, 'person hasn’t', 'people haven’t')} opened their link yet: email it to them</summary
			>
			<form method="post" action="?/invite" class="mt-2 flex max-w-xl flex-col gap-2" use:enhance>
				<label class="flex flex-col gap-1 text-sm"
					><span class="font-semibold">In your own words, if you like</span>
					<textarea name="words" rows="3" maxlength="1000" class="textarea w-full"
						>{answer?.words ?? ''}</textarea
					></label
				>
				<p class="quiet text-sm">
					Each gets a link of their own with the name and goal of the challenge, outside your quiet hours. A
					link that they had before ends as the email goes out.
				</p>
				{#if answer?.message}<p class="field-fault" role="alert">{answer.message}</p>{/if}
				<button class="btn btn-primary btn-sm self-start">Email their links</button>
			</form>
		</details>
	{/if}
	<div class="overflow-x-auto">
		<table class="sheet panel">
			<thead
				><tr
					><th class="pl-4">Name</th><th>Local time</th><th>Level</th><th>Owns</th><th
						>Last seen, {placeOf(data.coach.zone)}</th
					><th>Start</th><th>Link</th></tr
				></thead
			>
			<tbody>
				{#each people as person (person.id)}
					<tr>
						<td class="pl-4"
							><a class="link-quiet" href="{base}/{person.id}">{person.name}</a>{#if person.fromDay > 1}<span
									class="quiet pl-2 text-sm">from day {person.fromDay}</span
								>{/if}</td
						>
						<td class="text-sm whitespace-nowrap"
							><span class="clock">{timeIn(person.zone, data.now)}</span>
							<span class="quiet">{placeOf(person.zone)}</span></td
						>
						<td class="text-sm whitespace-nowrap">{person.level}</td>
						<td class="quiet text-sm">{person.equipment || 'nothing listed'}</td>
						<td class="quiet text-sm whitespace-nowrap"
							>{person.lastSeen === null ? 'never' : dayAndTimeIn(data.coach.zone, person.lastSeen)}</td
						>
						<td class={['text-sm whitespace-nowrap', person.hold ? 'attention font-semibold' : 'quiet']}
							>{person.left
								? 'left'
								: person.hold
									? HOLD_TEXT[person.hold]
									: person.answered
										? 'answered'
										: 'questions open'}</td
						>
						<td class={['text-sm', person.invited?.state === 'failed' && 'attention']}>{linkText(person)}</td>
					</tr>
				{:else}
					<tr
						><td colspan="7" class="quiet pl-4">{held ? 'Nobody is held.' : `Nobody fits “${find}”.`}</td></tr
					>
				{/each}
			</tbody>
		</table>
	</div>
{/if}
