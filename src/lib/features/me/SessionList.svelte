<script lang="ts">
	import type { Outline } from '$core/analysis';
	import type { PersonalChange } from '$core/day';
	import { clockText } from '$core/session/clock-text';
	import Check from '@lucide/svelte/icons/check';
	import { enhance } from '$app/forms';
	import SessionPart from './SessionPart.svelte';

	/** Today's session in the order in which it is done, with the time each block begins. */
	interface Props {
		outline: Outline;
		name: string;
		changes?: readonly PersonalChange[];
		/** Whose it is, for a coach who looks at it; left out: of whoever reads. */
		whose?: string | null;
		/** The day that it is of, where it is one's. */
		day?: number;
		/** Pieces of it that are ticked off one by one, each with its last block. */
		pieces?: readonly { dayPart: string | null; from: number; last: number; done: boolean }[];
		/** Whether pieces can still be ticked off. */
		open?: boolean;
	}
	let { outline, name, changes = [], whose = null, day = 0, pieces = [], open = true }: Props = $props();
	const endOf = (block: number) => pieces.find(({ last }) => last === block);
	const pieceName = (piece: (typeof pieces)[number]) => piece.dayPart ?? `piece ${pieces.indexOf(piece) + 1}`;
	const done = $derived(pieces.filter((piece) => piece.done).length);
	/** The middle of the expected times, minutes. */
	const about = $derived(Math.round((outline.lower + outline.upper) / 120));
</script>

<section class="flex flex-col gap-4" aria-label={name}>
	<div>
		<h2 class="text-2xl">{name}</h2>
		<p>
			<b>About {about} min</b>
		</p>
		<p class="quiet text-[15px]">{outline.counting}</p>
		{#if pieces.length > 1}<p class="mt-1">
				In {pieces.length} pieces over the day: <b>{done} done</b>. Tick each one off when you’ve done it.
			</p>{/if}
		{#if outline.note}<p class="mt-2 whitespace-pre-line">{outline.note}</p>{/if}
	</div>
	{#if changes.length > 0}
		<div class="remark">
			<h3 class="mb-1">Changed for {whose ?? 'you'}</h3>
			<ul class="flex flex-col gap-1">
				{#each changes as change (change.from + change.to)}<li>
						{change.from} → <b>{change.to}</b> <span class="quiet">{change.why}</span>
					</li>{/each}
			</ul>
		</div>
	{/if}
	<div class="panel p-4">
		<h3 class="mb-1">Have ready</h3>
		<ul class="flex flex-wrap gap-1.5">
			{#each outline.ready as thing (thing)}<li class="border-base-300 rounded border px-2 py-1 text-[15px]">
					{thing}
				</li>{/each}
		</ul>
		{#if outline.links.length > 0}
			<h3 class="mt-3 mb-1">Links</h3>
			<ul>
				{#each outline.links as link (link.url + link.title)}<li>
						<a
							class="link-quiet inline-flex min-h-11 items-center"
							href={link.url}
							target="_blank"
							rel="noopener noreferrer external">{link.title}</a
						>
					</li>{/each}
			</ul>
		{/if}
	</div>
	{#each outline.blocks as block, b (b)}
		{#if block.dayPart}<h3 class="mt-2 text-xl">{block.dayPart}</h3>{/if}
		{@const piece = endOf(b)}
		<div class="panel">
			{#if block.repeat}<p class="border-base-300 bg-base-200 border-b px-4 py-2 text-[15px]">
					<b>Do</b>
					{block.repeat}
				</p>{/if}
			{#if block.setup}<p class="border-base-300 border-b px-4 py-2 text-[15px]">
					<b>First:</b>
					{block.setup}
				</p>{/if}
			<div class="border-base-300 flex items-baseline justify-between gap-2 border-b px-4 py-2">
				<h3>{block.title}</h3>
				<span class="clock text-sm"
					><span class="quiet">at {clockText(block.start)}</span> {clockText(block.seconds)}</span
				>
			</div>
			<p class="quiet px-4 pt-1.5 text-[15px]">{block.summary}</p>
			<ol class="px-4 pb-2">
				{#each block.parts as part, p (p)}
					<SessionPart {part} />
				{/each}
			</ol>
		</div>
		{#if piece && open}
			<form method="post" action="?/tick" use:enhance>
				<input type="hidden" name="piece" value={piece.from} />
				<input type="hidden" name="day" value={day} />
				{#if piece.done}
					<p class="flex min-h-11 items-center justify-between gap-2">
						<b class="flex items-center gap-2"
							><Check size={18} aria-hidden="true" /> Done<span class="sr-only">, {pieceName(piece)}</span></b
						>
						<button class="quiet min-h-11 px-3 text-sm underline" name="done" value="no"
							>Not done after all</button
						>
					</p>
				{:else}
					<button class="btn btn-outline min-h-12 w-full" name="done" value="yes"
						>Tick it off <span class="sr-only">, {pieceName(piece)}</span></button
					>
				{/if}
			</form>
		{/if}
	{/each}
	{#if outline.recovery.length > 0}
		<div class="panel p-4">
			<h3 class="mb-1">Afterwards</h3>
			<ul class="list-disc pl-5">
				{#each outline.recovery as text (text)}<li>{text}</li>{/each}
			</ul>
		</div>
	{/if}
</section>
