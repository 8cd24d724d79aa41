<script lang="ts">
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import Pause from '@lucide/svelte/icons/pause';
	import Play from '@lucide/svelte/icons/play';
	import type { Units } from '$core/kit/units';
	import { formsInUse, nextWork } from '$core/run';
	import { clockText } from '$core/session';
	import { minutesText } from '$lib/format';
	import RunAbsence from './RunAbsence.svelte';
	import type { Deed, Runner } from './runner.svelte';
	import type { HeartMonitor } from '$lib/heart/monitor.svelte';
	import HeartNow from './HeartNow.svelte';
	import RunMore from './RunMore.svelte';
	import RunProgress from './RunProgress.svelte';
	import RunRest from './RunRest.svelte';
	import RunSet from './RunSet.svelte';
	import RunStep from './RunStep.svelte';
	import type { SoundSettings } from './sounds';

	/** A session under way, one thumb high. */
	interface Props {
		runner: Runner;
		/** Of the strap that goes along; null: none. */
		monitor: HeartMonitor | null;
		/** Connects the strap that went along once more. */
		onheart: () => void;
		units: Units;
		sounds: SoundSettings;
		onsounds: (sounds: SoundSettings) => void;
		/** Whether the browser keeps the page silent until it is touched. */
		silent: boolean;
		onsilent: () => void;
	}
	let { runner, monitor, onheart, units, sounds, onsounds, silent, onsilent }: Props = $props();
	const { course } = $derived(runner);
	const moment = $derived(runner.moment);
	const step = $derived(runner.step);
	const paused = $derived(moment.phase === 'paused');
	const ROUND = 'btn btn-ghost h-16 min-h-16 w-[56px] shrink-0 p-0';
	const MAIN = 'grow basis-[6.5rem]';
	let more = $state(false);
	/** Whether the clock stands only because the sheet is open. */
	let heldByMore = $state(false);

	const used = $derived(formsInUse(runner.acts));
	/** The sets that were done last, to be noted while resting. */
	const justDone = $derived.by(() => {
		const ahead = course.steps.slice(moment.step).find(({ kind }) => kind === 'work')?.tasks ?? [];
		for (let i = moment.step - 1; i >= 0; i--) {
			const before = course.steps[i];
			if (before?.kind !== 'work' || !moment.outcomes.has(i)) continue;
			if (before.counting === 'all' || before.counting === 'again') return [];
			return before.tasks.flatMap(({ exercise, set, block, part }) => {
				// The other side of it, or the same with less weight, is still to come.
				if (ahead.some((next) => next.exercise === exercise && next.set === set)) return [];
				const of = course.exercises[exercise];
				const found = runner.log.sets.find(
					(one) => one.block === block && one.part === part && one.set === set
				);
				return of && found ? [{ exercise: of, at: exercise, ...found }] : [];
			});
		}
		return [];
	});
	/** What the sheet with more speaks of: the work of now, what was just done, or what comes first. */
	const upNext = $derived(nextWork(course, moment.step, moment.leftOut)?.tasks[0]?.exercise ?? null);
	const about = $derived(
		step?.kind === 'work' ? (step.tasks[0]?.exercise ?? null) : (justDone[0]?.at ?? upNext)
	);
	const go = (...deeds: Deed[]) => deeds.forEach((deed) => runner.do(deed));
	const toggle = () => runner.do({ do: paused ? 'resume' : 'pause' });
	const end = () => runner.do({ do: 'done' });
	function openMore() {
		heldByMore = moment.phase === 'going';
		if (heldByMore) runner.do({ do: 'pause' });
		more = true;
	}
	function closeMore() {
		more = false;
		if (heldByMore) runner.do({ do: 'resume' });
	}

	function onkeydown(event: KeyboardEvent) {
		const { target } = event;
		if (more || event.ctrlKey || event.metaKey || event.altKey) return;
		if (target instanceof HTMLElement && target.closest('input, select, textarea, button, a')) return;
		const keys: Record<string, () => void> = {
			' ': toggle,
			Enter: end,
			ArrowRight: () => runner.do({ do: 'skip' }),
			ArrowLeft: () => runner.do({ do: 'back' })
		};
		const work = keys[event.key];
		if (!work) return;
		event.preventDefault();
		work();
	}
</script>

<svelte:window {onkeydown} />

<div class="bg-base-200 fixed inset-0 flex flex-col">
	<!-- It scrolls where the text is large, also from the keyboard. -->
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<section
		class="mx-auto flex min-h-0 w-full max-w-xl flex-1 flex-col gap-3 overflow-y-auto px-4 pt-3 pb-2"
		tabindex="0"
		aria-label="Now"
	>
		<RunProgress {course} {moment} />
		{#if monitor && monitor.state !== 'none'}<HeartNow
				{monitor}
				now={runner.now}
				asked={step?.kind === 'work' ? (course.blocks[step.block]?.rate ?? null) : null}
				since={runner.now - moment.gone * 1000}
			/>{/if}
		{#if monitor && (monitor.state === 'none' || monitor.state === 'gone')}<button
				class="btn btn-outline min-h-11"
				onclick={onheart}>Connect the strap again</button
			>{/if}
		{#if runner.absence && runner.absence.sets > 0}<RunAbsence
				absence={runner.absence}
				canGoBack={runner.absence.isLast}
				onanswer={(answer) => runner.answer(answer)}
			/>{/if}
		{#if silent}<div
				class="remark bg-base-100 flex flex-wrap items-center justify-between gap-x-3 gap-y-1 p-2"
				role="status"
			>
				<p class="min-w-40 flex-1">The sound is off until you touch the screen.</p>
				<button class="btn btn-primary min-h-11 shrink-0 whitespace-nowrap" onclick={onsilent}
					>Continue</button
				>
			</div>{/if}
		{#if runner.unkept}<p class="remark remark-attention" role="alert">
				This device has no room to keep your session. Leave this page open until you have checked in.
			</p>{/if}
		<p class="sr-only" aria-live="assertive">{runner.called}</p>
		{#if paused}
			<div class="flex flex-1 flex-col items-center justify-center gap-4 text-center">
				<h1 class="text-4xl">Paused</h1>
				<p class="quiet text-xl">
					{clockText(moment.elapsed)} done, about {minutesText(moment.remaining)} left
				</p>
			</div>
		{:else if step?.kind === 'work'}
			<RunStep {course} {moment} {step} {used} oncount={(by) => runner.do({ do: 'count', by })} />
		{:else if step}
			<RunRest {course} {moment} {step}>
				{#each justDone as one (`${one.at}.${one.set}`)}
					<RunSet {...one} {units} onlog={(deed) => runner.do(deed)} />
				{/each}
			</RunRest>
		{/if}
	</section>
	<div class="border-base-300 bg-base-100 border-t">
		<!-- At twice the text size the main button has a line of its own; nothing is cut off. -->
		<div class="mx-auto flex max-w-xl flex-wrap gap-2 p-3">
			<button class={ROUND} aria-label="Back" onclick={() => runner.do({ do: 'back' })}
				><ChevronLeft size={28} aria-hidden="true" /></button
			>
			<button class={ROUND} aria-label={paused ? 'Go on' : 'Pause'} onclick={toggle}
				>{#if paused}<Play size={28} aria-hidden="true" />{:else}<Pause
						size={28}
						aria-hidden="true"
					/>{/if}</button
			>
			<button class={ROUND} aria-label="More" onclick={openMore}
				><Ellipsis size={28} aria-hidden="true" /></button
			>
			{#if paused}
				<button class="btn btn-primary min-h-16 {MAIN} text-2xl" onclick={toggle}>Go on</button>
			{:else if step?.kind === 'work' && step.ends === 'person'}
				<button class="btn btn-primary min-h-16 {MAIN} text-2xl" onclick={end}>Done</button>
			{:else if step?.kind === 'work'}
				<button class="btn btn-outline min-h-16 {MAIN} text-xl" onclick={end}
					>{step.counting === 'all' ? 'All done' : 'End early'}</button
				>
			{:else}
				<div class="flex gap-2 {MAIN}">
					<button
						class="btn btn-outline min-h-16 flex-1 px-1 text-lg"
						onclick={() => runner.do({ do: 'longer', seconds: 15 })}>+15 s</button
					>
					<button class="btn btn-primary min-h-16 flex-1 px-1 text-xl" onclick={end}>Go</button>
				</div>
			{/if}
		</div>
	</div>
	{#if more}<RunMore
			exercise={about === null ? null : (course.exercises[about] ?? null)}
			at={about ?? 0}
			used={about === null ? null : (used.get(about) ?? null)}
			{sounds}
			{onsounds}
			ondeed={go}
			onclose={closeMore}
		/>{/if}
</div>
