<script lang="ts">
	import { counted } from '$lib/format';

	/** What keeps a file from being imported, each with its place. */
	let { faults }: { faults: readonly { place: string; message: string }[] } = $props();
</script>

<section class="mt-4" aria-labelledby="faults">
	<h2 id="faults" class="mb-2">{counted(faults.length, 'problem')}, nothing was imported</h2>
	<table class="sheet panel">
		<thead><tr><th class="w-56 pl-4">Where</th><th>What</th></tr></thead>
		<tbody
			>{#each faults as fault, i (i)}<tr
					><td class="clock pl-4 text-[13px]">{fault.place}</td><td>{fault.message}</td></tr
				>{/each}</tbody
		>
	</table>
</section>
