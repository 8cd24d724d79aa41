<script lang="ts">
	import { VIEWS, type View } from '$contracts/body';
	import { daysBetween } from '$core/calendar';
	import { counted, dayText } from '$lib/format';

	/** Two photographs of the same view, the one over the other: a slider says how much of which is seen. */
	interface Props {
		pictures: readonly { id: string; view: View; takenOn: string; width: number; height: number }[];
		href: (id: string) => string;
	}
	let { pictures, href }: Props = $props();

	const views = $derived(VIEWS.filter((view) => pictures.filter((one) => one.view === view).length > 1));
	let chosen = $state<View | null>(null);
	const view = $derived(chosen !== null && views.includes(chosen) ? chosen : views[0]);
	const of = $derived(pictures.filter((one) => one.view === view));
	let beforeId = $state('');
	let afterId = $state('');
	const before = $derived(of.find(({ id }) => id === beforeId) ?? of[0]);
	const after = $derived(of.find(({ id }) => id === afterId) ?? of.at(-1));
	let share = $state(50);
</script>

{#if view && before && after}
	<section class="max-w-md" aria-label="Compare photographs">
		<div class="flex flex-wrap items-end gap-3">
			{#if views.length > 1}<label
					>View
					<select
						class="select min-h-11 w-28"
						onchange={({ currentTarget }) => (chosen = currentTarget.value as View)}
					>
						{#each views as one (one)}<option selected={one === view}>{one}</option>{/each}
					</select></label
				>{/if}
			{#each [{ name: 'Before', now: before, set: (id: string) => (beforeId = id) }, { name: 'After', now: after, set: (id: string) => (afterId = id) }] as one (one.name)}
				<label
					>{one.name}
					<select class="select min-h-11 w-36" onchange={({ currentTarget }) => one.set(currentTarget.value)}>
						{#each of as { id, takenOn } (id)}<option value={id} selected={id === one.now.id}
								>{dayText(takenOn)}</option
							>{/each}
					</select></label
				>
			{/each}
		</div>
		<p class="quiet mt-1 text-[15px]">
			{counted(daysBetween(before.takenOn, after.takenOn), 'day')} apart, {view}.
		</p>
		<div class="bg-base-200 relative mt-2 aspect-[3/4] overflow-hidden rounded">
			<img
				class="absolute inset-0 h-full w-full object-contain"
				src={href(after.id)}
				alt="{view}, {dayText(after.takenOn)}"
			/>
			<img
				class="absolute inset-0 h-full w-full object-contain"
				src={href(before.id)}
				alt="{view}, {dayText(before.takenOn)}"
				style:clip-path="inset(0 {100 - share}% 0 0)"
			/>
			<span class="bg-base-content absolute inset-y-0 w-0.5" style:left="{share}%"></span>
		</div>
		<label class="mt-2 flex items-center gap-3"
			><span class="text-[15px]">before</span>
			<input
				type="range"
				class="range grow"
				min="0"
				max="100"
				bind:value={share}
				aria-label="How much of the one before is seen, in percent"
			/>
			<span class="text-[15px]">after</span></label
		>
	</section>
{/if}
