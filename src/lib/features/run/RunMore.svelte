<script lang="ts">
	import { areaText } from '$core/health';
	import { BODY_AREAS, type BodyArea, type CourseExercise } from '$core/run';
	import type { Deed } from './runner.svelte';
	import SoundFields from './SoundFields.svelte';
	import type { SoundSettings } from './sounds';
	import StopSigns from '$lib/features/me/StopSigns.svelte';

	/** What else can be done in the moment: another form, what hurts, once more, the end. */
	interface Props {
		exercise: CourseExercise | null;
		at: number;
		/** The form that is done in its place now; null: the one asked for. */
		used: string | null;
		sounds: SoundSettings;
		onsounds: (sounds: SoundSettings) => void;
		ondeed: (...deeds: Deed[]) => void;
		onclose: () => void;
	}
	let { exercise, at, used, sounds, onsounds, ondeed, onclose }: Props = $props();
	let hurting = $state<BodyArea | 'ask' | null>(null);
	const other = $derived(exercise && hurting && hurting !== 'ask' ? exercise.ifHurts[hurting] : null);
	const swap = (to: string | null) => {
		ondeed({ do: 'swap', exercise: at, to });
		onclose();
	};
	let box = $state<HTMLElement | null>(null);
	$effect(() => box?.focus());
</script>

<div
	class="bg-base-200 fixed inset-0 z-20 overflow-y-auto p-4"
	role="dialog"
	aria-modal="true"
	aria-label="More"
	tabindex="-1"
	bind:this={box}
	onkeydown={(event) => {
		if (event.key === 'Escape') onclose();
	}}
>
	<div class="mx-auto flex max-w-xl flex-col gap-4">
		<div class="flex items-center justify-between">
			<h1>{exercise?.name ?? 'Session'}</h1>
			<button class="btn btn-ghost min-h-12" onclick={onclose}>Close</button>
		</div>
		{#if exercise}
			{#if hurting === null}
				<button class="btn btn-error min-h-14 text-lg" onclick={() => (hurting = 'ask')}>This hurts</button>
			{:else if hurting === 'ask'}
				<fieldset class="remark remark-safety">
					<legend class="sr-only">Where does it hurt?</legend>
					<p class="font-head text-xl font-bold" aria-hidden="true">Where does it hurt?</p>
					<div class="mt-2 grid grid-cols-2 gap-2">
						{#each BODY_AREAS as area (area)}
							<button
								class="btn btn-outline min-h-12 text-lg"
								onclick={() => {
									hurting = area;
									ondeed({ do: 'hurts', exercise: at, area });
								}}>{areaText(area)}</button
							>
						{/each}
					</div>
				</fieldset>
			{:else}
				<div class="remark remark-safety flex flex-col gap-2">
					<p>
						<b>Stop this exercise.</b> Your coach is told at once where there is a connection, and with your check-in.
						Pain is not soreness: if it is sharp or lasts, let a doctor or physiotherapist look at it.
					</p>
					{#if other}<button class="btn btn-primary min-h-14 text-lg" onclick={() => swap(other.name)}
							>Do {other.name} instead</button
						>{:else}<p>
							Nothing like it is sure to spare the {hurting === 'elsewhere' ? 'place' : hurting}.
						</p>{/if}
					<button
						class="btn btn-outline min-h-14 text-lg"
						onclick={() => {
							ondeed({ do: 'leave', exercise: at });
							onclose();
						}}>Leave it out from here on</button
					>
				</div>
			{/if}
			{#if used}<button class="btn btn-outline min-h-14 text-lg" onclick={() => swap(null)}
					>Back to {exercise.name}</button
				>{/if}
			{#if hurting === null && exercise.easier && exercise.easier.name !== used}<button
					class="btn btn-outline min-h-14 text-lg"
					onclick={() => swap(exercise.easier?.name ?? null)}>Easier: {exercise.easier.name}</button
				>{/if}
			{#if hurting === null && exercise.harder && exercise.harder.name !== used}<button
					class="btn btn-outline min-h-14 text-lg"
					onclick={() => swap(exercise.harder?.name ?? null)}>Harder: {exercise.harder.name}</button
				>{/if}
			{#if exercise.cues.length > 0 || exercise.cautions.length > 0}
				<ul class="list-disc pl-5">
					{#each exercise.cues as cue (cue)}<li>{cue}</li>{/each}
					{#each exercise.cautions as caution (caution)}<li class="attention font-semibold">
							{caution}
						</li>{/each}
				</ul>
			{/if}
		{/if}
		<button
			class="btn btn-outline min-h-14 text-lg"
			onclick={() => {
				ondeed({ do: 'skip' });
				onclose();
			}}>Skip this step</button
		>
		<SoundFields {sounds} onchange={onsounds} />
		<StopSigns />
		<button
			class="btn btn-outline min-h-14 text-lg"
			onclick={() => {
				ondeed({ do: 'finish' });
				onclose();
			}}>End the session here</button
		>
		<p class="quiet text-[15px]">What you did counts for as much as it is, and you can go on later today.</p>
	</div>
</div>
