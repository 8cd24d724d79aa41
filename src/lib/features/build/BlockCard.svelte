<script lang="ts">
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import { partMark, roleTitle } from '$core/analysis';
	import { readIn } from '$core/kit';
	import {
		clockText,
		formatLine,
		inPlaceOf,
		formatOf,
		movePart,
		numberOf,
		putPart,
		toggleGroup,
		withoutPart,
		withPart,
		type Block,
		type Fault,
		type Part
	} from '$core/session';
	import type { ExerciseSearch } from '$lib/features/build/exercise-search';
	import { workshop } from './workshop';
	import { freshPart } from './block-fields';
	import BlockFields from './BlockFields.svelte';
	import BlockMenu from './BlockMenu.svelte';
	import { moveIn, orderWhile } from './dragging';
	import { carry, idOf } from './editor.svelte';
	import ExerciseInput from './ExerciseInput.svelte';
	import LineInput from './LineInput.svelte';
	import PartRow from './PartRow.svelte';

	/** One block: its numbers and exercises as fields, or as the line that says the same. */
	interface Props {
		block: Block;
		index: number;
		start: number;
		seconds: number;
		faults: Fault[];
		/** What differs from the session as planned, per part, in a view of another level or kit. */
		remarks: { part: number; text: string }[];
		/** Found by a check: shown with a border. */
		marked?: boolean;
		locked?: boolean;
		search: ExerciseSearch;
		actions: () => { label: string; run: () => void; disabled?: boolean }[];
		onchange: (block: Block, what: string) => void;
	}
	let {
		block,
		index,
		start,
		seconds,
		faults,
		remarks,
		marked = false,
		locked = false,
		search,
		actions,
		onchange
	}: Props = $props();
	const shop = workshop();
	let typing = $state(false);
	let open = $state(false);

	interface Item {
		id: string;
		part: Part;
		index: number;
	}
	const items = $derived<Item[]>(block.parts.map((part, i) => ({ id: idOf(part), part, index: i })));
	/** While something is dragged: the order as it would be. */
	let dragged = $state.raw<Item[] | null>(null);

	function finalized(event: CustomEvent<DndEvent<Item>>) {
		const move = moveIn(event, items);
		dragged = null;
		if (move) onchange(movePart(block, move.from, move.to), '');
	}
	const grouped = $derived('groups' in block);
	const beginsGroup = (i: number): boolean =>
		'groups' in block && block.groups.some((group) => group[0] === i);
	const setPart = (i: number, part: Part, what: string) => {
		const old = block.parts[i];
		onchange(putPart(block, i, old ? carry(old, part) : part), what && `${what}${i}`);
	};
</script>

{#if typing}
	<LineInput
		line={formatLine(block, shop())}
		label="Type the block anew"
		take="take"
		{search}
		ontake={(next: Block) => {
			typing = false;
			onchange(inPlaceOf(block, next), '');
		}}
		oncancel={() => (typing = false)}
	/>
{:else}
	<section
		class={['panel', (faults.length > 0 || marked) && '!border-warning']}
		aria-label="{formatOf(block).label}, {block.role}, block {index + 1}"
	>
		{#if block.dayPart !== undefined}<p class="border-base-300 border-b px-3 py-1 font-semibold">
				{block.dayPart}
			</p>{/if}
		{#if block.setup}<p class="border-base-300 bg-base-200 border-b px-3 py-1 text-[13px]">
				<b>Set up</b>
				{block.setup.text} <span class="quiet clock">{block.setup.seconds} s</span>
			</p>{/if}
		<header class="border-base-300 flex flex-wrap items-center gap-x-2 gap-y-1 border-b px-3 py-1">
			{#if !locked}<span
					use:dragHandle
					class="quiet -ml-1 flex h-7 w-5 cursor-grab items-center"
					aria-label="Move block {index + 1}"><GripVertical size={15} aria-hidden="true" /></span
				>{/if}
			<h3>{roleTitle(block)}</h3>
			<span class="quiet text-sm"
				>{block.role === 'main' ? '' : `${formatOf(block).label.toLowerCase()} · `}{readIn(
					formatOf(block).summary(block, shop()),
					shop().units
				)}</span
			>
			<span class="ml-auto flex items-center gap-0.5">
				{#if !locked}
					<button
						type="button"
						class="btn btn-ghost btn-xs font-normal"
						aria-expanded={open}
						onclick={() => (open = !open)}>{open ? 'Done' : 'Edit'}</button
					>
					<button type="button" class="btn btn-ghost btn-xs font-normal" onclick={() => (typing = true)}
						>Type</button
					>
					<BlockMenu label="More for block {index + 1}" {actions} />
				{/if}
			</span>
			<span class="clock text-sm" title="starts at {clockText(start)}"
				><span class="quiet">{clockText(start)} +</span> <b>{clockText(seconds)}</b></span
			>
		</header>
		{#if open}<BlockFields {block} {onchange} />{/if}
		<div
			role="list"
			aria-label="Exercises of block {index + 1}"
			use:dragHandleZone={{
				items: [...(dragged ?? items)],
				type: `parts-${idOf(block)}`,
				flipDurationMs: 120,
				dropTargetStyle: {}
			}}
			onconsider={(event: CustomEvent<DndEvent<Item>>) => (dragged = orderWhile(event))}
			onfinalize={finalized}
		>
			{#each dragged ?? items as item (item.id)}
				<div role="listitem">
					<PartRow
						{block}
						part={item.part}
						mark={partMark(block, item.index)}
						remark={remarks.find((one) => one.part === item.index)?.text ??
							formatOf(block).remark?.(block, item.index, shop()) ??
							''}
						{open}
						begins={beginsGroup(item.index)}
						movable={!locked && block.parts.length > 1}
						onchange={(next: Part, what: string) => setPart(item.index, next, what)}
						onremove={() => onchange(withoutPart(block, item.index), '')}
						ongroup={grouped && item.index > 0
							? () => onchange(toggleGroup(block, item.index), '')
							: undefined}
					/>
				</div>
			{/each}
		</div>
		{#if open && block.parts.length < formatOf(block).takes[1]}
			<div class="px-3 py-2">
				<ExerciseInput
					label="Add an exercise to this block"
					{search}
					onpick={(name: string) =>
						onchange(
							withPart(
								block,
								freshPart(name, block.format, shop().library, numberOf(block, 'work') ?? undefined)
							),
							''
						)}
				/>
			</div>
		{/if}
		{#each faults as fault (fault.path + fault.message)}<p class="field-fault px-3 pb-2" role="alert">
				{fault.message}
			</p>{/each}
	</section>
{/if}
