<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import type { Act } from '$core/run';
	import { minutesText } from '$lib/format';
	import CallList from '$lib/features/lead/CallList.svelte';
	import LeadNow from '$lib/features/lead/LeadNow.svelte';
	import { liveGroup } from '$lib/features/live/live-group.svelte';
	import TrainingNow from '$lib/features/live/TrainingNow.svelte';
	import { DeviceClock } from '$lib/features/run/device-clock';
	import { Runner } from '$lib/features/run/runner.svelte';
	import { readSounds, Sounds, USUAL_SOUNDS } from '$lib/features/run/sounds';
	import { keepAwake } from '$lib/features/run/wake-lock';
	import { passingStore } from '$lib/offline/store';
	import { isTyping } from '$lib/ui/keys';
	import Plate from '$lib/ui/Plate.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const sounds = new Sounds({ ...USUAL_SOUNDS, vibration: false });
	// svelte-ignore state_referenced_locally
	const runner = new Runner(
		{
			key: `lead ${data.challenge.id} ${data.leads}`,
			id: data.versionId,
			day: data.leads,
			versionId: data.versionId,
			course: data.course,
			acts: [],
			seen: Date.now(),
			first: 'left'
		},
		passingStore(),
		new DeviceClock(),
		sounds
	);
	const moment = $derived(runner.moment);
	// svelte-ignore state_referenced_locally
	const live = liveGroup(data.challenge.id, data.leads, data.live);
	/** What stands beside the clock: what is called, or the group. */
	let beside = $state<'calls' | 'group'>('group');
	let speed = $state(1);
	let link: BroadcastChannel | null = null;

	/** What one window tells the other: all that was done, or that it has just come. */
	type Word = { acts: Act[] } | 'hello';
	const tell = (word: Word) => link?.postMessage(word);

	onMount(() => {
		sounds.settings = { ...readSounds(localStorage), vibration: false };
		if (data.screen) sounds.settings = { voice: false, tones: false, vibration: false, pacing: false };
		link = new BroadcastChannel(`cadrex lead ${data.challenge.id} ${data.leads}`);
		link.onmessage = ({ data: word }: MessageEvent<Word>) => {
			if (word === 'hello') tell({ acts: [...runner.acts] });
			else if (data.screen) runner.acts = word.acts;
		};
		if (data.screen) tell('hello');
		runner.run();
		const release = keepAwake();
		const unfollow = data.screen ? () => {} : live.follow();
		return () => {
			release();
			unfollow();
			runner.stop();
			link?.close();
		};
	});

	function act(deed: Parameters<Runner['do']>[0]) {
		void sounds.unlock();
		runner.do(deed);
		tell({ acts: [...runner.acts] });
	}
	const toggle = () =>
		moment.phase === 'ready'
			? act({ do: 'start', ...(speed > 1 && { speed }) })
			: act({ do: moment.phase === 'paused' ? 'resume' : 'pause' });
	const KEYS: Record<string, () => void> = {
		' ': toggle,
		ArrowRight: () => act({ do: 'done' }),
		ArrowLeft: () => act({ do: 'back' })
	};
	function onkeydown(event: KeyboardEvent) {
		const work = KEYS[event.key];
		if (!work || data.screen || isTyping(event)) return;
		if (event.target instanceof HTMLElement && event.target.closest('button') && event.key === ' ') return;
		event.preventDefault();
		work();
	}
	const began = Date.now();
	const training = $derived(live.now.present.filter(({ day }) => day === data.leads));
	const states = $derived({
		done: live.now.group.filter(({ state }) => ['done', 'partial', 'late'].includes(state)),
		open: live.now.group.filter(({ state }) => state === 'open'),
		other: live.now.group.filter(({ state }) => !['done', 'partial', 'late', 'open'].includes(state))
	});
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Lead day {data.leads}, {data.course.name}</title></svelte:head>
<div class="bg-base-100 fixed inset-0 z-30 flex">
	<section class="flex min-w-0 flex-1 flex-col" aria-label="Now">
		<p class="sr-only" aria-live="assertive">{runner.called}</p>
		<LeadNow course={runner.course} {moment} />
		{#if !data.screen}
			<div class="border-base-300 flex flex-wrap items-center gap-3 border-t p-3">
				<button class="btn btn-primary min-w-36" onclick={toggle}
					>{moment.phase === 'ready' ? 'Start' : moment.phase === 'paused' ? 'Go on' : 'Pause'}</button
				>
				<button
					class="btn btn-outline"
					disabled={moment.phase === 'ready'}
					onclick={() => act({ do: 'back' })}>Back</button
				>
				<button
					class="btn btn-outline"
					disabled={moment.phase === 'ready' || moment.phase === 'over'}
					onclick={() => act({ do: 'done' })}>Next</button
				>
				<button
					class="btn btn-ghost"
					disabled={moment.phase === 'ready' || moment.phase === 'over'}
					onclick={() => act({ do: 'longer', seconds: 15 })}>+15 s</button
				>
				{#if moment.phase === 'ready'}
					<label class="flex items-center gap-2"
						>Pace <select class="select select-sm w-44" bind:value={speed}>
							<option value={1}>as planned</option><option value={4}>rehearsal, 4 times</option>
						</select></label
					>
				{:else}
					<span class="quiet text-sm">Space pauses and goes on, the arrow keys go back and on</span>
				{/if}
				<span class="ml-auto flex gap-4">
					<a class="link-quiet" href="{page.url.pathname}?screen=yes" target="_blank" rel="opener"
						>Second screen</a
					>
					<a class="link-quiet" href="{base}/desk">Leave</a>
				</span>
			</div>
		{/if}
	</section>
	{#if !data.screen}
		<aside
			class="border-base-300 flex w-80 shrink-0 flex-col gap-3 overflow-y-auto border-l p-4 text-sm"
			aria-label={beside === 'calls' ? 'What is called' : 'The group'}
		>
			<div class="grid grid-cols-2 gap-1" role="group" aria-label="Shown beside the clock">
				{#each [['group', `The group, ${live.now.group.length}`], ['calls', 'Call sheet']] as const as [value, label] (value)}<button
						class={['btn btn-sm', beside === value ? 'btn-primary' : 'btn-outline']}
						aria-pressed={beside === value}
						onclick={(event) => {
							beside = value;
							// After a click the keys are those of the session again.
							if (event.detail > 0) event.currentTarget.blur();
						}}>{label}</button
					>{/each}
			</div>
			{#if beside === 'calls'}
				<p class="quiet">{minutesText(data.course.seconds)} in all, times as planned</p>
				<CallList course={runner.course} step={moment.phase === 'ready' ? -1 : moment.step} />
			{:else}
				{#if training.length > 0}
					<div>
						<h3>Training now, {training.length}</h3>
						<TrainingNow present={training} now={data.now + (runner.now - began)} {base} />
					</div>
				{/if}
				{#each [['Done', states.done], ['Open, not done', states.open], ['Others', states.other]] as const as [label, people] (label)}
					{#if people.length > 0}
						<div>
							<h3>{label}, {people.length}</h3>
							<ul>
								{#each people as one (one.id)}<li class="flex items-center gap-2 py-0.5">
										<Plate state={one.state} credit={one.credit} scale={0.8} />
										<span class="truncate">{one.name}</span>
									</li>{/each}
							</ul>
						</div>
					{/if}
				{/each}
				{#if !live.told}<p class="quiet">Looked at every 15 seconds.</p>{/if}
			{/if}
			<a class="link-quiet" href="{base}/desk">To the desk</a>
		</aside>
	{/if}
</div>
