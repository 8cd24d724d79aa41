<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Course } from '$core/run';
	import { minutesText } from '$lib/format';
	import StopSigns from '$lib/features/me/StopSigns.svelte';
	import SoundFields from './SoundFields.svelte';
	import type { SoundSettings } from './sounds';

	/** Before the start: what to have ready, how to be called, and the big button. */
	interface Props {
		course: Course;
		day: number;
		sounds: SoundSettings;
		onsounds: (sounds: SoundSettings) => void;
		first: 'left' | 'right';
		onfirst: (first: 'left' | 'right') => void;
		/** Where to begin, other than at the beginning; the rest of the day was done before. */
		pieces: { label: string; step: number; done: boolean }[];
		onstart: (from: number) => void;
		children?: Snippet;
	}
	let { course, day, sounds, onsounds, first, onfirst, pieces, onstart, children }: Props = $props();
	const sided = $derived(course.steps.some(({ tasks }) => tasks.some(({ side }) => side !== 'both')));
	const cautions = $derived([...new Set(course.exercises.flatMap((one) => one.cautions))].slice(0, 4));
	// svelte-ignore state_referenced_locally
	let from = $state(pieces.find(({ done }) => !done)?.step ?? 0);
</script>

<div class="flex flex-col gap-5 pb-24">
	<div>
		<p class="quiet">Day {day} · about {minutesText(course.seconds)}</p>
		<h1 class="text-3xl">{course.name}</h1>
	</div>
	<section aria-labelledby="ready">
		<h2 id="ready" class="text-xl">Have ready</h2>
		<ul class="mt-1 flex flex-wrap gap-2">
			{#each course.ready as item (item)}<li class="panel px-3 py-2 font-semibold">{item}</li>{/each}
		</ul>
	</section>
	{#if cautions.length > 0}
		<section aria-labelledby="mind">
			<h2 id="mind" class="text-xl">Keep in mind</h2>
			<ul class="mt-1 list-disc pl-5">
				{#each cautions as caution (caution)}<li>{caution}</li>{/each}
			</ul>
		</section>
	{/if}
	{#if pieces.length > 0}
		<fieldset>
			<legend class="font-head text-xl font-bold">Begin with</legend>
			<div class="mt-1 flex flex-col gap-2">
				{#each pieces as piece (piece.step)}
					<label
						class={[
							'flex min-h-12 cursor-pointer items-center gap-3 rounded border px-3 has-focus-visible:outline-2',
							from === piece.step ? 'border-primary bg-base-100 font-semibold' : 'border-base-300'
						]}
						><input type="radio" class="radio" name="from" value={piece.step} bind:group={from} />
						{piece.label}{piece.done ? ', done' : ''}</label
					>
				{/each}
			</div>
		</fieldset>
	{/if}
	{#if sided}
		<fieldset>
			<legend class="font-head text-xl font-bold">Weaker side</legend>
			<div class="mt-1 grid grid-cols-2 gap-2">
				{#each ['left', 'right'] as const as side (side)}
					<label
						class={[
							'flex min-h-12 cursor-pointer items-center justify-center rounded border font-semibold has-focus-visible:outline-2',
							first === side
								? 'bg-primary text-primary-content border-primary'
								: 'bg-base-100 border-base-300'
						]}
						><input
							type="radio"
							class="sr-only"
							name="first"
							value={side}
							checked={first === side}
							onchange={() => onfirst(side)}
						/>{side}</label
					>
				{/each}
			</div>
			<p class="quiet mt-1 text-[15px]">It goes first, and the other side does no more than it did.</p>
		</fieldset>
	{/if}
	<p class="quiet text-[15px]">
		While you are online your coach sees that you train, where in the session you are, and at once if
		something hurts.
	</p>
	<SoundFields {sounds} onchange={onsounds} />
	{@render children?.()}
	<StopSigns />
</div>
<div class="bg-base-200 border-base-300 fixed inset-x-0 bottom-0 border-t p-3">
	<button class="btn btn-primary mx-auto flex min-h-16 w-full max-w-xl text-2xl" onclick={() => onstart(from)}
		>Start</button
	>
</div>
