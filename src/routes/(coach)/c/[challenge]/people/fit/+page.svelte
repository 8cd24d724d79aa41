<script lang="ts">
	import Empty from '$lib/ui/Empty.svelte';
	import Groups from '$lib/features/fit/Groups.svelte';
	import Matrix from '$lib/features/fit/Matrix.svelte';
	import { counted, dayText } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const matrix = $derived(data.matrix);
	const date = $derived(data.rail[data.fitDay - 1]?.date);
	const before = $derived(data.training.findLast((day) => day < data.fitDay));
	const after = $derived(data.training.find((day) => day > data.fitDay));
	/** Those who get the day; the rest are told apart. */
	const getting = $derived(matrix?.people.filter(({ hold }) => !hold) ?? []);
	const differing = $derived(getting.filter(({ differs }) => differs).length);
	const unfit = $derived(getting.filter(({ row }) => row.nothing || row.unfit.length > 0).length);
	const over = $derived(getting.filter((one) => one.over).length);
	const held = $derived((matrix?.people.length ?? 0) - getting.length);
	let shownAll = $state(false);
</script>

<svelte:head><title>Who gets what · {data.challenge.name}</title></svelte:head>
<p class="mb-1 text-sm"><a class="link-quiet" href="/c/{data.challenge.id}/people">People</a></p>
<div class="mb-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
	<h1>Who gets what, day {data.fitDay}</h1>
	{#if matrix}
		<p class="quiet">
			{matrix.session}{date ? `, ${dayText(date)}` : ''} · {getting.length === 0
				? 'nobody gets it yet'
				: `${differing} of ${counted(getting.length, 'person', 'people')} get a different version`}
			{#if unfit > 0}· <b class="attention">{unfit} with nothing that fits</b>{/if}
			{#if over > 0}· {over} over their time{/if}
			{#if held > 0 && getting.length > 0}· {held} {held === 1 ? 'gets' : 'get'} nothing yet{/if}
		</p>
	{/if}
	<p class="ml-auto flex gap-3 text-sm">
		{#if before}<a class="link-quiet" href="?day={before}">Day {before}</a>{/if}
		{#if after}<a class="link-quiet" href="?day={after}">Day {after}</a>{/if}
	</p>
</div>
{#if !matrix}
	<Empty says="There is no session on day {data.fitDay}."
		><a class="link-quiet" href="/c/{data.challenge.id}/plan?day={data.fitDay}">Put one on it in the plan</a
		></Empty
	>
{:else if matrix.people.length === 0}
	<Empty says="Nobody is enrolled yet.">
		<a class="link-quiet" href="/c/{data.challenge.id}/people/import">Enrol people from a list</a>
	</Empty>
{:else}
	<Groups {matrix} base="/c/{data.challenge.id}/people" />
	<details class="mt-4" bind:open={shownAll}>
		<summary class="link-quiet cursor-pointer">Person by person</summary>
		{#if shownAll}{#key matrix.day}<div class="mt-2">
					<Matrix {matrix} base="/c/{data.challenge.id}/people" />
				</div>{/key}{/if}
	</details>
{/if}
