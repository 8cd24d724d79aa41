<script lang="ts">
	/** How many of a group have each of several things, as bars to scale. */
	let { of, rows }: { of: number; rows: readonly { name: string; people: number }[] } = $props();
</script>

<ul class="flex flex-col gap-1 text-sm">
	{#each rows as { name, people } (name)}
		<li class="grid grid-cols-[minmax(0,11.5rem)_minmax(0,1fr)_2rem] items-center gap-2">
			<span class="truncate" title={name}>{name}</span>
			<span class="bg-base-300 block h-2 rounded-sm"
				><span class="bg-primary block h-2 rounded-sm" style="width:{of > 0 ? (100 * people) / of : 0}%"
				></span></span
			>
			<b class="text-right">{people}</b>
		</li>
	{/each}
</ul>
