<script lang="ts">
	import type { DayTally } from '$core/attendance';
	import { streakOf } from '$core/attendance/streak';
	import type { DayResult } from '$core/day';
	import { counted } from '$lib/format';
	import Legend from '$lib/ui/Legend.svelte';
	import PlateStrip from '$lib/ui/PlateStrip.svelte';

	/** My days, a week a row, so that they fit a phone. */
	let { days, tally }: { days: DayResult[]; tally: DayTally } = $props();
	const streak = $derived(streakOf(days));
	const weeks = $derived(
		Array.from({ length: Math.ceil(days.length / 7) }, (_, w) => days.slice(w * 7, w * 7 + 7))
	);
</script>

<section class="panel p-4" aria-labelledby="my-days">
	<h2 id="my-days">My days</h2>
	<p class="mb-3 text-[15px]">
		{#if tally.due > 0}<b>{tally.done} of {counted(tally.due, 'day')}</b> done{tally.partly > 0
				? `, ${tally.partly} more partly`
				: ''}{tally.madeUp > 0
				? `; ${counted(tally.madeUp, 'day')} made up with extra sessions`
				: ''}.{:else}<span class="quiet">Nothing was due yet.</span>{/if}
		{#if streak > 1}<b>{streak} days in a row</b>; a rest day or an excuse doesn’t break it.{/if}
	</p>
	<div class="flex flex-col gap-2">
		{#each weeks as week, w (w)}
			<div class="flex items-center gap-3">
				<span class="quiet w-14 text-sm">week {w + 1}</span><PlateStrip
					days={week}
					firstDay={w * 7 + 1}
					step={24}
					name="Week {w + 1}"
					scale={1.2}
				/>
			</div>
		{/each}
	</div>
	<details class="mt-3">
		<summary class="quiet flex min-h-11 cursor-pointer items-center text-sm">What the symbols mean</summary
		><Legend />
	</details>
</section>
