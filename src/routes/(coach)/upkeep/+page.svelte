<script lang="ts">
	import { enhance } from '$app/forms';
	import { Submission } from '$lib/ui/submission.svelte';
	import Working from '$lib/ui/Working.svelte';
	import { counted, dayAndTimeIn, sizeText } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const at = (ms: number) => dayAndTimeIn(data.coach.zone, ms);
	const backingUp = new Submission();
	const age = $derived(data.state.backups[0] ? data.now - data.state.backups[0].at : null);
	const STALE = 36 * 3_600_000;
	const tries = (count: number) => counted(count, 'try', 'tries');
</script>

<svelte:head><title>Upkeep · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-4xl flex-col gap-5 px-5 py-8">
	<h1>Upkeep</h1>
	<p class="quiet">
		The state of this installation, its backups and its background jobs. A job that fails is tried again, each
		time after a longer wait; when it is given up, it is listed here for 30 days.
	</p>
	{#if form && 'message' in form && form.message}<p
			role="alert"
			class="remark remark-attention font-semibold"
		>
			{form.message}
		</p>{/if}
	<section class="panel flex flex-col gap-3 p-4">
		<h2>This installation</h2>
		<dl class="grid grid-cols-[9rem_1fr] gap-y-1.5">
			<dt class="quiet">Version</dt>
			<dd>Cadrex {data.state.version}, schema {data.state.schema}</dd>
			<dt class="quiet">Database</dt>
			<dd>
				{data.state.database === 'pglite' ? 'Embedded' : 'PostgreSQL server'}, {sizeText(
					data.state.databaseBytes
				)}
			</dd>
			{#if data.state.disk}
				<dt class="quiet">Disk</dt>
				<dd class:attention={data.state.disk.free < 4 * data.state.disk.reserve}>
					{sizeText(data.state.disk.free)} free; below {sizeText(data.state.disk.reserve)} nothing can be saved
				</dd>
			{/if}
			<dt class="quiet">Files</dt>
			<dd>
				{counted(data.state.files.whole, 'document, photograph or clip', 'documents, photographs and clips')}
			</dd>
		</dl>
		{#if data.state.files.missing.length > 0}
			<div class="remark remark-attention" role="alert">
				<p class="font-semibold">Files that are gone from the data directory:</p>
				<ul class="clock text-sm">
					{#each data.state.files.missing as path (path)}<li>{path}</li>{/each}
				</ul>
				<p>Take them from a backup: it holds them under the same path.</p>
			</div>
		{/if}
	</section>
	<section class="panel flex flex-col gap-3 p-4" aria-labelledby="backups">
		<div class="flex flex-wrap items-center justify-between gap-3">
			<h2 id="backups">Backups</h2>
			<form method="post" action="?/backup" use:enhance={backingUp.watch()}>
				{#if backingUp.cancel}<Working what="Backing up …" />
				{:else}<button class="btn btn-sm btn-primary">Back up now</button>{/if}
			</form>
		</div>
		<p class="quiet">
			{#if data.state.kept > 0}Made every night; the last {data.state.kept} are kept.
			{:else}No automatic backups here.{/if}
			To restore one: <code class="clock">npm run admin -- restore</code> (see docs/operations.md).
		</p>
		{#if data.state.kept > 0 && (age === null || age > STALE)}
			<p class="remark remark-attention">
				{age === null ? 'There is no backup yet.' : 'The last backup is more than a day and a half old.'}
			</p>
		{/if}
		{#if data.state.backups.length > 0}
			<table class="sheet">
				<thead><tr><th scope="col">Made</th><th scope="col">Size</th><th scope="col">File</th></tr></thead>
				<tbody>
					{#each data.state.backups as backup (backup.name)}
						<tr
							><td>{at(backup.at)}</td><td class="figures">{sizeText(backup.bytes)}</td><td
								class="clock text-sm">{backup.name}</td
							></tr
						>
					{/each}
				</tbody>
			</table>
		{/if}
	</section>
	<section class="panel flex flex-col gap-3 p-4">
		<h2>Failed jobs</h2>
		{#if data.dead.length === 0}
			<p>None. Every job has finished.</p>
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
						<td>{job.doneAt === null ? 'Not in the last two days' : at(job.doneAt)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</section>
</main>
