<script lang="ts">
	import { workshop } from '$lib/features/build/workshop';
	import {
		COUNTED_IN,
		IMPACTS,
		ITEMS,
		MUSCLES,
		needWords,
		PATTERNS,
		POSITIONS,
		type Exercise
	} from '$core/exercise';
	import { figureOf } from '$core/figures';
	import Empty from '$lib/ui/Empty.svelte';
	import Figure from '$lib/ui/Figure.svelte';
	import { ExerciseSearch, type Wanted } from '$lib/features/build/exercise-search';
	import { counted } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}/build`);
	const shop = workshop();
	const library = $derived(shop().library);
	const search = $derived(new ExerciseSearch(library));
	const ANY: Required<Wanted> = {
		text: '',
		pattern: '',
		muscle: '',
		equipment: '',
		position: '',
		impact: '',
		sides: '',
		balance: '',
		countedIn: '',
		own: false
	};
	let wanted = $state({ ...ANY });
	const same = (values: readonly string[]): [string, string][] => values.map((value) => [value, value]);
	const LANDINGS = { none: 'none', low: 'soft', high: 'hard' };
	const FILTERS: {
		key: Exclude<keyof Wanted, 'text' | 'own'>;
		label: string;
		wide: boolean;
		options: [string, string][];
	}[] = [
		{ key: 'pattern', label: 'movement', wide: true, options: same(PATTERNS) },
		{ key: 'muscle', label: 'muscle', wide: true, options: same(MUSCLES) },
		{
			key: 'equipment',
			label: 'equipment',
			wide: true,
			options: [['none', 'nothing at all'], ...same(ITEMS)]
		},
		{ key: 'position', label: 'position', wide: true, options: same(POSITIONS) },
		{ key: 'impact', label: 'impact', wide: false, options: IMPACTS.map((one) => [one, LANDINGS[one]]) },
		{ key: 'sides', label: 'sides', wide: false, options: same(['one', 'both']) },
		{
			key: 'balance',
			label: 'balance',
			wide: false,
			options: [
				['0', 'none'],
				['1', 'some'],
				['2', 'much']
			]
		},
		{ key: 'countedIn', label: 'counted in', wide: false, options: same(COUNTED_IN) }
	];
	const found = $derived(search.find(wanted));
	const retired = $derived(data.own.filter((exercise: Exercise) => exercise.retired));
	const PAGE = 60;
	let most = $state(PAGE);
	const filtered = $derived(Object.values(wanted).some((value) => value !== '' && value !== false));
	function all() {
		wanted = { ...ANY };
		most = PAGE;
	}
	const link = (exercise: Exercise) => `${base}/library/${encodeURIComponent(exercise.name)}`;
</script>

<svelte:head><title>Exercise library · {data.challenge.name}</title></svelte:head>
<p class="mb-1"><a class="link-quiet" href={base}>Build</a></p>
<div class="mb-3 flex flex-wrap items-center gap-3">
	<h1>Exercise library</h1>
	<span class="quiet text-sm"
		>{counted(library.names().length, 'exercise')}, {data.own.length - retired.length} of your own</span
	>
	<span class="ml-auto flex gap-2">
		<a class="btn btn-outline btn-sm" href="{base}/library/file.csv" download>CSV</a>
		<a class="btn btn-outline btn-sm" href="{base}/library/import">From a file</a>
		<a class="btn btn-primary btn-sm" href="{base}/library/new">New exercise</a>
	</span>
</div>
<div class="panel mb-4 flex flex-wrap items-end gap-3 px-4 py-3 text-sm" role="search">
	<label
		><span class="quiet block text-[13px]">name, muscle or equipment</span><input
			class="input input-sm w-44"
			data-find
			bind:value={wanted.text}
		/></label
	>
	{#each FILTERS as filter (filter.key)}
		<label
			><span class="quiet block text-[13px]">{filter.label}</span><select
				class={['select select-sm', filter.wide ? 'w-32' : 'w-20']}
				bind:value={wanted[filter.key]}
				><option value="">any</option>{#each filter.options as [value, text] (value)}<option {value}
						>{text}</option
					>{/each}</select
			></label
		>
	{/each}
	<label class="flex items-center gap-1.5 pb-1.5"
		><input type="checkbox" class="checkbox checkbox-sm" bind:checked={wanted.own} /> my own</label
	>
	<span class="quiet pb-1.5" role="status">{found.length} found</span>
	{#if filtered}<button type="button" class="link-quiet pb-1.5" onclick={all}>Show all</button>{/if}
</div>
{#if found.length === 0}
	<Empty says="Nothing in the library is like that. Take a condition away, or add it as your own."
		><button type="button" class="link-quiet" onclick={all}>Show all</button></Empty
	>
{:else}
	<ul class="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-4 xl:grid-cols-5">
		{#each found.slice(0, most) as exercise (exercise.name)}
			{@const figure = figureOf(exercise.name, library)}
			{@const place = library.progressionOf(exercise.name)}
			<li>
				<a href={link(exercise)} class="panel hover:border-primary flex h-full gap-2 p-2">
					{#if figure}<span class="flex h-16 w-16 shrink-0 items-end justify-center"
							><Figure {figure} class="h-16 w-16" /></span
						>{/if}
					<span class="min-w-0">
						<b class="block leading-tight">{exercise.name}</b>
						<span class="quiet block truncate text-[13px]">{exercise.primary.join(', ')}</span>
						<span class="quiet block truncate text-[13px]"
							>{exercise.equipment.map(needWords).join(', ') || 'no equipment'}</span
						>
						{#if place}<span class="quiet block text-[13px]"
								>variation {place.at + 1} of {place.steps.length}</span
							>{/if}
						{#if exercise.ownId}<span class="text-secondary text-[13px] font-semibold">your own</span>{/if}
					</span>
				</a>
			</li>
		{/each}
	</ul>
	{#if found.length > most}<p class="mt-3">
			<button type="button" class="btn btn-sm btn-outline" onclick={() => (most += PAGE)}
				>Show {Math.min(PAGE, found.length - most)} more of {found.length}</button
			>
		</p>{/if}
{/if}
{#if retired.length > 0}
	<details class="mt-4">
		<summary class="cursor-pointer text-sm font-semibold">Retired, {retired.length}</summary>
		<ul class="mt-1 text-sm">
			{#each retired as exercise (exercise.name)}<li>
					<a class="link-quiet" href={link(exercise)}>{exercise.name}</a>
				</li>{/each}
		</ul>
	</details>
{/if}
