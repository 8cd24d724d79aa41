<script lang="ts">
	import { figureNamed } from '$core/figures';
	import { amountWords, type Course, type Moment, type Step } from '$core/run';
	import { clockText } from '$core/session';
	import Figure from '$lib/ui/Figure.svelte';
	import Plate from '$lib/ui/Plate.svelte';

	/** The work of now, in type that is read at arm's length. */
	interface Props {
		course: Course;
		moment: Moment;
		step: Step;
		/** The form that is done in place of each exercise. */
		used: ReadonlyMap<number, string>;
		oncount: (by: 1 | -1) => void;
	}
	let { course, moment, step, used, oncount }: Props = $props();
	const task = $derived(
		step.counting === 'all'
			? step.tasks[Math.min(moment.counted.length, step.tasks.length - 1)]
			: step.counting === 'again'
				? step.tasks[moment.counted.length % step.tasks.length]
				: step.tasks[0]
	);
	const exercise = $derived(task && course.exercises[task.exercise]);
	const name = $derived(task ? (used.get(task.exercise) ?? exercise?.name ?? '') : '');
	const figure = $derived(exercise && figureNamed(used.get(task?.exercise ?? -1) ?? exercise.figure));
	const timed = $derived(exercise?.unit === 's' && step.counting === null);
	const sets = $derived(
		exercise && task && step.counting === null
			? Array.from({ length: exercise.sets }, (_, i) =>
					i + 1 < task.set ? ('done' as const) : i + 1 === task.set ? ('open' as const) : ('ahead' as const)
				)
			: []
	);
	const rounds = $derived(
		step.counting === 'again'
			? Math.floor(moment.counted.length / step.tasks.length)
			: Math.floor(moment.counted.length / Math.max(1, step.tasks.length / step.rounds))
	);
	const clock = $derived(moment.left === null ? clockText(moment.gone) : clockText(Math.ceil(moment.left)));
	const splits = $derived.by(() => {
		const lap = step.counting === 'again' ? step.tasks.length : Math.max(1, step.tasks.length / step.rounds);
		return moment.counted.filter((_, i) => (i + 1) % lap === 0);
	});
</script>

<div class="flex flex-1 shrink-0 flex-col items-center justify-evenly gap-1 text-center wrap-anywhere">
	{#if figure}<Figure {figure} moving class="h-[22dvh] max-h-52 w-full" />{/if}
	<div>
		<h1 class="text-[34px] leading-tight">{name}</h1>
		{#if task && task.side !== 'both'}<p
				class="bg-secondary text-secondary-content mt-1 inline-block rounded px-3 text-xl font-bold"
			>
				{task.side} side
			</p>{/if}
		{#if exercise?.load}<p class="text-2xl font-semibold">{exercise.load}</p>{/if}
		{#if exercise && used.has(task?.exercise ?? -1)}<p class="quiet">in place of {exercise.name}</p>{/if}
	</div>
	{#if step.counting === 'once'}
		<p class="clock text-[84px] leading-none font-bold">{clock}</p>
		<ul class="text-xl font-semibold">
			{#each step.tasks as one (one.exercise)}<li>
					{amountWords(one.amount, course.exercises[one.exercise]?.unit ?? 'reps')}
					{used.get(one.exercise) ?? course.exercises[one.exercise]?.name}{course.exercises[one.exercise]
						?.perSide
						? ', each side'
						: ''}
				</li>{/each}
		</ul>
		{#if moment.counted.length > 0}<p class="text-xl">
				Done at {clockText(moment.counted[0] ?? 0)}. Rest until the minute is over.
			</p>
		{:else}<button class="btn btn-outline min-h-14 px-8 text-xl" onclick={() => oncount(1)}
				>Done for this minute</button
			>{/if}
	{:else if step.counting && task}
		<p class="clock text-[64px] leading-none font-bold">{clock}</p>
		<p class="text-2xl font-semibold">
			{amountWords(task.amount, exercise?.unit ?? 'reps')}{exercise?.perSide ? ' each side' : ''}
		</p>
		<p class="quiet text-lg">
			{step.counting === 'all'
				? `round ${Math.min(step.rounds, rounds + 1)} of ${step.rounds}`
				: `${rounds} full rounds`}
		</p>
		{#if splits.length > 0}<p class="quiet clock text-[15px]">
				{splits.map((at, i) => `${i + 1}: ${clockText(at)}`).join('  ')}
			</p>{/if}
		<div class="flex gap-3">
			<button
				class="btn btn-outline min-h-14 text-lg"
				disabled={moment.counted.length === 0}
				onclick={() => oncount(-1)}>Take back</button
			>
			<button class="btn btn-primary min-h-14 px-10 text-xl" onclick={() => oncount(1)}>Done, next</button>
		</div>
	{:else}
		<div>
			<p class="clock text-[96px] leading-none font-bold" aria-hidden="true">
				{timed || moment.left !== null ? clock : (task?.amount ?? '')}
			</p>
			{#if task && !timed}<p class="text-2xl font-semibold">
					{moment.left === null
						? amountWords(task.amount, exercise?.unit ?? 'reps').replace(/^\S+ /, '')
						: amountWords(task.amount, exercise?.unit ?? 'reps')}{moment.left === null ? ` · ${clock}` : ''}
				</p>{/if}
		</div>
		{#if sets.length > 1}<p
				class="flex items-end justify-center gap-1.5"
				aria-label="Set {task?.set} of {exercise?.sets}"
			>
				{#each sets.slice(0, 16) as state, i (i)}<Plate
						{state}
						credit={state === 'done' ? 1 : 0}
						scale={1.1}
					/>{/each}
				<span class="quiet ml-2 text-lg" aria-hidden="true">set {task?.set} of {exercise?.sets}</span>
			</p>{/if}
	{/if}
	{#if exercise?.cues[0]}<p class="quiet max-w-sm text-lg leading-snug">{exercise.cues[0]}</p>{/if}
</div>
