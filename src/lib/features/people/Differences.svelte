<script lang="ts">
	import { enhance } from '$app/forms';
	import DaySpan from './DaySpan.svelte';
	import type { Want } from '$contracts/ask';
	import type { Origin, Override, OverrideChange } from '$core/day';
	import { libraryOf, type Exercise } from '$core/exercise';

	/** What is different for one person in their sessions: shown with its reason, taken back, added to. */
	interface Props {
		name: string;
		overrides: readonly (Override & { id: string; origin: Origin })[];
		own: readonly Exercise[];
		/** The day that the page speaks of, from which a new one holds. */
		today: number;
		days: number;
		form: { message?: string } | null;
		/** What was asked for and granted: the form opens with it; null: nothing. */
		granted?: Want | null;
		/** Open as the page comes up. */
		open?: boolean;
	}
	let { name, overrides, own, today, days, form, granted = null, open = false }: Props = $props();
	const names = $derived(libraryOf(own).names());
	// svelte-ignore state_referenced_locally
	const isMuch = granted === 'more' || granted === 'less';
	let on = $state<'exercise' | 'day'>('exercise');
	let change = $state<OverrideChange['kind']>(isMuch ? 'scale' : 'replace');
	/** Percent: what a request for more or less begins with. */
	const SHARES: Record<Want, number> = { more: 120, less: 80, other: 50 };
	const changes = $derived(
		on === 'exercise'
			? ([
					['replace', 'another exercise'],
					['leave out', 'leave it out'],
					['scale', 'less or more of it'],
					['load', 'another load'],
					['amount', 'a fixed amount'],
					['tempo', 'another tempo'],
					['rest', 'another rest']
				] as const)
			: ([['scale', 'less or more of it']] as const)
	);
	$effect(() => {
		if (on === 'day') change = 'scale';
	});

	function aboutText({ target }: Override): string {
		if (target.kind === 'exercise') return target.exercise;
		return target.kind === 'block' ? `Block ${target.block + 1}` : 'The whole session';
	}
	function changeText({ change: what }: Override): string {
		if (what.kind === 'replace') return what.exercise;
		if (what.kind === 'scale') return `${Math.round(what.share * 100)} %`;
		if (what.kind === 'load') return what.kg === null ? 'without a load' : `${what.kg} kg`;
		if (what.kind === 'amount') return `${what.amount} in each set`;
		if (what.kind === 'tempo') return `tempo ${what.tempo.join('-')}`;
		if (what.kind === 'rest') return `${what.seconds} s rest`;
		return 'left out';
	}
	/** What an override came from, as it is added to its reason. */
	const ORIGIN_TEXT: Record<Origin['kind'], string> = {
		coach: '',
		incident: ', after a pain report',
		're-entry': ', for the return',
		adaptation: ', adapted to results',
		participant: ', by the participant'
	};
	const daysText = ({ fromDay, toDay }: Override): string =>
		toDay === null
			? `from day ${fromDay} on`
			: fromDay === toDay
				? `day ${fromDay}`
				: `days ${fromDay} to ${toDay}`;
</script>

<section class="panel p-4" aria-labelledby="differs">
	<h2 id="differs">Different for {name}</h2>
	{#if overrides.length === 0}
		<p class="quiet mt-1 text-sm">
			Nothing is changed by hand. What {name} owns and has to leave out is fitted by itself.
		</p>
	{:else}
		<ul class="mt-1 flex flex-col gap-2 text-sm">
			{#each overrides as one (one.id)}
				<li class="flex items-baseline justify-between gap-2">
					<span
						><b>{aboutText(one)} → {changeText(one)}</b>, {daysText(one)}
						<span class="quiet block text-[13px]">{one.why}{ORIGIN_TEXT[one.origin.kind]}</span></span
					>
					<form method="post" action="?/same" use:enhance>
						<input type="hidden" name="override" value={one.id} /><button class="link-quiet">Remove</button>
					</form>
				</li>
			{/each}
		</ul>
	{/if}
	<details class="mt-2" open={open || granted !== null}>
		<summary class="cursor-pointer text-sm font-semibold">Change something for {name}</summary>
		{#if granted}<p class="remark mt-1 text-sm" role="status">
				You said yes: {granted === 'other' ? 'make the change' : `${granted} of it`} here.
			</p>{/if}
		<form method="post" action="?/differ" use:enhance class="mt-2 flex flex-col gap-2 text-sm">
			<label
				>What <select name="on" class="select select-sm w-full" bind:value={on}
					><option value="exercise">an exercise, wherever it comes</option><option value="day"
						>the whole session</option
					></select
				></label
			>
			{#if on === 'exercise'}
				<label
					>Exercise <input name="exercise" class="input input-sm w-full" list="exercises" required /></label
				>
			{/if}
			<label
				>Change <select name="change" class="select select-sm w-full" bind:value={change}
					>{#each changes as [value, text] (value)}<option {value}>{text}</option>{/each}</select
				></label
			>
			{#if change === 'replace'}
				<label>Instead <input name="instead" class="input input-sm w-full" list="exercises" required /></label
				>
			{:else if change === 'scale'}
				<label
					>Share, % <input
						name="share"
						type="number"
						class="input input-sm w-24"
						min="10"
						max="200"
						value={SHARES[granted ?? 'other']}
						required
					/></label
				>
			{:else if change === 'load'}
				<label
					>Load, kg <input
						name="kg"
						type="number"
						class="input input-sm w-24"
						min="0.5"
						max="500"
						step="0.5"
					/> <span class="quiet text-[13px]">empty: bodyweight</span></label
				>
			{:else if change === 'amount'}
				<label
					>Repetitions, seconds or metres in each set <input
						name="amount"
						type="number"
						class="input input-sm w-24"
						min="1"
						max="50000"
						required
					/></label
				>
			{:else if change === 'tempo'}
				<label
					>Tempo, seconds down-bottom-up-top <input
						name="tempo"
						class="input input-sm w-28"
						pattern="\s*\d+([\s\-]+\d+){'{3}'}\s*"
						placeholder="3-1-1-0"
						required
					/></label
				>
			{:else if change === 'rest'}
				<label
					>Rest, seconds <input
						name="seconds"
						type="number"
						class="input input-sm w-24"
						min="0"
						max="3600"
						required
					/></label
				>
			{/if}
			<DaySpan {today} {days} />
			<label
				>Why, for {name} to read
				<input
					name="why"
					class="input input-sm w-full"
					maxlength="300"
					placeholder="Wrist: until it is quiet"
					required
				/></label
			>
			<datalist id="exercises"
				>{#each names as exercise (exercise)}<option value={exercise}></option>{/each}</datalist
			>
			{#if form?.message}<p class="field-fault" role="alert">{form.message}</p>{/if}
			<button class="btn btn-sm btn-outline self-start">Change it for {name}</button>
		</form>
	</details>
</section>
