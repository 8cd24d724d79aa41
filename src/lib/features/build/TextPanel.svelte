<script lang="ts">
	import { formatSessionText, parseSessionText, type Session } from '$core/session';
	import Asked from './Asked.svelte';
	import { counted } from '$lib/format';
	import { workshop } from './workshop';

	/** The whole session as text: to read, to copy, to paste over. Faults are named with their line. */
	let {
		session,
		pasted = '',
		ontake,
		onclose
	}: {
		session: Session;
		pasted?: string;
		ontake: (session: Session, add: boolean, name: string | null) => void;
		onclose: () => void;
	} = $props();
	const shop = workshop();
	// svelte-ignore state_referenced_locally
	const adding = pasted !== '';
	// svelte-ignore state_referenced_locally
	let text = $state(pasted || formatSessionText(session, shop()));
	const read = $derived(parseSessionText(text, shop()));
	const lines = $derived(text.split(/\r\n|\r|\n/));
</script>

<section class="panel mb-4 px-4 py-3" aria-labelledby="text">
	<div class="mb-2 flex flex-wrap items-center gap-3">
		<h2 id="text">{adding ? 'Pasted lines' : 'As text'}</h2>
		<span class="quiet text-sm"
			>one block a line, or as you would write it down: headings, bullets, A1 A2; also note:, link:, setup 20
			s:, repeat 3 times, rest 30: … end repeat, recovery:</span
		>
		<span class="ml-auto flex gap-2">
			<button
				type="button"
				class="btn btn-sm btn-primary"
				disabled={read.faults.length > 0 || read.session.blocks.length === 0}
				onclick={() => ontake(read.session, adding, read.name)}
				>{adding ? `Add ${counted(read.session.blocks.length, 'block')}` : 'Use this text'}</button
			>
			<button type="button" class="btn btn-ghost btn-sm font-normal" onclick={onclose}>Close</button>
		</span>
	</div>
	<textarea
		class="textarea clock w-full text-[13px]"
		rows={Math.min(18, Math.max(6, lines.length + 1))}
		spellcheck="false"
		wrap="off"
		aria-label="The session as text"
		bind:value={text}></textarea>
	<ul class="mt-2 text-sm" aria-live="polite">
		{#each read.faults.slice(0, 20) as fault, i (i)}
			{@const line = lines[fault.line - 1] ?? ''}
			<li class="mb-1">
				<span class="quiet">line {fault.line}</span>
				<Asked {line} {fault} ontake={(next) => (text = lines.with(fault.line - 1, next).join('\n'))} />
			</li>
		{/each}
		{#each read.notes as note (`${note.line}${note.message}`)}<li class="attention">
				line {note.line}: {note.message}
			</li>{/each}
		{#if read.faults.length > 20}<li class="quiet">and {read.faults.length - 20} more</li>{/if}
	</ul>
</section>
