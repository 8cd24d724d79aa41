<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import { DeviceClock, serverOffset } from '$lib/features/run/device-clock';
	import { Runner } from '$lib/features/run/runner.svelte';
	import type { Beat } from '$core/heart';
	import { beginningAt } from '$core/run';
	import { HeartMonitor, keepHeart, readHeart, type HeartSettings } from '$lib/heart/monitor.svelte';
	import { bluetoothStrap, standInStrap } from '$lib/heart/straps';
	import HeartFields from '$lib/features/run/HeartFields.svelte';
	import HeartSummary from '$lib/features/run/HeartSummary.svelte';
	import { sendTold, Telling, toldOf } from '$lib/features/run/telling';
	import { holdRun, type Release } from '$lib/features/run/run-lock';
	import RunOver from '$lib/features/run/RunOver.svelte';
	import RunReady from '$lib/features/run/RunReady.svelte';
	import RunSession from '$lib/features/run/RunSession.svelte';
	import { keepSounds, readSounds, Sounds, USUAL_SOUNDS, type SoundSettings } from '$lib/features/run/sounds';
	import { keepAwake } from '$lib/features/run/wake-lock';
	import { deviceStore, runKey, type DeviceStore, type KeptRun } from '$lib/offline/store';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let runner = $state.raw<Runner | null>(null);
	let store = $state.raw<DeviceStore | null>(null);
	let settings = $state.raw<SoundSettings>(USUAL_SOUNDS);
	let first = $state<'left' | 'right'>('left');
	let heart = $state.raw<HeartSettings | null>(null);
	let monitor = $state.raw<HeartMonitor | null>(null);
	const sounds = new Sounds(USUAL_SOUNDS);
	/** What belongs to a session though it was recorded a little before or after it: milliseconds. */
	const AROUND = 60_000;
	/** The session is done once more, beside the plan. */
	const again = $derived(page.url.searchParams.has('again'));
	const key = $derived(runKey(data.enrolment, data.day, again));
	const phase = $derived(runner?.moment.phase ?? 'ready');

	/** Milliseconds by which the server's clock is ahead, as far as it was reached since the page was opened. */
	let offset: number | null = null;
	function make(kept: KeptRun, keeping: DeviceStore) {
		runner?.stop();
		runner = new Runner(kept, keeping, new DeviceClock(), sounds, offset);
		first = kept.first;
		runner.run();
	}
	const fresh = (from: number): KeptRun => ({
		key,
		id: crypto.randomUUID(),
		day: data.day,
		versionId: data.versionId,
		course: beginningAt(data.course, from),
		acts: [],
		seen: Date.now(),
		first
	});

	/** Lets other windows of this device lead the session; null: another one does. */
	let hold = $state.raw<Release | null>(null);
	let elsewhere = $state(false);
	/** Another window has taken it: what it goes on with is not touched from here any more. */
	function lost() {
		hold = null;
		elsewhere = true;
		runner?.leave();
		runner = null;
		monitor?.stop();
	}
	async function open(take: boolean) {
		if (!store) return;
		hold = await holdRun(key, take, lost);
		elsewhere = hold === null;
		if (!hold) return;
		const kept = await store.run(key);
		// What somebody has begun goes on as they began it, whatever was changed in the plan meanwhile.
		if (kept && kept.acts.length > 0) {
			offset = await serverOffset();
			make(kept, store);
			silent = sounds.isLocked;
		}
		const beats = await store.beats(key);
		if (heart && beats.length > 0) monitor ??= new HeartMonitor(heart, beats, Date.now);
	}

	onMount(() => {
		settings = readSounds(localStorage);
		heart = readHeart(localStorage);
		sounds.settings = settings;
		let gone = false;
		void deviceStore().then(async (found) => {
			if (gone) return;
			store = found;
			await open(false);
			if (gone) hold?.();
		});
		const seen = () => {
			if (document.visibilityState === 'hidden') return runner?.hidden();
			void runner?.woken(serverOffset);
			silent = sounds.isLocked;
		};
		void serverOffset().then((told) => (offset ??= told));
		document.addEventListener('visibilitychange', seen);
		const hidden = () => telling.leave();
		window.addEventListener('pagehide', hidden);
		return () => {
			gone = true;
			document.removeEventListener('visibilitychange', seen);
			window.removeEventListener('pagehide', hidden);
			telling.leave();
			hold?.();
			runner?.stop();
			monitor?.stop();
		};
	});

	$effect(() => {
		if (phase === 'going' || phase === 'paused') return keepAwake();
	});

	/** Whether the browser keeps the page silent until it is touched, as after a reload. */
	let silent = $state(false);
	async function unlock() {
		await sounds.unlock();
		if (silent) silent = sounds.isLocked;
	}
	async function start(from: number) {
		if (!store) return;
		await unlock();
		make(fresh(from), store);
		const speed = data.demo ? Number(page.url.searchParams.get('speed') ?? 1) : 1;
		runner?.do({ do: 'start', ...(speed > 1 && { speed }) });
	}
	/** How hard the work of now is for a simulated heart. */
	const effort = (): number => {
		const step = runner?.step;
		if (phase !== 'going' || !step) return 0.1;
		const { role } = runner?.course.blocks[step.block] ?? { role: 'main' };
		if (step.kind !== 'work') return 0.35;
		return role === 'main' ? 0.75 : 0.45;
	};
	async function connect(next: HeartSettings) {
		const strap = next.strap === 'bluetooth' ? await bluetoothStrap() : standInStrap(next, effort);
		const made = new HeartMonitor(next, (await store?.beats(key)) ?? [], Date.now);
		await made.connect(strap);
		monitor?.stop();
		monitor = made;
		heart = next;
		keepHeart(localStorage, next);
	}
	function reconnect() {
		if (heart) void connect(heart).catch(() => (unreached = true));
	}
	let unreached = $state(false);
	/** A file that another device recorded, as far as it is of this session. */
	function readBeats(beats: Beat[]) {
		if (!heart || !store) return;
		const from = runner?.log.startedAt ?? 0;
		const during = beats.filter(({ at }) => at >= from - AROUND && at <= Date.now() + AROUND);
		outside = during.length === 0;
		if (outside) return;
		monitor?.stop();
		monitor = new HeartMonitor(heart, during, Date.now);
		void store.keepBeats(key, during);
	}
	let outside = $state(false);
	$effect(() => {
		const beats = monitor?.beats ?? [];
		// Every few seconds: what is lost when the page is killed is no more than that.
		if (beats.length > 0 && beats.length % 5 === 0) void store?.keepBeats(key, beats);
	});
	$effect(() => {
		if (phase === 'over' && monitor && monitor.state !== 'none') {
			monitor.stop();
			void store?.keepBeats(key, monitor.beats);
		}
	});
	const telling = $derived(new Telling(sendTold(data.day)));
	$effect(() => {
		if (runner && phase !== 'ready') telling.tell(toldOf(runner.course, runner.moment, runner.log));
	});
	function change(next: SoundSettings) {
		settings = next;
		sounds.settings = next;
		keepSounds(localStorage, next);
	}
	async function discard() {
		runner?.stop();
		runner = null;
		await store?.dropRun(key);
	}
	const pieces = $derived(
		data.pieces.map(({ dayPart, step, done }, i) => ({
			label: dayPart ?? `Part ${i + 1}`,
			step,
			done
		}))
	);
</script>

<svelte:window onpointerdown={() => silent && void unlock()} onkeydown={() => silent && void unlock()} />
<svelte:head><title>Day {data.day}, {data.course.name}</title></svelte:head>
{#if elsewhere}
	<main class="flex flex-col gap-4">
		<h1 class="text-3xl">{data.course.name}</h1>
		<p class="remark remark-attention" role="alert">
			This session is open in another window of this device. It is led there.
		</p>
		<button class="btn btn-primary min-h-14 text-lg" onclick={() => void open(true)}
			>Go on in this window</button
		>
		<a class="btn btn-outline min-h-14 text-lg" href="/me">To today</a>
	</main>
{:else if runner && (phase === 'going' || phase === 'paused')}
	{#if unreached}<p class="remark remark-attention" role="alert">The strap was not reached.</p>{/if}
	<main>
		<RunSession
			{runner}
			{monitor}
			onheart={reconnect}
			units={data.units}
			sounds={settings}
			onsounds={change}
			{silent}
			onsilent={() => void unlock()}
		/>
	</main>
{:else if runner && phase === 'over'}
	<main>
		<RunOver
			course={runner.course}
			log={runner.log}
			day={data.day}
			absence={runner.absence}
			onanswer={(answer) => runner?.answer(answer)}
		>
			{#if data.rateIsGuide}<HeartSummary
					beats={monitor?.beats ?? []}
					who={heart}
					file="day-{data.day}"
					onread={readBeats}
				/>{/if}
			{#if outside}<p class="remark remark-attention" role="alert">
					Nothing in that file is from the time of this session.
				</p>{/if}
		</RunOver>
	</main>
	<div class="bg-base-200 border-base-300 fixed inset-x-0 bottom-0 border-t p-3">
		<div class="mx-auto flex max-w-xl flex-wrap gap-2">
			<button class="btn btn-ghost min-h-16" onclick={() => runner?.do({ do: 'back' })}>Not yet</button>
			<button class="btn btn-ghost min-h-16" onclick={discard}>Discard</button>
			<a
				class="btn btn-primary min-h-16 flex-1 basis-40 text-2xl"
				href="/me/day/{data.day}/check-in?run={again ? 'again' : 'yes'}">Check in</a
			>
		</div>
	</div>
{:else}
	<p>
		<a class="link-quiet inline-flex min-h-11 items-center" href={again ? `/me/history/${data.day}` : '/me'}
			>{again ? 'Back to your history' : 'Back to today'}</a
		>
	</p>
	<main>
		<RunReady
			course={data.course}
			day={data.day}
			sounds={settings}
			onsounds={change}
			{first}
			onfirst={(side) => (first = side)}
			pieces={again ? [] : pieces}
			onstart={start}
		>
			<HeartFields
				settings={heart}
				{monitor}
				guide={data.rateIsGuide}
				demo={data.demo}
				onconnect={connect}
				onstop={() => monitor?.stop()}
			/>
		</RunReady>
	</main>
{/if}
