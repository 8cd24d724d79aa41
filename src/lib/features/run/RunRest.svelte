<script lang="ts">
	import type { Snippet } from 'svelte';
	import { figureNamed } from '$core/figures';
	import { nextWork, stepWords, type Course, type Moment, type Step } from '$core/run';
	import { clockText } from '$core/session';
	import Figure from '$lib/ui/Figure.svelte';

	/** Between two stretches of work: how long still, what comes, and how the last set went. */
	interface Props {
		course: Course;
		moment: Moment;
		step: Step;
		children: Snippet;
	}
	let { course, moment, step, children }: Props = $props();
	const next = $derived(nextWork(course, moment.step, moment.leftOut));
	const figure = $derived.by(() => {
		const exercise = next?.tasks[0] && course.exercises[next.tasks[0].exercise];
		return exercise ? figureNamed(exercise.figure) : null;
	});
	const setup = $derived(next && step.kind === 'setup' ? course.blocks[next.block]?.setup : null);
	const TITLES: Partial<Record<Step['kind'], string>> = {
		'side-change': 'Change side',
		'round-rest': 'Rest after the round',
		'station-change': 'To the next station',
		setup: 'Get ready',
		transition: 'Next block'
	};
</script>

<div class="flex flex-1 shrink-0 flex-col gap-3 wrap-anywhere">
	<div class="hatched border-base-300 rounded border p-3 text-center">
		<h1 class="text-xl">{TITLES[step.kind] ?? 'Rest'}</h1>
		<p class="clock text-[88px] leading-none font-bold">{clockText(Math.ceil(moment.left ?? 0))}</p>
		{#if setup}<p class="text-xl font-semibold">{setup}</p>{/if}
	</div>
	{#if next}<div class="flex flex-wrap items-center gap-3">
			{#if figure}<Figure {figure} class="h-20 w-[96px] shrink-0" />{/if}
			<p class="min-w-0 flex-1 basis-40 text-xl leading-snug">
				<span class="quiet block text-[15px]">Next</span><b>{stepWords(course, next)}</b>
			</p>
		</div>{/if}
	{@render children()}
</div>
