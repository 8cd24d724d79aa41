<script lang="ts">
	import { enhance } from '$app/forms';
	import { dayAndTimeIn } from '$lib/format';
	import { htmlOfText } from '$core/text/html';
	import RichText from '$lib/ui/RichText.svelte';

	interface Note {
		id: string;
		body: string;
		html: string | null;
		at: number;
		changedAt: number | null;
	}
	/** What coaches note for themselves about somebody. */
	interface Props {
		name: string;
		notes: readonly Note[];
		zone: string;
		form: { noteFault?: string } | null;
	}
	let { name, notes, zone, form }: Props = $props();
	let find = $state('');
	const wanted = $derived(find.trim().toLowerCase());
	const shown = $derived(notes.filter(({ body }) => !wanted || body.toLowerCase().includes(wanted)));
	/** The note that is being changed; null: a new one. */
	let editing: Note | null = $state.raw(null);
	let html = $state('');
	/** Begins the editor anew. */
	let turn = $state(0);
	function edit(note: Note | null) {
		editing = note;
		turn++;
	}
</script>

<section class="panel flex flex-col gap-2 p-4" aria-labelledby="notes">
	<div class="flex items-baseline justify-between gap-2">
		<h2 id="notes">Private notes</h2>
		{#if notes.length > 3}<input
				class="input input-xs w-28"
				placeholder="Find"
				aria-label="Find in notes"
				bind:value={find}
			/>{/if}
	</div>
	<form
		method="post"
		action="?/addNote"
		use:enhance={() =>
			async ({ result, update }) => {
				await update({ reset: false });
				if (result.type === 'success') edit(null);
			}}
		class="flex flex-col gap-2 text-sm"
	>
		{#if editing}<input type="hidden" name="note" value={editing.id} />{/if}
		{#key turn}<RichText
				html={editing ? (editing.html ?? htmlOfText(editing.body)) : ''}
				label={editing ? 'The note' : 'A new note'}
				placeholder="Coaches of this challenge see it"
				bind:value={html}
			/>{/key}
		{#if form?.noteFault}<p class="field-fault" role="alert">{form.noteFault}</p>{/if}
		<div class="flex gap-2">
			<button class="btn btn-sm btn-outline self-start">{editing ? 'Save note' : 'Add note'}</button>
			{#if editing}<button type="button" class="btn btn-sm btn-ghost" onclick={() => edit(null)}
					>Cancel</button
				>{/if}
		</div>
	</form>
	<p class="quiet text-[13px]">{name} doesn’t see them here, but gets them with a download of their data.</p>
	<ul class="text-sm">
		{#each shown as one (one.id)}
			<li class="border-base-300 border-t py-1.5">
				{#if one.html}
					<!-- eslint-disable-next-line svelte/no-at-html-tags -- made tidy by the server before it is kept -->
					<div class="rich break-words">{@html one.html}</div>
				{:else}<p class="break-words whitespace-pre-line">{one.body}</p>{/if}
				<form method="post" action="?/removeNote" use:enhance class="quiet flex gap-3 text-[13px]">
					{dayAndTimeIn(zone, one.at)}{one.changedAt === null ? '' : ', changed'}
					<button type="button" class="link-quiet" onclick={() => edit(one)}>Edit</button>
					<input type="hidden" name="note" value={one.id} /><button class="link-quiet">Delete</button>
				</form>
			</li>
		{:else}{#if wanted}<li class="quiet py-1.5">No note has “{find}”.</li>{/if}{/each}
	</ul>
</section>
