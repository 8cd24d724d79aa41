<script lang="ts">
	import { enhance } from '$app/forms';
	import { dayAndTimeIn } from '$lib/format';

	/** What the coach notes for herself about somebody. */
	interface Props {
		name: string;
		notes: readonly { id: string; body: string; at: number }[];
		zone: string;
		form: { noteFault?: string } | null;
	}
	let { name, notes, zone, form }: Props = $props();
	let find = $state('');
	const wanted = $derived(find.trim().toLowerCase());
	const shown = $derived(notes.filter(({ body }) => !wanted || body.toLowerCase().includes(wanted)));
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
	<form method="post" action="?/addNote" use:enhance class="flex flex-col gap-2 text-sm">
		<textarea
			name="body"
			rows="2"
			maxlength="4000"
			class="textarea textarea-sm w-full"
			placeholder="For you alone; {name} does not see it"
			aria-label="A new note"></textarea>
		{#if form?.noteFault}<p class="field-fault" role="alert">{form.noteFault}</p>{/if}
		<button class="btn btn-sm btn-outline self-start">Add note</button>
	</form>
	<ul class="text-sm">
		{#each shown as one (one.id)}
			<li class="border-base-300 border-t py-1.5">
				<p class="whitespace-pre-line break-words">{one.body}</p>
				<form method="post" action="?/removeNote" use:enhance class="quiet flex gap-3 text-[13px]">
					{dayAndTimeIn(zone, one.at)}
					<input type="hidden" name="note" value={one.id} /><button class="link-quiet">Delete</button>
				</form>
			</li>
		{:else}{#if wanted}<li class="quiet py-1.5">No note has “{find}”.</li>{/if}{/each}
	</ul>
</section>
