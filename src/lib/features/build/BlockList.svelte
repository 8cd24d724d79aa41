<script lang="ts">
	import { workshop } from './workshop';
	import { dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import type { Scaled } from '$core/substitution';
	import {
		canJoin,
		duplicateBlock,
		joinBlocks,
		moveBlock,
		removeBlock,
		repeatAround,
		repeatBlocks,
		splitBlock,
		withoutRepeat,
		type Block,
		type Fault,
		type Repeat,
		type Timeline
	} from '$core/session';
	import type { ExerciseSearch } from '$lib/features/build/exercise-search';
	import { grouped } from '$lib/ui/grouped';
	import BlockCard from './BlockCard.svelte';
	import { moveIn, orderWhile } from './dragging';
	import { idOf, type Editor } from './editor.svelte';
	import RepeatBracket from './RepeatBracket.svelte';

	/** The blocks of a session in order; seen as another level or kit they can be read, not edited. */
	interface Props {
		editor: Editor;
		timeline: Timeline;
		faults: Fault[];
		scaled: Scaled | null;
		/** The block that a finding points at. */
		pointed: number | null;
		search: ExerciseSearch;
	}
	let { editor, timeline, faults, scaled, pointed, search }: Props = $props();
	const shop = workshop();
	const draft = $derived(editor.session);
	const shown = $derived(scaled?.session ?? draft);

	interface Item {
		id: string;
		block: Block;
		index: number;
	}
	/** One and the same object for a block as long as nothing about it changes: then its card has nothing to do. */
	const known = new WeakMap<Block, Item>();
	function itemOf(block: Block, index: number): Item {
		const id = idOf(draft.blocks[index] ?? block);
		const old = known.get(block);
		if (old?.id === id && old.index === index) return old;
		const item = { id, block, index };
		known.set(block, item);
		return item;
	}
	const items = $derived<Item[]>(shown.blocks.map(itemOf));
	const NONE: never[] = [];
	const faultsOf = $derived(
		grouped(faults, (fault) => Number(/^blocks\[(\d+)\]/.exec(fault.path)?.[1] ?? -1))
	);
	/** While something is dragged: the order as it would be. */
	let dragged = $state.raw<Item[] | null>(null);
	function finalized(event: CustomEvent<DndEvent<Item>>) {
		const move = moveIn(event, items);
		dragged = null;
		if (move) editor.change(moveBlock(draft, move.from, move.to));
	}

	/** What scaling says of each exercise, per block. */
	const remarks = $derived(
		grouped(
			[
				...(scaled?.changes ?? []).map(({ block, part, from, why }) => ({
					block,
					part,
					text: `was ${from}: ${why}`
				})),
				...(scaled?.stuck ?? []).map(({ block, part, why }) => ({ block, part, text: why }))
			],
			({ block }) => block
		)
	);

	function actionsFor(i: number) {
		const repeat = repeatAround(draft, i);
		const change = (next: typeof draft) => () => editor.change(next);
		const last = draft.blocks.length - 1;
		return [
			{ label: 'Move up', run: change(moveBlock(draft, i, i - 1)), disabled: i === 0 },
			{ label: 'Move down', run: change(moveBlock(draft, i, i + 1)), disabled: i === last },
			{ label: 'Duplicate', run: change(duplicateBlock(draft, i)) },
			{
				label: 'Join with the next as superset',
				run: change(joinBlocks(draft, i, shop())),
				disabled: !canJoin(draft, i, shop())
			},
			{
				label: 'Split into single exercises',
				run: change(splitBlock(draft, i, shop())),
				disabled: (draft.blocks[i]?.parts.length ?? 0) < 2
			},
			repeat
				? { label: 'Take the repeat away', run: change(withoutRepeat(draft, i)) }
				: { label: 'Repeat this block', run: change(repeatBlocks(draft, i, i, 2, 60)) },
			{ label: 'Remove', run: change(removeBlock(draft, i)) }
		];
	}
	function setRepeat(repeat: Repeat, next: Repeat) {
		const repeats = (draft.repeats ?? []).map((one) => (one === repeat ? next : one));
		editor.change({ ...draft, repeats }, 'repeat');
	}
</script>

<div
	class="flex flex-col gap-2.5"
	use:dragHandleZone={{
		items: [...(dragged ?? items)],
		type: 'blocks',
		flipDurationMs: 120,
		dropTargetStyle: {}
	}}
	onconsider={(event: CustomEvent<DndEvent<Item>>) => (dragged = orderWhile(event))}
	onfinalize={finalized}
	role="list"
	aria-label="Blocks"
>
	{#each dragged ?? items as item (item.id)}
		{@const i = item.index}
		{@const repeat = repeatAround(draft, i)}
		<div role="listitem" class={[repeat && 'border-primary border-l-4 pl-2']}>
			{#if repeat?.from === i}<RepeatBracket
					{repeat}
					last={draft.blocks.length - 1}
					locked={scaled !== null}
					onchange={(next: Repeat) => setRepeat(repeat, next)}
				/>{/if}
			<BlockCard
				block={item.block}
				index={i}
				start={timeline.blocks[i]?.start ?? 0}
				seconds={timeline.blocks[i]?.seconds ?? 0}
				faults={faultsOf.get(i) ?? NONE}
				remarks={remarks.get(i) ?? NONE}
				marked={pointed === i}
				locked={scaled !== null}
				{search}
				actions={() => actionsFor(i)}
				onchange={(next: Block, what: string) => editor.put(i, next, what)}
			/>
		</div>
	{/each}
</div>
