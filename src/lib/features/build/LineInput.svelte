<script lang="ts">
	import CornerDownLeft from '@lucide/svelte/icons/corner-down-left';
	import { clockText, compileSession, formatLine, formatOf, parseLine, type Block } from '$core/session';
	import type { ExerciseSearch } from '$lib/features/build/exercise-search';
	import Asked from './Asked.svelte';
	import { workshop } from './workshop';
	import { completed, fragmentAt } from './completion';

	/**
	 * A typed line, read as one types; what was understood is shown before it is taken, what was not is underlined
	 * with the reason. Names of exercises are completed. Several pasted lines go to `onpastelines`.
	 */
	interface Props {
		ontake: (block: Block) => void;
		line?: string;
		label?: string;
		take?: string;
		oncancel?: () => void;
		onpastelines?: (text: string) => void;
		search: ExerciseSearch;
	}
	let {
		ontake,
		line = '',
		label = 'Type a block',
		take: takeLabel = 'add',
		oncancel,
		onpastelines,
		search
	}: Props = $props();
	const shop = workshop();
	// svelte-ignore state_referenced_locally
	let text = $state(line);
	let caret = $state(0);
	let chosen = $state(-1);
	let closed = $state(true);
	let input = $state<HTMLInputElement>();
	const read = $derived(text.trim() ? parseLine(text, shop()) : null);
	const id = $props.id();

	const fragment = $derived(closed ? null : fragmentAt(text, caret));
	const offers = $derived.by(() => {
		if (!fragment || fragment.name.length < 2) return [];
		const found = search.find({ text: fragment.name }, 7);
		return found.length === 1 && found[0]?.name.toLowerCase() === fragment.name.toLowerCase() ? [] : found;
	});

	const EXAMPLES = [
		'goblet squat 3x10 @ 12 kg, rest 90',
		'3 sets of 8-12 push-ups 3-1-1, RPE 7-8',
		'split squat 12, 10, 8 each leg @ 2 x 8 kg',
		'band row 3x15 red band, 60 s',
		'3 rounds: 10 swings @ 12 kg, 8 push-ups, 30 s plank',
		'3 x 10 curl @ 10 kg, drop 2 x 20% on last, rest 60',
		'superset 3 rounds, rest 30 inside, 90 after: 10 push-up + 8 per side one-arm row @ 12 kg',
		'30 on 15 off x 4, 45 between: squats, bird dog per side, fast feet',
		'tabata mountain climbers / squats',
		'EMOM 12: 10 swings @ 12 kg / 8 push-ups / 6 step-ups each leg',
		'E2MOM x 5: 10 goblet squats @ 16 kg, 8 push-ups',
		'for time, cap 12 min: 21-15-9 thrusters, push-ups',
		'AMRAP 10: 10 squat + 8 push-up + 6 per side reverse lunge',
		'stations 1 round, 180 s each, 20 change, 12 people: 10 squat + 30 s plank / 8 push-up + 30 s wall sit',
		'steady 30 min at 145-155 bpm: brisk walk',
		'hiit 8 x 30/60: hill run + easy walk',
		'12 1¼ push-up',
		'3 x 10 or 40 s squat, rest 60',
		'warm up: 2 min march, 10 arm circles, 10 squats',
		'cool down: 30 s calf stretch each side, 30 s child rest'
	];

	function submit() {
		if (!read || !('block' in read)) return;
		ontake(read.block);
		text = '';
		closed = true;
	}
	/** Takes over what was offered; the caret goes on at the end of the line. */
	function take(next: string) {
		text = next;
		caret = next.length;
		closed = true;
		queueMicrotask(() => input?.focus());
	}
	function complete(name: string) {
		if (!fragment) return;
		const next = completed(text, fragment, name);
		text = next.text;
		caret = next.caret;
		closed = true;
		chosen = -1;
		queueMicrotask(() => {
			input?.focus();
			input?.setSelectionRange(next.caret, next.caret);
		});
	}
	function onkeydown(event: KeyboardEvent) {
		const open = offers.length > 0;
		if (open && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
			chosen =
				(chosen +
					(event.key === 'ArrowDown' ? 1 : -1) +
					offers.length +
					(chosen < 0 && event.key === 'ArrowUp' ? 1 : 0)) %
				offers.length;
			event.preventDefault();
		} else if (open && event.key === 'Tab' && !event.shiftKey) {
			complete(offers[Math.max(0, chosen)]?.name ?? '');
			event.preventDefault();
		} else if (event.key === 'Enter') {
			event.preventDefault();
			if (open && chosen >= 0) complete(offers[chosen]?.name ?? '');
			else submit();
		} else if (event.key === 'Escape') {
			if (open) closed = true;
			else oncancel?.();
		}
	}
	function oninput() {
		caret = input?.selectionStart ?? text.length;
		closed = false;
		chosen = -1;
	}
	function onpaste(event: ClipboardEvent) {
		const pasted = event.clipboardData?.getData('text') ?? '';
		if (!onpastelines || !/\S[\r\n]+\s*\S/.test(pasted)) return;
		event.preventDefault();
		onpastelines(pasted);
	}
</script>

<div class="border-base-content/60 bg-base-100 relative rounded border border-dashed px-3 py-2">
	<div class="flex items-center gap-2">
		<input
			{id}
			bind:this={input}
			bind:value={text}
			class="clock w-full bg-transparent py-1 outline-none"
			role="combobox"
			aria-label={label}
			aria-describedby="{id}-read"
			aria-expanded={offers.length > 0}
			aria-controls="{id}-offers"
			aria-activedescendant={chosen >= 0 ? `${id}-offer-${chosen}` : undefined}
			aria-autocomplete="list"
			placeholder={EXAMPLES[0]}
			autocomplete="off"
			spellcheck="false"
			{onkeydown}
			{oninput}
			{onpaste}
			onblur={() => setTimeout(() => (closed = true), 150)}
		/>
		<button
			type="button"
			class="btn btn-sm btn-outline"
			onclick={submit}
			disabled={!read || !('block' in read)}
			><CornerDownLeft size={14} aria-hidden="true" /> {takeLabel}</button
		>
		{#if oncancel}<button type="button" class="btn btn-sm btn-ghost" onclick={oncancel}>Cancel</button>{/if}
	</div>
	{#if offers.length > 0}
		<ul
			id="{id}-offers"
			role="listbox"
			aria-label="Exercises"
			class="panel absolute left-2 z-20 mt-0.5 w-96 max-w-[90%] shadow-md"
		>
			{#each offers as offer, i (offer.name)}
				<li
					id="{id}-offer-{i}"
					role="option"
					aria-selected={i === chosen}
					class={[
						'flex cursor-pointer items-baseline justify-between gap-3 px-3 py-1',
						i === chosen && 'bg-base-200 font-semibold'
					]}
					onpointerdown={(event) => {
						event.preventDefault();
						complete(offer.name);
					}}
				>
					<span>{offer.name}</span><span class="quiet truncate text-[13px] font-normal"
						>{offer.primary.join(', ')}</span
					>
				</li>
			{/each}
			<li class="quiet border-base-300 border-t px-3 py-1 text-[12px]" role="presentation">
				Tab takes the first, arrows choose
			</li>
		</ul>
	{/if}
	<div id="{id}-read" class="text-sm" aria-live="polite">
		{#if !read}
			<details class="quiet">
				<summary class="cursor-pointer">How a line is written</summary>
				<ul class="mt-1 flex flex-col gap-0.5">
					{#each EXAMPLES as example (example)}<li>
							<button
								type="button"
								class="clock hover:text-primary text-left text-[13px]"
								onclick={() => (text = example)}>{example}</button
							>
						</li>{/each}
				</ul>
			</details>
		{:else if 'block' in read}
			<p class="quiet">
				{formatOf(read.block).label}, {read.block.role} · {formatLine(read.block, shop()).replace(
					/^(warm-up|cool-down): /,
					''
				)} →
				<b class="clock text-base-content"
					>{clockText(compileSession({ blocks: [read.block] }, shop()).totals.duration)}</b
				>
			</p>
			{#each read.notes as note (note)}<p class="attention">{note}</p>{/each}
		{:else}
			{#each read.faults as fault (fault.from + fault.message)}
				<Asked line={text} {fault} ontake={take} />
			{/each}
		{/if}
	</div>
</div>
