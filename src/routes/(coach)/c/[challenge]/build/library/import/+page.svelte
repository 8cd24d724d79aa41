<script lang="ts">
	import { enhance } from '$app/forms';
	import { Submission } from '$lib/ui/submission.svelte';
	import Working from '$lib/ui/Working.svelte';
	import { counted } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const answer = $derived(
		form as {
			message?: string;
			list?: string;
			names?: string[];
			known?: number;
			faults?: { line: number; message: string }[];
			faultCount?: number;
			taken?: number;
		} | null
	);
	const base = $derived(`/c/${data.challenge.id}/build/library`);
	let list = $state('');
	let goodOnly = $state(false);
	$effect(() => {
		if (answer?.list !== undefined) list = answer.list;
	});
	const reading = new Submission();
	const keep =
		() =>
		async ({ update }: { update: (options: { reset: boolean }) => Promise<void> }) =>
			update({ reset: false });
	const EXAMPLE =
		'name,counted in,per side,tempo,pattern,muscles,assisting,equipment,position,impact,balance,cues,cautions\nBeam lift,reps,no,2-0-1-0,hinge,glutes; hamstrings,lower back,loaded backpack,standing,none,0,Push the hips back | Beam close to the legs,\n';
</script>

<svelte:head><title>Exercises from a file · {data.challenge.name}</title></svelte:head>
<p class="mb-1"><a class="link-quiet" href={base}>Exercise library</a></p>
<h1 class="mb-3">Exercises from a file</h1>
{#if answer?.taken !== undefined}
	<p class="remark mb-3" role="status">
		{counted(answer.taken, 'exercise')} imported. <a class="link-quiet" href={base}>To the library</a>
	</p>
{/if}
<form
	method="post"
	action="?/preview"
	enctype="multipart/form-data"
	use:enhance={reading.watch(({ update }) => update({ reset: false }))}
	class="panel p-4"
>
	<label class="block"
		><span class="label-text">CSV file</span><input
			type="file"
			name="file"
			accept=".csv,text/csv"
			class="file-input file-input-sm mt-1 block"
		/></label
	>
	<label class="mt-3 block"
		><span class="label-text">or the list itself</span><textarea
			name="list"
			rows="6"
			wrap="off"
			spellcheck="false"
			class="textarea clock mt-1 w-full text-[13px]"
			placeholder={EXAMPLE}
			bind:value={list}></textarea></label
	>
	<p class="quiet mt-2 text-sm">
		The columns are those of the <a class="link-quiet" href="{base}/file.csv" download>library as CSV</a>;
		name, pattern, muscles and cues are needed. Names that are there already are passed over.
	</p>
	<div class="mt-3">
		{#if reading.cancel}<Working what="Reading the file …" cancel={reading.cancel} />
		{:else}<button class="btn btn-primary btn-sm">Preview</button>{/if}
	</div>
</form>
{#if answer?.message}<p class="remark remark-attention mt-4 font-semibold" role="alert">
		{answer.message}
	</p>{/if}
{#if answer?.names}
	<section class="panel mt-4 p-4" aria-labelledby="found">
		<h2 id="found" class="mb-1">{counted(answer.names.length, 'exercise')} to import</h2>
		{#if answer.known}<p class="quiet text-sm">
				{counted(answer.known, 'name')} already in the library: skipped.
			</p>{/if}
		{#if answer.faultCount}
			<h3 class="mt-2">{counted(answer.faultCount, 'problem')}</h3>
			<ul class="text-sm">
				{#each answer.faults ?? [] as fault, i (i)}<li>
						<span class="clock quiet">line {fault.line}</span>
						{fault.message}
					</li>{/each}
			</ul>
		{/if}
		{#if answer.names.length > 0}
			<p class="mt-2 text-sm">{answer.names.slice(0, 30).join(', ')}{answer.names.length > 30 ? ' …' : ''}</p>
			<form
				method="post"
				action="?/accept"
				enctype="multipart/form-data"
				use:enhance={keep}
				class="mt-3 flex items-center gap-3"
			>
				<input type="hidden" name="list" value={list} />
				{#if answer.faultCount}<label class="flex items-center gap-1.5 text-sm"
						><input
							type="checkbox"
							class="checkbox checkbox-sm"
							name="goodOnly"
							value="yes"
							bind:checked={goodOnly}
						/> skip the lines with problems</label
					>{/if}
				<button class="btn btn-primary btn-sm" disabled={(answer.faultCount ?? 0) > 0 && !goodOnly}
					>Import</button
				>
			</form>
		{/if}
	</section>
{/if}
