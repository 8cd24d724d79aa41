<script lang="ts">
	import type { Course, Moment } from '$core/run';
	import { minutesText } from '$lib/format';

	/** How far somebody is: a bar a block as long as it takes, filled up to now. */
	let { course, moment }: { course: Course; moment: Moment } = $props();
	const blocks = $derived.by(() => {
		const bars: { at: number; seconds: number; begin: number }[] = [];
		course.steps.forEach(({ block, seconds }, i) => {
			const last = bars.at(-1);
			if (last?.at === block) last.seconds += seconds;
			else bars.push({ at: block, seconds, begin: i });
		});
		return bars;
	});
	const step = $derived(course.steps[moment.step]);
	const block = $derived(step ? course.blocks[step.block] : undefined);
	const round = $derived(
		!step
			? ''
			: step.passes > 1
				? `time ${step.pass} of ${step.passes}`
				: step.rounds > 1 && step.counting !== 'all'
					? `round ${step.round} of ${step.rounds}`
					: ''
	);
	/** Share of a bar that is behind. */
	function share(i: number): number {
		const bar = blocks[i];
		if (!bar) return 0;
		const end = blocks[i + 1]?.begin ?? course.steps.length;
		if (moment.step >= end) return 1;
		if (moment.step < bar.begin) return 0;
		const before = course.steps.slice(bar.begin, moment.step).reduce((sum, { seconds }) => sum + seconds, 0);
		return Math.min(1, (before + Math.min(moment.gone, step?.seconds ?? 0)) / Math.max(1, bar.seconds));
	}
</script>

<div>
	<p class="flex justify-between gap-3">
		<span class="min-w-0"
			><b>{block?.title ?? ''}</b>{#if round}<span class="whitespace-nowrap">, {round}</span>{/if}</span
		>
		<span class="quiet whitespace-nowrap">{minutesText(moment.remaining)} left</span>
	</p>
	<div class="mt-1.5 flex h-2 gap-[3px]" aria-hidden="true">
		{#each blocks as bar, i (bar.begin)}
			<span class="bg-base-300 relative block overflow-hidden" style:flex-grow={Math.max(20, bar.seconds)}>
				<span class="bg-primary absolute inset-y-0 left-0" style:width="{100 * share(i)}%"></span>
			</span>
		{/each}
	</div>
</div>
