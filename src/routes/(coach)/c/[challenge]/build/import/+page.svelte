<script lang="ts">
	import { workshop } from '$lib/features/build/workshop';
	import FileFaults from '$lib/ui/FileFaults.svelte';
	import FileForm from '$lib/ui/FileForm.svelte';
	import { counted } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const shop = workshop();
	const answer = $derived(
		form as {
			message?: string;
			text?: string;
			faults?: { place?: string; field?: string; message: string }[];
			unknown?: { name: string; nearest: string | null }[];
			preview?: { name: string; lines: string[]; length: string } | null;
		} | null
	);
	const base = $derived(`/c/${data.challenge.id}/build`);
	const names = $derived(
		shop()
			.library.names()
			.toSorted((a, b) => a.localeCompare(b))
	);
	let text = $state('');
	$effect(() => {
		if (answer?.text !== undefined) text = answer.text;
	});
	const EXAMPLE =
		'session: Short legs\nwarm-up: circuit 2 rounds 30/10: march on the spot + squat to reach\nsuperset 3 rounds, rest 30 inside, 90 after: 10 goblet squat @ 12 kg + 10 Romanian deadlift @ 10 kg\ncool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side hamstring stretch\n';
</script>

<svelte:head><title>Session from a file · {data.challenge.name}</title></svelte:head>
<p class="mb-1"><a class="link-quiet" href={base}>Build</a></p>
<h1 class="mb-3">A session from a file</h1>
<FileForm
	action="?/preview"
	label="A file, JSON or text"
	accept=".json,.txt,.md,application/json,text/plain"
	rows={9}
	placeholder={EXAMPLE}
	bind:text
/>
{#if answer?.message}<p class="remark remark-attention mt-4 font-semibold" role="alert">
		{answer.message}
	</p>{/if}
{#if answer?.faults && answer.faults.length > 0}<FileFaults
		faults={answer.faults.map(({ place, field, message }) => ({ place: place ?? field ?? '', message }))}
	/>{/if}
{#if answer?.preview}
	{@const preview = answer.preview}
	<form
		method="post"
		action="?/accept"
		enctype="multipart/form-data"
		class="panel mt-4 p-4"
		aria-labelledby="found"
	>
		<h2 id="found" class="mb-2">What it holds</h2>
		<input type="hidden" name="text" value={text} />
		<label class="block"
			><span class="label-text">Name</span><input
				class="input input-sm mt-1 block w-80"
				name="name"
				maxlength="80"
				value={preview.name}
				required
			/></label
		>
		<p class="quiet mt-2 text-sm">
			{counted(preview.lines.length, 'block')}, <span class="clock">{preview.length}</span> in all
		</p>
		<ul class="clock my-2 text-[13px]">
			{#each preview.lines as line, i (i)}<li class="border-base-300 border-b py-0.5">{line}</li>{/each}
		</ul>
		{#if answer.unknown && answer.unknown.length > 0}
			<h3 class="mt-3 mb-1">{counted(answer.unknown.length, 'exercise')} that your library does not know</h3>
			<ul class="flex flex-col gap-1.5">
				{#each answer.unknown as one (one.name)}
					<li class="flex flex-wrap items-center gap-2">
						<input type="hidden" name="unknown" value={one.name} /><b class="w-56 truncate">{one.name}</b>
						<select class="select select-sm w-64" name="choice" aria-label="What {one.name} is">
							<option value="">keep it under this name</option>
							{#if one.nearest}<option value={one.nearest} selected>use {one.nearest}</option>{/if}
							{#each names as name (name)}{#if name !== one.nearest}<option value={name}>{name}</option
									>{/if}{/each}
						</select>
					</li>
				{/each}
			</ul>
		{/if}
		<button class="btn btn-primary btn-sm mt-3">Import session</button>
	</form>
{/if}
