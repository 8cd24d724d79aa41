<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted, dayAndTimeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const at = (ms: number) => dayAndTimeIn(data.coach.zone, ms);
	const tries = (count: number) => counted(count, 'try', 'tries');
</script>

<svelte:head><title>Upkeep · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-4xl flex-col gap-5 px-5 py-8">
	<h1>Upkeep</h1>
	<p class="quiet">
		What this installation does by itself, apart from anybody’s page. A job that fails is tried again, each
		time after a longer wait; what was given up stands here for 30 days.
	</p>
	<section class="panel flex flex-col gap-3 p-4">
		<h2>Given up</h2>
		{#if form && 'message' in form}<p role="alert" class="text-error">{form.message}</p>{/if}
		{#if data.dead.length === 0}
			<p>Nothing. Every job came to its end.</p>
		{:else}
			<ul class="flex flex-col gap-3">
				{#each data.dead as job (job.id)}
					<li class="flex flex-wrap items-start justify-between gap-3">
						<div>
							<p class="font-semibold">{job.what}</p>
							<p class="quiet text-sm">{at(job.at)}, after {tries(job.tries)}: {job.reason}</p>
						</div>
						<form method="post" action="?/again" use:enhance>
							<input type="hidden" name="job" value={job.id} />
							<button class="btn btn-sm">Try again</button>
						</form>
					</li>
				{/each}
			</ul>
		{/if}
	</section>
	<section class="panel flex flex-col gap-3 p-4">
		<h2>Jobs</h2>
		<table class="sheet">
			<thead>
				<tr><th scope="col">Job</th><th scope="col">Waiting</th><th scope="col">Last done</th></tr>
			</thead>
			<tbody>
				{#each data.jobs as job (job.name)}
					<tr>
						<td>{job.what}</td>
						<td class="figures">{job.waiting}</td>
						<td>{job.doneAt === null ? 'Not yet, or longer ago than two days' : at(job.doneAt)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</section>
</main>
