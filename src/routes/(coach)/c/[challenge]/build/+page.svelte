<script lang="ts">
	import Empty from '$lib/ui/Empty.svelte';
	import { counted, dayAndTimeIn } from '$lib/format';
	import { clockText } from '$core/session';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}/build`);
	let find = $state('');
	let tag = $state('');
	const tags = $derived(
		[...new Set(data.sessions.flatMap((session) => session.tags))].sort((a, b) => a.localeCompare(b))
	);
	const shown = $derived(
		data.sessions.filter(
			(session) =>
				(tag === '' || session.tags.includes(tag)) &&
				session.name.toLowerCase().includes(find.trim().toLowerCase())
		)
	);
</script>

<svelte:head><title>Build · {data.challenge.name}</title></svelte:head>
<div class="mb-3 flex flex-wrap items-center gap-3">
	<h1>Build</h1>
	{#if data.sessions.length > 0}
		<input
			class="input input-sm w-48"
			placeholder="Find a session"
			aria-label="Find a session"
			data-find
			bind:value={find}
		/>
		{#if tags.length > 0}<select class="select select-sm w-36" aria-label="Tag" bind:value={tag}
				><option value="">every tag</option>{#each tags as one (one)}<option>{one}</option>{/each}</select
			>{/if}
	{/if}
	<span class="ml-auto flex gap-2">
		<a class="btn btn-outline btn-sm" href="{base}/library">Exercise library</a>
		<a class="btn btn-outline btn-sm" href="{base}/import">From a file</a>
		<a class="btn btn-primary btn-sm" href="{base}/new">New session</a>
	</span>
</div>
{#if data.sessions.length === 0}
	<Empty says="No session yet. Build one: warm-up, work, cool-down, each block a typed line.">
		<a class="link-quiet" href="{base}/new">Build the first session</a>
	</Empty>
{:else if shown.length === 0}
	<Empty says="No session is called that."
		><button
			type="button"
			class="link-quiet"
			onclick={() => {
				find = '';
				tag = '';
			}}>Show all</button
		></Empty
	>
{:else}
	<table class="sheet panel">
		<thead
			><tr
				><th class="pl-4">Session</th><th>Length</th><th>Against {data.challenge.budgetMinutes} min</th><th
					>Blocks</th
				><th>Tags</th><th>Version</th><th>On days of this challenge</th></tr
			></thead
		>
		<tbody>
			{#each shown as session (session.id)}
				{@const over = session.seconds - data.challenge.budgetMinutes * 60}
				<tr>
					<td class="pl-4"><a class="link-quiet" href="{base}/{session.id}">{session.name}</a></td>
					<td class="clock">{clockText(session.seconds)}</td>
					<td class={['text-sm', over > 0 ? 'attention font-semibold' : 'quiet']}
						>{over > 0 ? `${clockText(over)} over` : `${clockText(-over)} to spare`}</td
					>
					<td>{session.blocks}</td>
					<td class="text-sm">{session.tags.join(', ')}</td>
					<td class="quiet text-sm">{session.version}, {dayAndTimeIn(data.coach.zone, session.savedAt)}</td>
					<td class="text-sm"
						>{session.days.length === 0
							? 'none'
							: `${counted(session.days.length, 'day')}: ${session.days.join(', ')}`}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
{/if}
