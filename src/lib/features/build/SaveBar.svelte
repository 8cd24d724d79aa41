<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted } from '$lib/format';
	import UndoRedo from '$lib/ui/UndoRedo.svelte';
	import type { Editor, Panel } from './editor.svelte';

	/** The name of a session, its version, the steps back and forth, and saving. */
	interface Props {
		editor: Editor;
		session: { id: string; version: number } | null;
		/** Days that send some version of it. */
		days: number;
		sound: boolean;
		/** Whether the draft is kept in this browser. */
		keeps: boolean;
		base: string;
		budgetMinutes: number;
		panel: Panel;
		onsaved: () => void;
	}
	let {
		editor,
		session,
		days,
		sound,
		keeps,
		base,
		budgetMinutes,
		panel = $bindable(),
		onsaved
	}: Props = $props();
	const empty = $derived(editor.session.blocks.length === 0);
	const toggle = (which: 'fit' | 'text') => (panel = panel === which ? null : which);
</script>

<form
	method="post"
	action="?/save"
	use:enhance={() =>
		async ({ update, result }) => {
			if (result.type === 'success' || result.type === 'redirect') onsaved();
			await update({ reset: false });
		}}
	class="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2"
>
	<input
		class="font-head input input-ghost w-80 max-w-full px-1 text-2xl font-bold"
		name="name"
		aria-label="Name of the session"
		placeholder="Name of the session"
		maxlength="80"
		value={editor.name}
		oninput={(event) => editor.rename(event.currentTarget.value)}
	/>
	<input type="hidden" name="body" value={JSON.stringify(editor.session)} />
	<input type="hidden" name="tags" value={JSON.stringify(editor.tags)} />
	<input type="hidden" name="basedOn" value={session?.version ?? 0} />
	<span class="quiet text-sm">
		{session
			? `version ${session.version}${days > 0 ? `, on ${counted(days, 'day')}` : ''}`
			: 'not saved yet'}{#if editor.changed},
			<b class="text-base-content">changed</b>{keeps ? ', draft kept' : ''}{/if}
	</span>
	<span class="ml-auto flex flex-wrap items-center gap-1.5">
		<UndoRedo history={editor} />
		<button
			type="button"
			class="btn btn-outline btn-sm"
			onclick={() => toggle('fit')}
			aria-expanded={panel === 'fit'}
			disabled={empty || !sound}>Fit to {budgetMinutes} min</button
		>
		<button
			type="button"
			class="btn btn-outline btn-sm"
			onclick={() => toggle('text')}
			aria-expanded={panel === 'text'}>As text</button
		>
		{#if session}<a class="btn btn-outline btn-sm" href="{base}/{session.id}/call-sheet">Call sheet</a>{/if}
		<button
			class="btn btn-primary btn-sm"
			disabled={empty || !sound || !editor.name.trim() || (session !== null && !editor.changed)}
			>{session ? `Save as version ${session.version + 1}` : 'Save session'}</button
		>
	</span>
</form>
