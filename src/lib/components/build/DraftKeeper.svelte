<script lang="ts">
	import { onMount } from 'svelte';
	import { dayAndTimeIn } from '$lib/format';
	import { draftKey, draftsOf, keepDraft, windowId, type KeptDraft } from './drafts';
	import type { Editor } from './editor.svelte';

	/** Keeps what is edited in this browser at each change, and offers it again until it is saved or thrown away. */
	interface Props {
		editor: Editor;
		coachId: string;
		/** `new` for a session that was never saved. */
		sessionId: string;
		/** The version that is edited, 0 for a new session. */
		version: number;
		zone: string;
		keeps: boolean;
	}
	let { editor, coachId, sessionId, version, zone, keeps = $bindable() }: Props = $props();
	let kept = $state.raw<KeptDraft[]>([]);
	let key = $state('');

	onMount(() => {
		key = draftKey(coachId, sessionId, windowId(sessionStorage));
		const found = draftsOf(localStorage, coachId, sessionId);
		// What this very window had is simply there again, after a reload or a way back.
		const own = found.find((one) => one.key === key && one.draft.basedOn === version);
		if (own) takeUp(own);
		kept = found.filter(
			(one) => one !== own && JSON.stringify(one.draft.session) !== JSON.stringify(editor.session)
		);
	});
	function takeUp({ key: from, draft }: KeptDraft) {
		editor.replace({ name: draft.name, tags: draft.tags, session: draft.session });
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
		const state = { name: editor.name, tags: editor.tags, session: editor.session };
		if (!key) return;
		if (!editor.changed) localStorage.removeItem(key);
		else keeps = keepDraft(localStorage, key, { ...state, basedOn: version, at: Date.now() });
	});
</script>

{#each kept as one (one.key)}
	<p class="remark remark-attention mb-3" role="status">
		A draft of {dayAndTimeIn(zone, one.draft.at)} was not saved{one.draft.basedOn !== version
			? `; it began from version ${one.draft.basedOn}`
			: ''}.
		<button type="button" class="link-quiet" onclick={() => takeUp(one)}>Take it up</button> ·
		<button type="button" class="link-quiet" onclick={() => throwAway(one.key)}>Throw it away</button>
	</p>
{/each}
{#if !keeps}<p class="remark remark-attention mb-3" role="alert">
		This browser has no room to keep a draft: save before you leave.
	</p>{/if}
