<script lang="ts">
	import Ellipsis from '@lucide/svelte/icons/ellipsis';

	/** What is done with a block more rarely; closes when something is chosen or left. */
	interface Props {
		/** Asked for when it opens: working them all out for every block at every keystroke would be dear. */
		actions: () => { label: string; run: () => void; disabled?: boolean }[];
		label: string;
	}
	let { actions, label }: Props = $props();
	let open = $state(false);
	let details = $state<HTMLDetailsElement>();
	function choose(run: () => void) {
		open = false;
		run();
	}
	function onfocusout(event: FocusEvent) {
		if (!details?.contains(event.relatedTarget as Node | null)) open = false;
	}
</script>

<details class="relative" bind:this={details} bind:open {onfocusout}>
	<summary class="btn btn-ghost btn-xs list-none" aria-label={label}
		><Ellipsis size={15} aria-hidden="true" /></summary
	>
	<ul class="panel absolute right-0 z-20 mt-1 w-52 py-1 shadow-md">
		{#each open ? actions() : [] as action (action.label)}
			<li>
				<button
					type="button"
					class="hover:bg-base-200 w-full px-3 py-1 text-left text-sm disabled:opacity-40"
					disabled={action.disabled}
					onclick={() => choose(action.run)}>{action.label}</button
				>
			</li>
		{/each}
	</ul>
</details>
