<script lang="ts">
	import { enhance } from '$app/forms';
	import { amountsText, howText, unitOf } from '$core/session/amount';
	import { readIn } from '$core/kit/units';
	import { askedOf } from '$core/session/prescription';
	import LogExercise from '$lib/features/me/LogExercise.svelte';
	import Scale from '$lib/features/me/Scale.svelte';
	import { dayAndTimeIn, percent } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const day = $derived(data.day);
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
	let sending = $state(false);
	let unsent = $state(false);

	function amount(block: number, part: number, set: number, expected: number): number {
		const own = typed?.sets ?? (before && before.done === 'part' ? before.sets : null);
		if (!own) return expected;
		return own.find((s) => s.block === block && s.part === part && s.set === set)?.amount ?? 0;
	}
	const kg = (block: number, part: number, expected: number | null): number | null =>
		(typed?.sets ?? before?.sets ?? []).find((s) => s.block === block && s.part === part)?.kg ?? expected;
</script>

<svelte:head><title>Check-in, day {day.day}</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main>
	<h1 class="text-3xl">{before ? 'Correct' : 'Check in'}, day {day.day}</h1>
	<p class="quiet mb-4">{day.session.name}</p>
	{#if closed}
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

	<form
		method="post"
		class="flex flex-col gap-6"
		use:enhance={() => {
			sending = true;
			unsent = false;
			return async ({ result, update }) => {
				// Without an answer nothing is lost: the same check-in can be sent again, and counts once.
				unsent = result.type === 'error';
				if (!unsent) await update({ reset: false });
				sending = false;
			};
		}}
	>
		<input type="hidden" name="id" value={data.id} />
		<input type="hidden" name="versionId" value={day.session.versionId} />
		{#if before}<input type="hidden" name="replaces" value={before.id} />{/if}

		<fieldset>
			<legend class="font-head mb-2 text-lg font-bold">How much of it</legend>
			<div class="grid grid-cols-3 gap-2">
				{#each [['all', 'As planned'], ['part', 'Partly'], ['none', 'Not at all']] as const as [value, label] (value)}
					<label
						class={[
							'flex min-h-14 cursor-pointer items-center justify-center rounded border px-1 text-center font-semibold has-focus-visible:outline-2',
							done === value
								? 'bg-primary text-primary-content border-primary'
								: 'bg-base-100 border-base-300'
						]}
					>
						<input class="sr-only" type="radio" name="done" {value} bind:group={done} />{label}
					</label>
				{/each}
			</div>
			{#if done === 'all'}<p class="quiet mt-1 text-[15px]">
					Every set, rep and load as planned. Choose Partly to change just what differed.
				</p>{/if}
		</fieldset>

		{#if done === 'part'}
			<section aria-label="What was done">
				<p class="quiet mb-1 text-[15px]">
					Everything is filled in as planned. Change only what was different.
				</p>
				{#each prescription as exercise (`${exercise.block}.${exercise.part}`)}
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
		<Scale
			name="energy"
			label="Energy today"
			low="empty"
			high="full"
			from={1}
			to={5}
			value={typed?.energy ?? before?.energy ?? null}
		/>

		<label class="flex items-center justify-between gap-3">
			<span class="font-head text-lg font-bold">Sleep last night</span>
			<span class="flex items-center gap-2"
				><input
					name="sleepHours"
					inputmode="decimal"
					class="input min-h-12 w-20 text-center text-lg"
					placeholder="7.5"
					value={typed?.sleepHours ?? before?.sleepHours ?? ''}
				/> hours</span
			>
		</label>

		<div>
			<label class="flex min-h-12 items-center gap-3 text-lg"
				><input type="checkbox" class="checkbox" bind:checked={hurting} /> Something hurts</label
			>
			{#if hurting}
				<input
					name="hurts"
					class="input mt-1 min-h-12 w-full"
					maxlength="300"
					placeholder="Where, how much of 10, in which exercise"
					aria-label="What hurts"
					value={typed?.hurts ?? before?.hurts ?? ''}
				/>
				<p class="remark remark-safety mt-2 text-[15px]">
					Pain is not soreness. Leave out what hurts; your coach sees this first. If it is sharp or lasts, let
					a doctor or physiotherapist look at it.
				</p>
			{/if}
		</div>

		<label class="block"
			><span class="font-head text-lg font-bold">Note to your coach</span>
			<textarea name="note" rows="2" maxlength="1000" class="textarea mt-1 w-full text-[17px]"
				>{typed?.note ?? before?.note ?? ''}</textarea
			>
		</label>

		{#if unsent}
			<p class="remark remark-attention font-semibold" role="alert">
				It did not get through. Everything you typed is still here: send it again when there is a connection.
			</p>
		{/if}
		{#if form?.message}
			<p class="remark remark-attention font-semibold" role="alert">{form.message}</p>
		{/if}
		<button class="btn btn-primary min-h-14 text-lg" disabled={sending || done === ''}
			>{sending ? 'Sending …' : done === '' ? 'Say how much first' : 'Send'}</button
		>
	</form>
</main>
