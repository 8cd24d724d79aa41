<script lang="ts" generics="State">
	import { onMount } from 'svelte';
	import { dayAndTimeIn } from '$lib/format';
	import { draftKey, draftsOf, keepDraft, windowId, type DraftOf, type KeptDraft } from './drafts';
	import type { History } from './history.svelte';

	/** Keeps what is edited in this browser at each change, and offers it again until it is saved or thrown away. */
	interface Props {
		history: History<State>;
		of: DraftOf;
		/** The version or revision that is edited, 0 for something new. */
		version: number;
		/** Whether something out of the browser's store is a state of it. */
		reads: (state: unknown) => state is State;
		zone: string;
		keeps: boolean;
	}
	let { history, of, version, reads, zone, keeps = $bindable() }: Props = $props();
	let kept = $state.raw<KeptDraft<State>[]>([]);
	let key = $state('');

	onMount(() => {
		key = draftKey(of, windowId(sessionStorage));
		const found = draftsOf(localStorage, of, reads);
		// What this very window had is simply there again, after a reload or a way back.
		const own = found.find((one) => one.key === key && one.draft.basedOn === version);
		if (own) takeUp(own);
		kept = found.filter(
			(one) => one !== own && JSON.stringify(one.draft.state) !== JSON.stringify(history.whole)
		);
	});
	function takeUp({ key: from, draft }: KeptDraft<State>) {
		history.replace(draft.state);
		if (from !== key) localStorage.removeItem(from);
		kept = kept.filter((one) => one.key !== from);
	}
	function throwAway(from: string) {
		localStorage.removeItem(from);
		kept = kept.filter((one) => one.key !== from);
	}
	/** What is there has been saved. */
	export function forget() {
		localStorage.removeItem(key);
	}
	$effect(() => {
		const state = history.whole;
		if (!key) return;
		if (!history.changed) localStorage.removeItem(key);
		else keeps = keepDraft(localStorage, key, { state, basedOn: version, at: Date.now() });
	});
</script>

{#each kept as one (one.key)}
	<p class="remark remark-attention mb-3" role="status">
		A draft of {dayAndTimeIn(zone, one.draft.at)} was not saved{one.draft.basedOn !== version
			? `; it began from ${of.kind === 'plan' ? 'an earlier plan' : `version ${one.draft.basedOn}`}`
			: ''}.
		<button type="button" class="link-quiet" onclick={() => takeUp(one)}>Take it up</button> ·
		<button type="button" class="link-quiet" onclick={() => throwAway(one.key)}>Throw it away</button>
	</p>
{/each}
{#if !keeps}<p class="remark remark-attention mb-3" role="alert">
		This browser has no room to keep a draft: save before you leave.
	</p>{/if}
