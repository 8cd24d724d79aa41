<script lang="ts">
	import Lock from '@lucide/svelte/icons/lock';
	import { tick } from 'svelte';
	import { MUSCLES } from '$core/exercise';
	import type { ResolvedDay } from '$core/plan';
	import { dateOfDay } from '$core/calendar';
	import { dayText } from '$lib/format';
	import { KIND_TEXT } from '$lib/ui/marks';
	import type { PlanEditor } from './plan-editor.svelte';
	import WeekHead from './WeekHead.svelte';
	import { weekSteps } from '$core/plan';

	/** Weeks by days. Choose, drag or carry by keys, and see what it would break before it is dropped. */
	interface Props {
		editor: PlanEditor;
		startsOn: string;
		budgetMinutes: number;
		releasedTo: number;
		/** The day that the page looks at. */
		shown: number;
		people: number;
		cancelled: ReadonlyMap<number, string>;
		onenter: () => void;
	}
	let { editor, startsOn, budgetMinutes, releasedTo, shown, people, cancelled, onenter }: Props = $props();
	const resolved = $derived(editor.resolved);
	const heaviest = $derived(Math.max(1, ...resolved.days.map((day) => day.load)));
	// svelte-ignore state_referenced_locally
	let focused = $state(shown);
	const cells: HTMLElement[] = $state([]);

	/** The muscles that a day works most, at most three. */
	function muscles(day: ResolvedDay): string {
		const sets = day.prescribed?.balance.sets;
		if (!sets) return '';
		return MUSCLES.filter((muscle) => sets[muscle] >= 2)
			.sort((a, b) => sets[b] - sets[a])
			.slice(0, 3)
			.join(', ');
	}
	const says = (day: ResolvedDay): string =>
		[
			`Day ${day.day}, ${dayText(dateOfDay(day.day, startsOn))}: ${KIND_TEXT[day.kind]}`,
			day.prescribed?.name ?? (day.kind === 'rest' || day.kind === 'active-rest' ? null : 'no session'),
			day.prescribed ? `${Math.round(day.minutes)} min, effort ${day.expected}` : null,
			day.day <= releasedTo ? 'released' : null
		]
			.filter(Boolean)
			.join(', ');

	async function go(to: number) {
		focused = Math.min(resolved.days.length, Math.max(1, to));
		await tick();
		cells[focused]?.focus();
	}
	const MOVES: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };

	function onkeydown(event: KeyboardEvent, day: number) {
		const by = MOVES[event.key];
		if (by !== undefined && !event.ctrlKey && !event.metaKey && !event.altKey) {
			event.preventDefault();
			const to = Math.min(resolved.days.length, Math.max(1, day + by));
			if (editor.carry) editor.carry = { ...editor.carry, to };
			else if (event.shiftKey) editor.choose(to, 'range');
			void go(to);
			return;
		}
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const keys: Record<string, () => void> = {
			m: () => (editor.carry = { from: day, to: day, how: 'swap' }),
			c: () => (editor.carry = { from: day, to: day, how: 'copy' }),
			Escape: () => (editor.carry = null),
			' ': () => editor.choose(day, 'toggle'),
			Enter: () => {
				if (editor.carry) editor.drop();
				else {
					editor.choose(day);
					onenter();
				}
			}
		};
		const act = keys[event.key];
		if (!act || (event.key === 'Escape' && !editor.carry)) return;
		event.preventDefault();
		event.stopPropagation();
		act();
	}

	function onclick(event: MouseEvent, day: number) {
		focused = day;
		editor.choose(day, event.shiftKey ? 'range' : event.ctrlKey || event.metaKey ? 'toggle' : 'alone');
	}
	function ondragstart(event: DragEvent, day: number) {
		if (!event.dataTransfer) return;
		event.dataTransfer.effectAllowed = 'copyMove';
		event.dataTransfer.setData('text/plain', String(day));
		// A frame later: a page that changes within this event ends the drag in some browsers.
		requestAnimationFrame(() => (editor.carry = { from: day, to: day, how: 'swap' }));
	}
	function ondragover(event: DragEvent, day: number) {
		if (!editor.carry) return;
		event.preventDefault();
		const how = event.ctrlKey || event.altKey || !editor.movable(editor.carry.from) ? 'copy' : 'swap';
		if (editor.carry.to !== day || editor.carry.how !== how) editor.carry = { ...editor.carry, to: day, how };
		if (event.dataTransfer) event.dataTransfer.dropEffect = how === 'copy' ? 'copy' : 'move';
	}
	function ondrop(event: DragEvent) {
		event.preventDefault();
		editor.drop();
	}
</script>

<div role="grid" aria-label="Plan, weeks by days" class="flex flex-col gap-1" aria-multiselectable="true">
	<div role="row" class="quiet grid grid-cols-[5.5rem_repeat(7,minmax(0,1fr))] gap-1 text-[13px]">
		<span role="columnheader">Week</span>
		{#each resolved.days.slice(0, 7) as day (day.day)}<span role="columnheader" class="pl-1.5"
				>{dayText(dateOfDay(day.day, startsOn)).slice(0, 3)}</span
			>{/each}
	</div>
	{#each resolved.weeks as week (week.week)}
		{@const steps = weekSteps(resolved, week.week)}
		<div role="row" class="grid grid-cols-[5.5rem_repeat(7,minmax(0,1fr))] gap-1">
			<WeekHead {editor} {week} {releasedTo} {people} {startsOn} />
			{#each week.days as day (day.day)}
				{@const over = day.prescribed && day.minutes > budgetMinutes + 0.5}
				{@const target = editor.carry?.to === day.day && editor.carry.from !== day.day}
				<div
					role="gridcell"
					tabindex={focused === day.day ? 0 : -1}
					aria-selected={editor.chosen.includes(day.day)}
					aria-label={says(day)}
					title={says(day)}
					bind:this={cells[day.day]}
					draggable="true"
					onclick={(event) => onclick(event, day.day)}
					onkeydown={(event) => onkeydown(event, day.day)}
					ondragstart={(event) => ondragstart(event, day.day)}
					ondragover={(event) => ondragover(event, day.day)}
					{ondrop}
					ondragend={() => (editor.carry = null)}
					class={[
						'relative flex h-[92px] cursor-pointer flex-col overflow-hidden rounded border px-1.5 py-0.5 select-none',
						day.kind === 'rest' ? 'border-base-300 border-dashed' : 'bg-base-100 border-base-300',
						day.day === shown && 'outline-base-content outline-2 -outline-offset-1',
						editor.chosen.includes(day.day) && '!border-primary bg-primary/10',
						editor.pointed.includes(day.day) && '!border-warning',
						editor.carry?.from === day.day && 'opacity-60',
						target && (editor.effect ? 'ring-primary ring-2' : 'ring-base-300 ring-2')
					]}
				>
					<p class="flex items-baseline gap-1 text-[12px] whitespace-nowrap">
						<b class="text-sm">{day.day}</b><span class="quiet"
							>{dayText(dateOfDay(day.day, startsOn)).slice(4)}</span
						>
						{#if day.day <= releasedTo}<span
								class="quiet ml-auto self-center"
								title="This day is released: it keeps its place"
								><Lock class="size-3" aria-hidden="true" /><span class="sr-only">released</span></span
							>{/if}
					</p>
					{#if cancelled.has(day.day)}<p class="attention truncate text-[12px] font-semibold">
							cancelled: {cancelled.get(day.day)}
						</p>{/if}
					{#if day.kind === 'rest'}
						<p class="quiet m-auto text-sm">rest</p>
					{:else}
						<p class="truncate text-[13.5px] leading-tight font-semibold">
							{#if day.kind === 'test' || day.tests.length > 0}<span
									class="text-secondary pr-0.5"
									aria-hidden="true">◆</span
								>{/if}{#if day.prescribed}{day.prescribed.names[0]}{:else if day.kind === 'active-rest'}<span
									class="font-normal">active rest</span
								>{:else}<span class="attention">no session</span>{/if}
						</p>
						{#if !cancelled.has(day.day)}<p class="quiet truncate text-[12px]">
								{#if day.prescribed?.names[1]}<b class="font-semibold">+ {day.prescribed.names[1]}</b
									>{:else}{muscles(day) || KIND_TEXT[day.kind]}{/if}
							</p>{/if}
						<p class="quiet mt-auto flex justify-between gap-1 text-[12px] tracking-tight whitespace-nowrap">
							<span class={[over && 'attention font-semibold']}
								>{day.prescribed ? `${Math.round(day.minutes)} min` : ''}</span
							>
							<span>{day.prescribed ? `effort ${day.expected}` : ''}</span>
						</p>
						<div class="bg-base-300 mb-0.5 h-1.5 overflow-hidden rounded-sm" aria-hidden="true">
							<div
								class={[
									'h-full',
									day.kind === 'test' ? 'bg-secondary' : day.kind === 'cardio' ? 'bg-info' : 'bg-primary'
								]}
								style="width:{(100 * day.load) / heaviest}%"
							></div>
						</div>
					{/if}
				</div>
			{/each}
		</div>
		{#if steps.length > 0 || week.light}
			<p class="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-1 text-[13px]">
				<span class="quiet text-right">{week.light ? 'lighter week' : 'changes'}</span>
				<span
					class="truncate pl-1.5"
					title={steps.map(({ session, text }) => `${session}: ${text}`).join('; ')}
				>
					{#if week.light && steps.length === 0}fewer sets and rounds, no step{/if}
					{#each steps.slice(0, 3) as step, i (i)}{i > 0
							? ' · '
							: ''}{step.text}{/each}{#if steps.length > 3}<span class="quiet pl-1"
							>and {steps.length - 3} more</span
						>{/if}
				</span>
			</p>
		{/if}
	{/each}
</div>
