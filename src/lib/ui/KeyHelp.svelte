<script lang="ts">
	import { KEY_LIST } from './keys';

	let { open = $bindable(false) }: { open?: boolean } = $props();
	let dialog: HTMLDialogElement;
	$effect(() => {
		if (open) dialog.showModal();
		else dialog.close();
	});
</script>

<dialog bind:this={dialog} class="modal" onclose={() => (open = false)} aria-labelledby="keys-head">
	<div class="modal-box panel max-w-sm">
		<h2 id="keys-head" class="mb-3">Keyboard shortcuts</h2>
		<dl class="grid grid-cols-[5rem_1fr] gap-y-1.5">
			{#each KEY_LIST as row (row.keys)}<dt class="clock font-bold whitespace-pre">{row.keys}</dt>
				<dd>{row.does}</dd>{/each}
		</dl>
		<p class="mt-4 text-sm"><a class="link-quiet" href="/glossary">Glossary: what the words mean</a></p>
		<form method="dialog" class="mt-4"><button class="btn btn-sm btn-outline">Close</button></form>
	</div>
	<form method="dialog" class="modal-backdrop"><button aria-label="Close">close</button></form>
</dialog>
