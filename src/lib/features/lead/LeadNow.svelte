<script lang="ts">
	import { figureNamed } from '$core/figures';
	import { nextWork, stepWords, type Course, type Moment } from '$core/run';
	import { clockText } from '$core/session';
	import Figure from '$lib/ui/Figure.svelte';

	/** What a group does now, in type that is read at three metres. */
	let { course, moment }: { course: Course; moment: Moment } = $props();
	const step = $derived(course.steps[moment.step] ?? null);
	const block = $derived(step ? course.blocks[step.block] : undefined);
	const next = $derived(nextWork(course, moment.step, moment.leftOut));
	const working = $derived(step?.kind === 'work');
	const shown = $derived((working ? step : next)?.tasks[0]);
	const figure = $derived(shown ? figureNamed(course.exercises[shown.exercise]?.figure ?? '') : null);
	const RESTS = {
		'side-change': 'Change side',
		setup: 'Get ready',
		transition: 'Next block',
		'round-rest': 'Rest'
	};
	const title = $derived.by(() => {
		if (moment.phase === 'ready') return course.name;
		if (!step) return 'Well done';
		if (working) return step.tasks.map(({ exercise }) => course.exercises[exercise]?.name ?? '').join(' + ');
		return RESTS[step.kind as keyof typeof RESTS] ?? 'Rest';
	});
	const about = $derived.by(() => {
		if (moment.phase === 'ready') return course.ready.join(', ');
		if (!step || !working) return '';
		return step.tasks
			.map(({ side, exercise }) => {
				const { much, load } = course.exercises[exercise] ?? { much: '', load: null };
				return [side === 'both' ? '' : `${side} side`, much, load].filter(Boolean).join(' · ');
			})
			.filter(Boolean)
			.join(' + ');
	});
</script>

<div
	class={[
		'flex min-h-0 flex-1 flex-col justify-between gap-2 p-[2vw]',
		!working && moment.phase === 'going' && 'hatched'
	]}
>
	<p class="flex justify-between gap-6 text-[2vw]">
		<b>{block?.title ?? ''}{step && step.rounds > 1 ? `, round ${step.round} of ${step.rounds}` : ''}</b>
		<span>{clockText(moment.remaining)} left</span>
	</p>
	<div class="flex min-h-0 flex-1 items-center gap-[3vw]">
		{#if figure}<Figure
				{figure}
				moving={working && moment.phase === 'going'}
				class="h-[38vh] w-[26vw] shrink-0"
			/>{/if}
		<div class="min-w-0">
			<h1 class="text-[5.5vw] leading-none">{title}</h1>
			{#if about}<p class="mt-[1vw] text-[3vw] font-semibold">{about}</p>{/if}
			{#if step && moment.phase !== 'ready'}<p
					class="clock text-[15vw] leading-none font-bold"
					aria-hidden="true"
				>
					{clockText(Math.ceil(moment.left ?? 0))}
				</p>{/if}
		</div>
	</div>
	<p class="text-[2.6vw]">
		{#if next && moment.phase !== 'ready'}<span class="quiet">Next</span>
			<b>{stepWords(course, next)}</b>{/if}
	</p>
</div>
