<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import FileFaults from '$lib/ui/FileFaults.svelte';
	import FileForm from '$lib/ui/FileForm.svelte';
	import { counted, dayText, WEEKDAYS } from '$lib/format';
	import { addDays, dateIn, isDate, weekdayOf } from '$core/calendar';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	type Look = NonNullable<PageProps['data']['look']>;
	const answer = $derived(
		form as {
			message?: string;
			text?: string;
			faults?: { place: string; message: string }[];
			look?: Look;
		} | null
	);
	const look = $derived(answer?.look ?? (answer?.faults ? null : data.look));
	const again = $derived(data.look !== null);
	// svelte-ignore state_referenced_locally
	let startsOn = $state(data.look?.startsOn ?? '');
	$effect(() => {
		if (answer?.look) startsOn = answer.look.startsOn;
	});
	let text = $state('');
	let writing = $state(false);
	const made = (list: Look['sessions'] | Look['exercises'], is: string) =>
		list.filter((one) => one.is === is);
	const WORDS = { new: 'new', there: 'here already and the same', renamed: 'under another name' } as const;
</script>

{#snippet named(what: string, list: Look['sessions'] | Look['exercises'])}
	{#each ['new', 'there', 'renamed'] as const as is (is)}
		{#if made(list, is).length > 0}
			<tr>
				<td class="quiet pl-4">{counted(made(list, is).length, what)} {WORDS[is]}</td>
				<td
					>{made(list, is)
						.map((one) => (one.is === 'renamed' ? `${one.was} becomes ${one.name}` : one.was))
						.join('; ')}</td
				>
			</tr>
		{/if}
	{/each}
{/snippet}

<svelte:head
	><title>{again ? 'Use a challenge again' : 'A challenge from a file'} · Cadrex</title></svelte:head
>
<main class="mx-auto max-w-4xl px-5 py-8">
	<p class="mb-1"><a class="link-quiet" href="/challenges">Challenges</a></p>
	<h1 class="mb-3">{again ? 'Use a challenge again' : 'A challenge from a file'}</h1>
	{#if !again}
		<FileForm
			action="?/look"
			label="A challenge as Cadrex saves it, JSON"
			accept=".json,application/json"
			rows={4}
			bind:text
		/>
	{/if}
	{#if answer?.message}<p class="remark remark-attention mt-4 font-semibold" role="alert">
			{answer.message}
		</p>{/if}
	{#if answer?.faults}<FileFaults faults={answer.faults} />{/if}
	{#if look}
		<form
			method="post"
			action="?/take{again ? `&from=${page.url.searchParams.get('from')}` : ''}"
			enctype="multipart/form-data"
			class="panel mt-4 p-4"
			aria-labelledby="found"
			use:enhance={() => {
				writing = true;
				return async ({ update }) => {
					await update({ reset: false });
					writing = false;
				};
			}}
		>
			<h2 id="found" class="mb-2">What it holds</h2>
			<input type="hidden" name="text" value={look.text} />
			<div class="flex flex-wrap gap-4">
				<label class="block"
					><span class="label-text">Name</span><input
						class="input input-sm mt-1 block w-80"
						name="name"
						maxlength="80"
						value={look.name}
						required
					/></label
				>
				<label class="block"
					><span class="label-text">Starts on</span><input
						type="date"
						class="input input-sm mt-1 block w-44"
						name="startsOn"
						bind:value={startsOn}
						required
					/></label
				>
			</div>
			{#if isDate(startsOn)}
				{#if startsOn < dateIn(data.coach.zone, data.now)}<p class="field-fault mt-2">
						That day has gone by: its days up to today open at once.
					</p>{/if}
				<p class="quiet mt-2 text-sm">
					{dayText(startsOn)} to {dayText(addDays(startsOn, look.days - 1))}.
					{#if weekdayOf(startsOn) !== look.weekday}<span class="attention font-semibold"
							>It was made to start on a {WEEKDAYS[look.weekday - 1]}: every day falls on another weekday now.</span
						>{/if}
				</p>
			{/if}
			<table class="sheet my-3 text-sm">
				<tbody>
					<tr><td class="quiet w-56 pl-4">Goal</td><td>{look.goal}</td></tr>
					<tr
						><td class="quiet pl-4">Days</td><td
							>{look.days}, {look.works} with work; {counted(look.rules, 'rule')} of progression</td
						></tr
					>
					{#if look.tests.length > 0}<tr><td class="quiet pl-4">Tests</td><td>{look.tests.join('; ')}</td></tr
						>{/if}
					{#if look.messages > 0}<tr
							><td class="quiet pl-4">Announcements</td><td>{look.messages}, each goes up on its day</td></tr
						>{/if}
					{@render named('session', look.sessions)}
					{@render named('exercise', look.exercises)}
				</tbody>
			</table>
			{#if look.unknown.length > 0}<p class="remark remark-attention mb-3 text-sm">
					Neither your library nor the file knows {look.unknown.join(', ')}: kept by name, without muscles and
					pictures.
				</p>{/if}
			<button class="btn btn-primary btn-sm" disabled={writing}
				>{writing ? 'Writing it' : 'Make this challenge'}</button
			>
			<span class="quiet ml-3 text-sm">People are enrolled afterwards; nobody comes along.</span>
		</form>
	{/if}
</main>
