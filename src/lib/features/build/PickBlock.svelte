<script lang="ts">
	import { formatNamed, formatNames, ROLES, type Block, type FormatName, type Role } from '$core/session';
	import type { ExerciseSearch } from '$lib/features/build/exercise-search';
	import { workshop } from './workshop';
	import { freshBlock } from './block-fields';
	import { glossaryLink } from '$lib/features/glossary/terms';
	import ExerciseInput from './ExerciseInput.svelte';

	/** Adding a block without typing a line: a format, a role, its exercises. */
	let { onpick, search }: { onpick: (block: Block) => void; search: ExerciseSearch } = $props();
	const shop = workshop();
	const FORMATS = formatNames();
	let format = $state<FormatName>(FORMATS[0]!);
	let role = $state<Role>('main');
	let names = $state<string[]>([]);
	const meaning = $derived(glossaryLink(formatNamed(format).label));
	const needed = $derived(formatNamed(format).takes[0]);
	const most = $derived(formatNamed(format).takes[1]);

	function add() {
		const block = freshBlock(format, role, names, shop().library);
		if ('fault' in block) return;
		onpick(block);
		names = [];
	}
</script>

<details class="panel px-3 py-2">
	<summary class="cursor-pointer text-sm font-semibold">Pick a block instead</summary>
	<div class="mt-2 flex flex-wrap items-end gap-3 text-sm">
		<label
			><span class="quiet block text-[13px]">format</span>
			<select class="select select-sm w-40" bind:value={format} onchange={() => (names = [])}
				>{#each FORMATS as name (name)}<option value={name}>{formatNamed(name).label}</option>{/each}</select
			>
		</label>
		<label
			><span class="quiet block text-[13px]">role</span>
			<select class="select select-sm w-28" bind:value={role}
				>{#each ROLES as name (name)}<option>{name}</option>{/each}</select
			>
		</label>
		{#if names.length < most}<ExerciseInput
				label="Exercise"
				button="Choose"
				{search}
				onpick={(name: string) => (names = [...names, name])}
			/>{/if}
		<button type="button" class="btn btn-sm btn-primary" disabled={names.length < needed} onclick={add}
			>Add block</button
		>
	</div>
	<p class="quiet mt-1 text-sm">
		{names.length === 0
			? `Choose ${needed === 2 ? 'two or more exercises' : 'an exercise'}; its numbers can be edited afterwards.`
			: names.join(' + ')}
		{#if meaning}<a class="link-quiet" href={meaning}>What is it?</a>{/if}
	</p>
</details>
