<script lang="ts">
	import type { ExerciseSearch } from '$lib/features/build/exercise-search';

	/** Picking an exercise by a part of its name, or by what it works. */
	let {
		label,
		onpick,
		button = 'Add',
		search
	}: { label: string; onpick: (name: string) => void; button?: string; search: ExerciseSearch } = $props();
	const id = $props.id();
	let name = $state('');
	const offers = $derived(name.trim() ? search.find({ text: name }, 12) : []);
	function pick() {
		if (!name.trim()) return;
		onpick(name.trim());
		name = '';
	}
</script>

<div class="flex items-center gap-2">
	<input
		class="input input-sm w-64"
		aria-label={label}
		placeholder={label}
		list="{id}-names"
		autocomplete="off"
		bind:value={name}
		onkeydown={(event) => {
			if (event.key !== 'Enter') return;
			event.preventDefault();
			pick();
		}}
	/>
	<datalist id="{id}-names"
		>{#each offers as offer (offer.name)}<option value={offer.name}></option>{/each}</datalist
	>
	<button type="button" class="btn btn-sm btn-outline" onclick={pick} disabled={!name.trim()}>{button}</button
	>
</div>
