<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Absence, Course, RunLog } from '$core/run';
	import { amountWords } from '$core/run';
	import { clockText } from '$core/session';
	import RunAbsence from './RunAbsence.svelte';
	import { scoreWords } from '$lib/features/me/said';
	import { counted } from '$lib/format';

	/** What was done, once it is over. */
	interface Props {
		course: Course;
		log: RunLog;
		day: number;
		/** What the clock passed while nobody was seen; null: nothing that is still open. */
		absence: Absence | null;
		onanswer: (answer: 'did' | 'did-not' | 'back') => void;
		children?: Snippet;
	}
	let { course, log, day, absence, onanswer, children }: Props = $props();
	const done = $derived(log.sets.filter(({ amount }) => amount > 0));
	const asked = $derived(course.exercises.reduce((sum, { sets }) => sum + sets, 0));
	const exercises = $derived(
		course.exercises.flatMap((exercise) => {
			const sets = log.sets.filter(({ block, part }) => block === exercise.block && part === exercise.part);
			const amounts = sets.map(({ amount }) => amount);
			if (amounts.length === 0) return [];
			const alike = amounts.every((amount) => amount === amounts[0]);
			return [
				{
					key: `${exercise.block}.${exercise.part}`,
					name: sets.find(({ used }) => used !== null)?.used ?? exercise.name,
					text: amounts.every((amount) => amount === 0)
						? 'not done'
						: alike
							? `${amounts.length > 1 ? `${amounts.length} × ` : ''}${amountWords(amounts[0] ?? 0, exercise.unit)}`
							: `${amounts.join(', ')} ${exercise.unit}`,
					short: exercise.amounts.some((amount, i) => (amounts[i] ?? 0) < amount)
				}
			];
		})
	);
</script>

<div class="flex flex-col gap-4 pb-24">
	<div>
		<p class="quiet">Day {day}, {course.name}</p>
		<h1 class="text-3xl">
			{log.done === 'all' ? 'All of it done' : log.done === 'part' ? 'Part of it done' : 'Nothing done yet'}
		</h1>
		<p class="text-xl">{clockText(log.seconds)} · {done.length} of {counted(asked, 'set')}</p>
	</div>
	{#if absence && absence.sets > 0}<RunAbsence {absence} canGoBack={absence.isLast} {onanswer} />{/if}
	{#each log.scores as score (`${score.block}.${score.pass}`)}
		<p class="remark text-xl">
			{course.blocks.find((_, i) =>
				course.steps.some((step) => step.block === i && step.tasks[0]?.block === score.block)
			)?.title}:
			<b>{scoreWords(score)}</b>
		</p>
	{/each}
	{#each log.hurts as one, i (i)}
		<p class="remark remark-safety">
			{one.exercise}: {one.area === 'elsewhere' ? 'it hurt' : `the ${one.area} hurt`}. Your coach has it at
			once where there is a connection, and with your check-in.
		</p>
	{/each}
	<ul>
		{#each exercises as one (one.key)}<li class="border-base-300 flex justify-between gap-3 border-b py-2">
				<b>{one.name}</b><span class={[one.short && 'attention font-semibold']}>{one.text}</span>
			</li>{/each}
	</ul>
	{@render children?.()}
</div>
