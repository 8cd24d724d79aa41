<script lang="ts">
	import type { FitRow, PlannedPart } from '$core/day';
	import type { HoldReason } from '$core/health';
	import { counted, minutesText } from '$lib/format';
	import { HOLD_TEXT } from '$lib/ui/hold-text';
	import { VirtualRows } from '$lib/ui/virtual-rows.svelte';

	interface Person {
		id: string;
		name: string;
		level: string;
		answered: boolean;
		row: FitRow;
		minutes: number;
		over: boolean;
		differs: boolean;
		/** Why nothing is released to them, or null. */
		hold: HoldReason | null;
	}
	/** Everybody beside the exercises of a day: who gets what, and why. */
	interface Props {
		matrix: { day: number; parts: PlannedPart[]; people: Person[] };
		base: string;
	}
	let { matrix, base }: Props = $props();

	const FILTERS = [
		{ by: 'all', text: 'Everybody' },
		{ by: 'differs', text: 'Something differs' },
		{ by: 'unfit', text: 'Nothing fits' },
		{ by: 'over', text: 'Over their time' },
		{ by: 'unanswered', text: 'Questions open' }
	] as const;
	let filter = $state<(typeof FILTERS)[number]['by']>('all');
	let find = $state('');
	let chosen = $state<string | null>(null);

	const is = {
		all: () => true,
		differs: ({ differs }: Person) => differs,
		unfit: ({ row }: Person) => row.nothing || row.unfit.length > 0,
		over: ({ over }: Person) => over,
		unanswered: ({ answered }: Person) => !answered
	};
	const wanted = $derived(find.trim().toLowerCase());
	const people = $derived(
		matrix.people.filter((one) => is[filter](one) && (!wanted || one.name.toLowerCase().includes(wanted)))
	);
	const person = $derived(matrix.people.find(({ id }) => id === chosen) ?? null);

	const ROW = 44;
	const NAME = 190;
	const TIME = 74;
	const CELL = 128;
	const columns = $derived(`${NAME}px ${TIME}px repeat(${matrix.parts.length}, ${CELL}px)`);
	const virtual = new VirtualRows(() => people.length, ROW);
	const LOOKS = {
		same: 'quiet',
		load: 'font-semibold',
		exercise: 'border-primary border-l-[3px] font-semibold',
		out: 'border-warning border-l-[3px] attention font-semibold'
	} as const;
	/** What somebody does instead, with its load. */
	const changeText = ({ kind, exercise, load }: FitRow['cells'][number]): string =>
		kind === 'load' ? (load ?? '') : [exercise ?? 'left out', load].filter(Boolean).join(', ');
	const cellText = (cell: FitRow['cells'][number]): string =>
		cell.kind === 'out'
			? 'left out'
			: cell.kind === 'exercise'
				? (cell.exercise ?? '')
				: (cell.load ?? 'as planned');
</script>

<div class="mb-2 flex flex-wrap items-center gap-2">
	{#each FILTERS as { by, text } (by)}
		<button
			class={['btn btn-xs', filter === by ? 'btn-primary' : 'btn-outline border-base-300']}
			aria-pressed={filter === by}
			onclick={() => (filter = by)}>{text}, {matrix.people.filter(is[by]).length}</button
		>
	{/each}
	<input
		class="input input-sm ml-auto w-40"
		placeholder="Find  /"
		aria-label="Find a person"
		data-find
		bind:value={find}
	/>
</div>
<div class="flex items-start gap-4">
	<div
		bind:this={virtual.box}
		class="panel max-h-[calc(100dvh-15rem)] min-w-0 flex-1 overflow-auto"
		role="table"
		aria-label="Who gets what on day {matrix.day}"
		aria-rowcount={people.length + 1}
		tabindex="-1"
	>
		<div style="width:{NAME + TIME + CELL * matrix.parts.length}px">
			<div
				role="row"
				class="bg-base-100 border-base-content/70 sticky top-0 z-20 grid items-end border-b text-[13px]"
				style="grid-template-columns:{columns}"
			>
				<span role="columnheader" class="bg-base-100 quiet sticky left-0 px-3 py-1.5">Participant</span>
				<span role="columnheader" class="quiet py-1.5">Takes</span>
				{#each matrix.parts as part (`${part.block}.${part.part}`)}
					<span role="columnheader" class="truncate px-2 py-1.5" title={part.exercise}
						><b>{part.exercise}</b><br /><span class="quiet">{part.load ?? ' '}</span></span
					>
				{/each}
			</div>
			<div class="relative" style="height:{virtual.total}px" role="rowgroup">
				{#each virtual.shown as item (people[item.index]?.id ?? item.index)}
					{@const one = people[item.index]}
					{#if one}
						<div
							role="row"
							aria-rowindex={item.index + 2}
							class="border-base-300 absolute inset-x-0 grid items-stretch border-b text-[13px]"
							style="top:{item.start}px;height:{ROW}px;grid-template-columns:{columns}"
						>
							<span
								role="rowheader"
								class={[
									'sticky left-0 z-10 flex flex-col justify-center px-3',
									one.id === chosen ? 'bg-base-200' : 'bg-base-100'
								]}
							>
								<button
									class="hover:text-primary truncate text-left font-semibold"
									onclick={() => (chosen = chosen === one.id ? null : one.id)}
									>{#if one.hold}<s>{one.name}</s>{:else}{one.name}{/if}</button
								>
								<span class="quiet truncate text-[12px]">{one.answered ? one.level : 'questions open'}</span>
							</span>
							<span role="cell" class={['self-center', one.over ? 'attention font-semibold' : 'quiet']}
								>{one.row.nothing || one.hold ? '–' : minutesText(one.row.seconds)}{one.over
									? ` of ${one.minutes}`
									: ''}</span
							>
							{#if one.hold}
								<span role="cell" class="attention self-center px-2 font-semibold whitespace-nowrap"
									>nothing is released: {HOLD_TEXT[one.hold]}</span
								>
							{:else if one.row.nothing}
								<span role="cell" class="attention self-center px-2 font-semibold whitespace-nowrap"
									>nothing of it is left</span
								>
							{:else}
								{#each one.row.cells as cell, c (c)}
									<span
										role="cell"
										class={['flex items-center overflow-hidden px-2', LOOKS[cell.kind]]}
										title={cell.why}><span class="line-clamp-2 leading-tight">{cellText(cell)}</span></span
									>
								{/each}
							{/if}
						</div>
					{/if}
				{/each}
			</div>
		</div>
		{#if people.length === 0}<p class="quiet p-3">
				Nobody matches. Choose another list or clear the search.
			</p>{/if}
	</div>
	{#if person}
		<aside class="panel sticky top-3 w-72 shrink-0 p-4 text-sm" aria-label={person.name}>
			<h2>{person.name}</h2>
			<p class="quiet">
				{person.level} · {person.row.nothing ? 'nothing of it is left' : minutesText(person.row.seconds)}, has {person.minutes}
				min
			</p>
			{#if !person.differs && !person.row.nothing}<p class="mt-2">Gets the session as planned.</p>{/if}
			<ul class="mt-2 flex flex-col gap-1.5">
				{#each person.row.cells as cell, c (c)}
					{@const part = matrix.parts[c]}
					{#if part && cell.kind !== 'same'}
						<li>
							{part.exercise} → <b>{changeText(cell)}</b>
							{#if cell.why}<span class="quiet block text-[13px]">{cell.why}</span>{/if}
						</li>
					{/if}
				{/each}
			</ul>
			{#if person.row.unfit.length > 0}
				<p class="remark remark-attention mt-2">
					{counted(person.row.unfit.length, 'exercise')} left out: nothing like {person.row.unfit.length === 1
						? 'it'
						: 'them'} is safe with what is at hand.
				</p>
			{/if}
			<p class="mt-3 flex flex-col gap-1">
				<a class="link-quiet" href="{base}/{person.id}/session?day={matrix.day}"
					>The session as {person.name.split(' ')[0]} gets it</a
				>
				<a class="link-quiet" href="{base}/{person.id}?day={matrix.day}#differs">Change something</a>
			</p>
		</aside>
	{/if}
</div>
