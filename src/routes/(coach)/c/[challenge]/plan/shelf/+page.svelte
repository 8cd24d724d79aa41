<script lang="ts">
	import { enhance } from '$app/forms';
	import PlanParts from '$lib/features/plan/PlanParts.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import { counted, minutesText } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
</script>

<svelte:head><title>Shelf · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Plan</h1>
<PlanParts {base} part="shelf" />
{#if form?.message}<p class="remark remark-attention mb-3" role="alert">{form.message}</p>{/if}
<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
	<section aria-labelledby="shelf">
		<h2 id="shelf">On the shelf</h2>
		<p class="quiet mb-2 text-sm">
			Extra sessions that participants can do whenever they like, once their first day has opened.
		</p>
		{#if data.shelf.length === 0}<Empty
				says="No extra sessions yet. Add one, and participants can do it whenever they like."
			/>{:else}
			<table class="sheet panel text-sm">
				<thead
					><tr
						><th class="pl-3">Session</th><th>Length</th><th>Taken</th><th>Makes up for missed work</th><th
						></th></tr
					></thead
				>
				<tbody>
					{#each data.shelf as item (item.sessionId)}
						<tr>
							<td class="pl-3"
								><a class="font-semibold hover:underline" href="{base}/build/{item.sessionId}">{item.name}</a
								></td
							>
							<td>{minutesText(item.seconds)}</td>
							<td
								>{item.times === 0
									? 'not yet'
									: `${counted(item.times, 'time')}, by ${counted(item.people, 'person', 'people')}`}</td
							>
							<td>
								<form method="post" action="?/put" use:enhance class="flex items-center gap-2">
									<input type="hidden" name="sessionId" value={item.sessionId} />
									{#if !item.counts}<input type="hidden" name="counts" value="on" />{/if}
									<b>{item.counts ? 'yes' : 'no'}</b>
									<button class="link-quiet" aria-label="Change it for {item.name}">change</button>
								</form>
							</td>
							<td class="pr-3 text-right">
								<form method="post" action="?/off" use:enhance>
									<input type="hidden" name="sessionId" value={item.sessionId} />
									<button class="link-quiet" aria-label="Remove {item.name} from the shelf">Remove</button>
								</form>
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
	</section>
	<section class="panel p-4" aria-labelledby="add">
		<h2 id="add">Add to the shelf</h2>
		{#if data.others.length === 0}<p class="quiet text-sm">
				{data.shelf.length > 0 ? 'All your sessions are on it.' : 'There is no session yet.'}
				<a class="link-quiet" href="{base}/build/new">Build one</a>
			</p>{:else}
			<form method="post" action="?/put" use:enhance class="mt-1 flex flex-col gap-2 text-sm">
				<label
					>Session
					<select class="select select-sm flex w-full" name="sessionId">
						{#each data.others as session (session.id)}<option value={session.id}
								>{session.name}, {minutesText(session.seconds)}</option
							>{/each}
					</select></label
				>
				<label class="flex items-start gap-2"
					><input type="checkbox" class="checkbox checkbox-sm mt-0.5" name="counts" /><span
						>It makes up for missed work <span class="quiet block"
							>Done in full it is worth one day of the plan, and never makes more than what was due. Unticked,
							it doesn’t change any figures.</span
						></span
					></label
				>
				<button class="btn btn-primary btn-sm self-start">Add to the shelf</button>
			</form>
		{/if}
	</section>
</div>
