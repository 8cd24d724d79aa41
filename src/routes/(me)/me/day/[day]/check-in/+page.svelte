<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { amountsText, howText, unitOf } from '$core/session/amount';
	import { readIn } from '$core/kit/units';
	import { askedOf } from '$core/session/prescription';
	import { answerAbsence } from '$core/run';
	import { clockText } from '$core/session';
	import { serverOffset } from '$lib/features/run/device-clock';
	import RunAbsence from '$lib/features/run/RunAbsence.svelte';
	import { readCheckinForm } from '$lib/offline/check-in-form';
	import { summaryOf } from '$core/heart';
	import { readHeart } from '$lib/heart/monitor.svelte';
	import { deviceQueue } from '$lib/offline/queue.svelte';
	import { doneRun, hurtsText, runKg, withRun, type DoneRun } from '$lib/offline/run-result';
	import { runKey } from '$lib/offline/store';
	import { findConflict, type Conflict } from '$lib/offline/two-results';
	import BeyondFields from '$lib/features/me/BeyondFields.svelte';
	import LogExercise from '$lib/features/me/LogExercise.svelte';
	import HowMuch from '$lib/features/me/HowMuch.svelte';
	import NumberLine from '$lib/features/me/NumberLine.svelte';
	import PainFields from '$lib/features/me/PainFields.svelte';
	import Scale from '$lib/features/me/Scale.svelte';
	import SoreMap from '$lib/features/me/SoreMap.svelte';
	import TwoResults from '$lib/features/me/TwoResults.svelte';
	import type { Question, Soreness } from '$core/wellbeing';
	import { dayAndTimeIn, percent } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const day = $derived(data.day);
	/** The session is done once more, beside the plan: what stands for the day is left as it is. */
	const again = $derived(page.url.searchParams.get('run') === 'again');
	const before = $derived(day.checkin);
	// What was typed comes back after a refusal; otherwise what was sent before, if this corrects it.
	const typed = $derived(form?.typed ?? null);
	const prescription = $derived(day.session.asked);
	const late = $derived(data.now >= day.window.due);
	const closed = $derived(data.now >= day.window.closes);

	// svelte-ignore state_referenced_locally
	let done = $state<string>(typed?.done ?? before?.done ?? '');
	// svelte-ignore state_referenced_locally
	let hurting = $state((typed?.hurts ?? before?.hurts ?? '') !== '');
	// Bound, not only shown: what is drawn anew after a refusal must not put back what stood there before.
	// svelte-ignore state_referenced_locally
	let sleep = $state(String(typed?.sleepHours ?? before?.sleepHours ?? ''));
	// svelte-ignore state_referenced_locally
	let hurts = $state(typed?.hurts ?? before?.hurts ?? '');
	// svelte-ignore state_referenced_locally
	let note = $state(typed?.note ?? before?.note ?? '');
	// svelte-ignore state_referenced_locally
	let water = $state(String(typed?.well?.waterLitres ?? before?.well.waterLitres ?? ''));
	// svelte-ignore state_referenced_locally
	let win = $state(typed?.well?.win ?? before?.well.win ?? '');
	// svelte-ignore state_referenced_locally
	let fuel = $state(
		((met) => (met === true ? 'yes' : met === false ? 'no' : ''))(
			typed?.well?.fuelMet ?? before?.well.fuelMet ?? null
		)
	);
	// svelte-ignore state_referenced_locally
	let pain = $state({
		area: String(typed?.well?.pain?.area ?? before?.well.pain?.area ?? ''),
		kind: String(typed?.well?.pain?.kind ?? before?.well.pain?.kind ?? ''),
		intensity: (typed?.well?.pain?.intensity ?? before?.well.pain?.intensity ?? null) as number | null,
		at: ((at) => (at ? `${at.block}.${at.part}` : ''))(typed?.well?.pain?.at ?? before?.well.pain?.at)
	});
	/** Done once more beside the plan, nothing is asked of the day. */
	const asks = (question: Question) => !again && data.questions.includes(question);
	let sending = $state(false);
	let refused = $state('');
	/** Another result for this day, sent from elsewhere in the meantime, with the one that was refused for it. */
	let two = $state.raw<{ conflict: Conflict; id: string; body: Record<string, unknown> } | null>(null);
	/** It waits on the device for a connection. */
	let kept = $state(false);
	/** The session that was led on this device, with what was done of it. */
	let run = $state.raw<DoneRun | null>(null);

	onMount(async () => {
		const { store } = await deviceQueue.open(data.enrolment);
		if (!page.url.searchParams.has('run')) return;
		const key = runKey(data.enrolment, day.day, again);
		const heart = readHeart(localStorage);
		take(
			doneRun(
				await store.run(key),
				Date.now(),
				heart && summaryOf(await store.beats(key), heart),
				await serverOffset()
			)
		);
		if (!run) return;
		if (run.log.hurts.length > 0) {
			hurting = true;
			hurts = hurtsText(run.log);
		}
	});
	function take(found: DoneRun | null) {
		run = found;
		if (found) done = found.log.done;
	}
	/** Sets that the clock passed while nobody was seen count on a yes; the answer is kept with the session. */
	async function answer(said: 'did' | 'did-not' | 'back') {
		if (!run) return;
		const acts = answerAbsence(run.kept.acts, said, Date.now());
		const { store } = await deviceQueue.open(data.enrolment);
		await store.keepRun({ ...run.kept, acts, seen: Date.now() });
		take(doneRun({ ...run.kept, acts, seen: Date.now() }, Date.now(), run.heart));
	}
	async function send(form: FormData) {
		const input = readCheckinForm(form, day.day);
		const id = run?.kept.id ?? input.id ?? crypto.randomUUID();
		const body = {
			...(run ? withRun(input, run, before !== null) : { ...input, doneAt: Date.now() }),
			again
		};
		await sendBody(id, body);
	}
	/** Leaves the result that the server has, and discards the one on this device. */
	async function keepOther() {
		const { store } = await deviceQueue.open(data.enrolment);
		if (run) await store.dropRun(run.kept.key);
		await goto(`/me/day/${day.day}/result`, { invalidateAll: true });
	}
	async function sendBody(id: string, body: Record<string, unknown>) {
		const what = { id, kind: 'check-in', day: day.day, body } as const;
		const sent = await deviceQueue.send(data.enrolment, what);
		if (sent.refused !== null) {
			const conflict = again ? null : await findConflict(what);
			two = conflict && { conflict, id, body };
			refused = sent.refused;
			return;
		}
		const { store } = await deviceQueue.open(data.enrolment);
		if (run) await store.dropRun(run.kept.key);
		kept = sent.kept;
		// Without a connection there may be no page to go to: this one says that nothing is lost.
		if (!kept)
			await goto(again ? `/me/history/${day.day}` : `/me/day/${day.day}/result`, { invalidateAll: true });
	}

	function amount(block: number, part: number, set: number, expected: number): number {
		if (run)
			return run.log.sets.find((s) => s.block === block && s.part === part && s.set === set)?.amount ?? 0;
		const own = typed?.sets ?? (before && before.done === 'part' ? before.sets : null);
		if (!own) return expected;
		return own.find((s) => s.block === block && s.part === part && s.set === set)?.amount ?? 0;
	}
	const kg = (block: number, part: number, expected: number | null): number | null =>
		run
			? runKg(run.log, block, part)
			: ((typed?.sets ?? before?.sets ?? []).find((s) => s.block === block && s.part === part)?.kg ??
				expected);
</script>

<svelte:head><title>Check-in, day {day.day}</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main>
	<h1 class="text-3xl">{again ? 'Done again' : before ? 'Correct' : 'Check in'}, day {day.day}</h1>
	<p class="quiet mb-4">{day.session.name}{run ? `, ${clockText(run.log.seconds)}` : ''}</p>
	{#if again}
		<p class="remark mb-4">
			This is kept and compared with the other times. It changes nothing of your days.
		</p>
	{:else if closed}
		<p class="remark remark-attention mb-4">
			This day closed on {dayAndTimeIn(data.zone, day.window.closes)}.
			{data.policy.afterClose === 'store'
				? 'What you send is kept, but counts nothing for your days.'
				: 'This challenge takes no results after that; what you send will be refused.'}
		</p>
	{:else if late}
		<p class="remark remark-attention mb-4">
			This is late and counts {percent(data.policy.lateWorth)}. It can be sent until {dayAndTimeIn(
				data.zone,
				day.window.closes
			)}.
		</p>
	{/if}

	{#if kept}
		<div class="panel p-4" role="status">
			<p class="text-xl font-semibold">Kept on this device</p>
			<p>It is sent by itself as soon as there is a connection, and counts as if it had been sent now.</p>
			<a class="btn btn-outline mt-3 min-h-14 w-full text-lg" href="/me">To today</a>
		</div>
	{:else}
		{#if two}
			{@const { conflict, id, body } = two}
			<section class="remark remark-attention" role="alert">
				<TwoResults
					day={day.day}
					{conflict}
					{body}
					madeAt={Number(body.doneAt ?? Date.now())}
					zone={data.zone}
					keep={keepOther}
					use={(replaces) => sendBody(id, { ...body, replaces, adds: false })}
				/>
			</section>
		{/if}
		<form
			method="post"
			class={['flex flex-col gap-6', two && 'hidden']}
			use:enhance={({ formData, cancel }) => {
				// It is kept on the device first and sent from there, whether there is a connection or not.
				cancel();
				sending = true;
				refused = '';
				two = null;
				void send(formData).finally(() => (sending = false));
			}}
		>
			<input type="hidden" name="id" value={data.id} />
			<input type="hidden" name="versionId" value={day.session.versionId} />
			{#if before}<input type="hidden" name="replaces" value={before.id} />{/if}

			{#if run?.absence && run.absence.sets > 0}<RunAbsence
					absence={run.absence}
					canGoBack={false}
					onanswer={(said) => void answer(said)}
				/>{/if}

			<HowMuch bind:done />

			{#if done === 'part'}
				<section aria-label="What was done">
					<p class="quiet mb-1 text-[15px]">
						Everything is filled in as planned. Change only what was different.
					</p>
					{#each prescription as exercise (`${exercise.block}.${exercise.part}.${run ? 'run' : ''}`)}
						<LogExercise
							exercise={exercise.exercise}
							at="{exercise.block}.{exercise.part}"
							unit={unitOf(exercise.target)}
							asked={[
								exercise.sets > 1 ? `${exercise.sets} ×` : '',
								amountsText(exercise.target, exercise.each),
								exercise.or ? `or ${amountsText(exercise.or)}, either counts` : '',
								exercise.perSide ? 'per side' : ''
							]
								.filter(Boolean)
								.join(' ')}
							load={readIn(howText(exercise), data.units)}
							units={data.units}
							expected={Array.from({ length: exercise.sets }, (_, i) => askedOf(exercise, i + 1))}
							amounts={Array.from({ length: exercise.sets }, (_, i) =>
								amount(exercise.block, exercise.part, i + 1, askedOf(exercise, i + 1))
							)}
							kg={kg(exercise.block, exercise.part, exercise.kg)}
							loaded={exercise.kg !== null}
						/>
					{/each}
				</section>
			{/if}

			<Scale
				name="effort"
				label="How hard was it"
				low="nothing at all"
				high="all I had"
				from={0}
				to={10}
				value={typed?.effort ?? before?.effort ?? null}
			/>
			{#if asks('energy')}<Scale
					name="energy"
					label="Energy today"
					low="empty"
					high="full"
					from={1}
					to={5}
					value={typed?.energy ?? before?.energy ?? null}
				/>{/if}
			{#if asks('mood')}<Scale
					name="mood"
					label="Mood today"
					low="low"
					high="good"
					from={1}
					to={5}
					value={typed?.well?.mood ?? before?.well.mood ?? null}
				/>{/if}

			{#if asks('sleep')}<NumberLine
					name="sleepHours"
					label="Sleep last night"
					unit="hours"
					placeholder="7.5"
					bind:value={sleep}
				/>{/if}

			{#if asks('soreness')}<SoreMap
					value={(typed?.well?.soreness ?? before?.well.soreness ?? {}) as Soreness}
				/>{/if}
			{#if asks('water')}<NumberLine
					name="waterLitres"
					label="Water today"
					unit="litres"
					placeholder="2"
					bind:value={water}
				/>{/if}
			{#if asks('fuel')}<fieldset class="flex items-center justify-between gap-3">
					<legend class="sr-only">Ate as planned</legend>
					<span class="font-head text-lg font-bold" aria-hidden="true">Ate as planned</span>
					<span class="flex gap-4 text-lg">
						{#each [['yes', 'Yes'], ['no', 'No']] as const as [value, label] (value)}
							<label class="flex min-h-11 items-center gap-2"
								><input type="radio" class="radio" name="fuelMet" {value} bind:group={fuel} />{label}</label
							>
						{/each}
					</span>
				</fieldset>{/if}

			<PainFields
				bind:hurting
				bind:hurts
				bind:pain
				exercises={run || again ? [] : prescription}
				details={!again}
			/>

			{#if !again}<BeyondFields
					before={typed?.beyond ?? before?.beyond ?? []}
					units={data.units}
					most={data.mostBeyond}
				/>{/if}

			{#if asks('win')}<label class="block"
					><span class="font-head text-lg font-bold">A small win</span>
					<input
						name="win"
						maxlength="300"
						class="input mt-1 min-h-12 w-full text-[17px]"
						placeholder="something that went better than before"
						bind:value={win}
					/>
				</label>{/if}

			{#if again || asks('note')}<label class="block"
					><span class="font-head text-lg font-bold">Note to your coach</span>
					<textarea
						name="note"
						rows="2"
						maxlength="1000"
						class="textarea mt-1 w-full text-[17px]"
						bind:value={note}></textarea>
				</label>{/if}

			{#if refused || form?.message}
				<p class="remark remark-attention font-semibold" role="alert">{refused || form?.message}</p>
			{/if}
			<button class="btn btn-primary min-h-14 text-lg" disabled={sending || done === ''}
				>{sending ? 'Sending …' : done === '' ? 'Say how much first' : 'Send'}</button
			>
		</form>
	{/if}
</main>
