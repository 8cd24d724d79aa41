<script lang="ts">
	import { GLOSSARY } from '$lib/features/glossary/terms';

	let wanted = $state('');
	const shown = $derived(
		GLOSSARY.filter(({ term, means }) =>
			`${term} ${means}`.toLowerCase().includes(wanted.trim().toLowerCase())
		)
	);
</script>

<svelte:head><title>Glossary · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-3xl flex-col gap-4 px-5 py-8">
	<h1>Glossary</h1>
	<label class="text-sm">
		<span class="label-text">Search</span>
		<input type="search" class="input input-sm w-60" bind:value={wanted} />
	</label>
	<dl class="panel divide-base-300 divide-y">
		{#each shown as { term, id, means } (id)}
			<div {id} class="target:bg-primary/10 grid gap-x-4 px-4 py-2 sm:grid-cols-[10rem_1fr]">
				<dt class="font-bold">{term}</dt>
				<dd>{means}</dd>
			</div>
		{/each}
	</dl>
	{#if shown.length === 0}<p class="quiet">No term has “{wanted}” in it.</p>{/if}
</main>
