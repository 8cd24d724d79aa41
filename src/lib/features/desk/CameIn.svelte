<script lang="ts">
	import { tick } from 'svelte';
	import { enhance } from '$app/forms';
	import type { Units } from '$core/kit/units';
	import { beyondWords } from '$core/progress';
	import { calledBy } from '$core/people';
	import { readTemplate } from '$core/text/template';
	import { percent, timeIn } from '$lib/format';
	import { isTyping } from '$lib/ui/keys';

	/** What came in, and a line about it: two keys, one to come to it and one to say it. */
	interface Row {
		id: string;
		enrolmentId: string;
		name: string;
		/** Null for what was taken from the shelf, which is named. */
		day: number | null;
		shelf: string | null;
		again: boolean;
		done: 'all' | 'part' | 'none';
		credit: number;
		effort: number | null;
		standing: string;
		beyond: Parameters<typeof beyondWords>[0];
		hurts: string | null;
		note: string | null;
		receivedAt: number;
		reply: { by: string | null; text: string } | null;
		messageId: string;
	}
	interface Props {
		rows: readonly Row[];
		/** The coach’s own lines. */
		replies: readonly string[];
		base: string;
		zone: string;
		units: Units;
		/** What was refused, of which result. */
		refused: { about: string; message: string } | null;
	}
	let { rows, replies, base, zone, units, refused }: Props = $props();

	/** The result that is being answered. */
	let open = $state<string | null>(null);
	let list: HTMLElement | undefined = $state();
	const DONE = { all: 'all done', part: 'part done', none: 'not done' } as const;
	const factsOf = (row: Row) =>
		[
			row.done === 'part' ? `${percent(row.credit)} done` : DONE[row.done],
			row.effort === null ? null : `effort ${row.effort} of 10`,
			row.standing === 'on time' ? null : row.standing
		].filter((fact) => fact !== null);

	/** A line as it will read, as far as this page knows. */
	const readsFor = (name: string, line: string) =>
		readTemplate(line)
			.parts.map((part) =>
				'text' in part ? part.text : part.field === 'name' ? calledBy(name) : `{${part.field}}`
			)
			.join('');

	/** The next that nobody has said anything about, after the one that is open; those that tell of pain are no matter of a line. */
	async function next() {
		const from = rows.findIndex(({ id }) => id === open);
		const found = [...rows.slice(from + 1), ...rows.slice(0, from + 1)].find(
			({ reply, hurts }) => reply === null && hurts === null
		);
		open = found?.id ?? null;
		await tick();
		list?.querySelector<HTMLElement>('[data-answering]')?.focus();
	}

	function onkeydown(event: KeyboardEvent) {
		if (isTyping(event)) return;
		if (event.key === 'r') {
			event.preventDefault();
			void next();
		}
	}

	/** A number says a line here, and is no place of the challenge. */
	function say(event: KeyboardEvent) {
		if (isTyping(event)) return;
		const button = list?.querySelector<HTMLButtonElement>(`[data-answering] [value="${event.key}"]`);
		if (event.key === 'Escape') open = null;
		if (!/^\d$/.test(event.key)) return;
		event.stopPropagation();
		button?.click();
	}
</script>

<svelte:window {onkeydown} />
<ul class="max-h-[calc(100dvh-15rem)] overflow-y-auto" bind:this={list}>
	{#each rows as row (row.id)}
		<li class="border-base-300 border-b py-2">
			<div class="flex justify-between gap-2">
				<a class="font-bold hover:underline" href="{base}/people/{row.enrolmentId}">{row.name}</a>
				<span class="quiet clock text-[13px]">{timeIn(zone, row.receivedAt)}</span>
			</div>
			<p class="text-sm">
				{row.shelf === null ? `day ${row.day}` : `from the shelf: ${row.shelf}`}, {row.again
					? 'done again'
					: factsOf(row).join(', ')}
			</p>
			{#if row.beyond.length > 0}<p class="text-sm">On top: {beyondWords(row.beyond, units)}</p>{/if}
			{#if row.hurts}<p class="remark remark-safety mt-1 text-sm"><b>Hurts:</b> {row.hurts}</p>{/if}
			{#if row.note}<p class="quiet mt-0.5 text-sm">“{row.note}”</p>{/if}
			{#if row.hurts}
				<a class="link-quiet text-sm" href="{base}/reach?person={row.enrolmentId}">Decide about it</a>
			{:else if row.reply}
				<p class="border-primary mt-1 border-l-[3px] pl-2 text-sm">{row.reply.text}</p>
			{:else if open === row.id}
				<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
				<form
					method="post"
					action="?/reply"
					class="bg-base-200 mt-1 flex flex-col items-start gap-0.5 rounded outline-none"
					use:enhance
					data-answering
					tabindex="-1"
					aria-label="A line to {row.name}"
					onkeydown={say}
				>
					<input type="hidden" name="id" value={row.messageId} />
					<input type="hidden" name="about" value={row.id} />
					{#each replies as reply, i (i)}
						<button
							class="btn btn-ghost btn-sm h-auto justify-start py-1 text-left font-normal"
							name="line"
							value={i + 1}><span class="clock font-bold">{i + 1}</span>{readsFor(row.name, reply)}</button
						>
					{/each}
					<a class="link-quiet pl-2 text-sm" href="{base}/reach?person={row.enrolmentId}">In your own words</a
					>
				</form>
			{:else}
				<button class="link-quiet text-sm" onclick={() => (open = row.id)} aria-label="Reply to {row.name}"
					>Reply</button
				>
			{/if}
			{#if refused?.about === row.id}<p class="field-fault text-sm" role="alert">{refused.message}</p>{/if}
		</li>
	{/each}
</ul>
