<script lang="ts">
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import { byName, LEVELS } from '$core/people';
	import { counted, percent } from '$lib/format';
	import { orderWhile } from '$lib/features/build/dragging';
	import type { Member } from './team-members';

	/** A team, or those who are in none: who is in it, what they add up to, and where each can go. */
	interface Props {
		/** Null: those who are in no team. */
		name: string | null;
		members: readonly Member[];
		/** Names of all teams, to move somebody into. */
		teams: readonly string[];
		/** Place of this team among them; null: none. */
		at: number | null;
		onmove: (id: string, to: number | null) => void;
		onrename?: (name: string) => void;
		onremove?: () => void;
	}
	let { name, members, teams, at, onmove, onrename, onremove }: Props = $props();

	let dragged = $state.raw<Member[] | null>(null);
	const sorted = $derived([...members].sort(byName));
	const shown = $derived(dragged ?? sorted);

	function finalized(event: CustomEvent<DndEvent<Member>>) {
		const { id } = event.detail.info;
		const here = event.detail.items.some((item) => item.id === id);
		dragged = null;
		if (here && !members.some((one) => one.id === id)) onmove(id, at);
	}

	const levels = $derived(
		LEVELS.map((level) => ({ level, people: members.filter((one) => one.level === level).length })).filter(
			({ people }) => people > 0
		)
	);
	const known = $derived(members.flatMap(({ done }) => done ?? []));
	const done = $derived(known.length === 0 ? null : known.reduce((sum, one) => sum + one, 0) / known.length);
	const zones = $derived(new Set(members.map(({ zone }) => zone)).size);
</script>

<section class="panel flex min-w-0 flex-col p-3" aria-label={name ?? 'Without a team'}>
	<div class="flex items-center gap-2">
		{#if name === null}<h2 class="text-base">Without a team</h2>
		{:else}
			<input
				class="input input-sm input-ghost min-w-0 flex-1 px-1 font-bold"
				aria-label="Name of the team"
				maxlength="40"
				value={name}
				oninput={(event) => onrename?.(event.currentTarget.value)}
			/>
			<button class="btn btn-ghost btn-xs" onclick={() => onremove?.()} aria-label="Remove {name}"
				>Remove</button
			>
		{/if}
	</div>
	<p class="quiet min-h-10 text-[13px]">
		{counted(members.length, 'person', 'people')}{#if members.length > 0}: {levels
				.map(({ level, people }) => `${level} ${people}`)
				.join(', ')}.
			{done === null ? '' : `${percent(done)} done, `}{counted(zones, 'time zone')}{/if}
	</p>
	<ul
		class="flex min-h-12 flex-1 flex-col"
		use:dragHandleZone={{ items: [...shown], type: 'team', flipDurationMs: 120, dropTargetStyle: {} }}
		onconsider={(event: CustomEvent<DndEvent<Member>>) => (dragged = orderWhile(event))}
		onfinalize={finalized}
		aria-label="People in {name ?? 'no team'}"
	>
		{#each shown as person (person.id)}
			<li class="border-base-300 flex items-center gap-1 border-t py-0.5 text-sm">
				<span use:dragHandle class="quiet shrink-0 cursor-grab" aria-label="Drag {person.name}"
					><GripVertical size={14} aria-hidden="true" /></span
				>
				<span class="min-w-0 flex-1 truncate" title="{person.name}, {person.level}">{person.name}</span>
				<span class="quiet shrink-0 text-[13px]"
					>{person.level === 'some experience' ? 'some exp.' : person.level}{person.done === null
						? ''
						: `, ${percent(person.done)}`}</span
				>
				<select
					class="select select-xs w-8 shrink-0 pr-0 pl-1"
					aria-label="Move {person.name} to"
					value=""
					onchange={(event) => {
						const to = event.currentTarget.value;
						event.currentTarget.value = '';
						onmove(person.id, to === 'none' ? null : Number(to));
					}}
				>
					<option value="" disabled hidden></option>
					{#each teams as team, i (team)}{#if i !== at}<option value={i}>to {team}</option>{/if}{/each}
					{#if at !== null}<option value="none">to no team</option>{/if}
				</select>
			</li>
		{/each}
	</ul>
</section>
