<script lang="ts">
	import Redo2 from '@lucide/svelte/icons/redo-2';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import type { History } from './history.svelte';

	/** Steps back and forth, by button and by key. */
	let { history }: { history: Pick<History<unknown>, 'undo' | 'redo' | 'canUndo' | 'canRedo'> } = $props();

	function onkeydown(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
		const target = event.target instanceof HTMLElement ? event.target : null;
		const letter = event.key.toLowerCase();
		// Within a field of text the browser's own undo comes first.
		if (target?.closest('input:not([type=number]), textarea')) return;
		if (letter !== 'z' && letter !== 'y') return;
		event.preventDefault();
		if (letter === 'y' || event.shiftKey) history.redo();
		else history.undo();
	}
</script>

<svelte:window {onkeydown} />
<button
	type="button"
	class="btn btn-ghost btn-sm px-2"
	onclick={() => history.undo()}
	disabled={!history.canUndo}
	aria-label="Undo"
	title="Undo, Ctrl+Z"><Undo2 size={16} aria-hidden="true" /></button
>
<button
	type="button"
	class="btn btn-ghost btn-sm px-2"
	onclick={() => history.redo()}
	disabled={!history.canRedo}
	aria-label="Redo"
	title="Redo, Ctrl+Shift+Z"><Redo2 size={16} aria-hidden="true" /></button
>
