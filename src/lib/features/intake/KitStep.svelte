<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import {
		BAND_RANKS,
		kgFrom,
		ownedText,
		readIn,
		type BandRank,
		type Owned,
		type PlainItem,
		type Units
	} from '$core/kit';
	import type { Answers } from './intake.svelte';
	import NumberInput from './NumberInput.svelte';

	/** What somebody owns: tapped where it is a thing, entered where it weighs something. */
	let {
		kit = $bindable(),
		units,
		faults
	}: { kit: Answers['kit']; units: Units; faults: Record<string, string> } = $props();

	const THINGS: readonly { item: PlainItem; label: string }[] = [
		{ item: 'mat', label: 'mat' },
		{ item: 'chair', label: 'sturdy chair' },
		{ item: 'bench', label: 'bench' },
		{ item: 'step', label: 'step, knee high' },
		{ item: 'stairs', label: 'stairs' },
		{ item: 'pull-up bar', label: 'pull-up bar' },
		{ item: 'rope', label: 'skipping rope' },
		{ item: 'roller', label: 'foam roller' }
	];
	const hasItem = (item: PlainItem) => kit.owned.some((one) => one.kind === 'item' && one.item === item);
	const hasBand = (rank: BandRank, loop: boolean) =>
		kit.owned.some((one) => one.kind === 'band' && one.rank === rank && one.loop === loop);

	function change(owned: Owned[]) {
		kit.owned = owned;
		if (owned.length > 0) kit.none = false;
	}
	const toggleItem = (item: PlainItem) =>
		change(
			hasItem(item)
				? kit.owned.filter((one) => one.kind !== 'item' || one.item !== item)
				: [...kit.owned, { kind: 'item', item, count: 1 }]
		);
	const toggleBand = (rank: BandRank, loop: boolean) =>
		change(
			hasBand(rank, loop)
				? kit.owned.filter((one) => one.kind !== 'band' || one.rank !== rank || one.loop !== loop)
				: [...kit.owned, { kind: 'band', rank, loop, count: 1 }]
		);

	const WEIGHED = [
		'pair of dumbbells',
		'one dumbbell',
		'adjustable dumbbells',
		'kettlebell',
		'backpack to load'
	] as const;
	let what = $state<(typeof WEIGHED)[number]>('pair of dumbbells');
	let weight = $state<number | null>(null);
	let from = $state<number | null>(null);
	let to = $state<number | null>(null);
	let step = $state<number | null>(null);
	let asks = $state<string | null>(null);

	/** The piece that the fields say; null where one of them is missing. */
	function piece(): Owned | null {
		const kg = (value: number | null) => (value && value > 0 ? kgFrom(value, units) : null);
		if (what === 'adjustable dumbbells') {
			const [low, high, by] = [kg(from), kg(to), kg(step)];
			return low && high && by ? { kind: 'adjustable', from: low, to: high, step: by, count: 2 } : null;
		}
		const one = kg(weight);
		if (!one) return null;
		if (what === 'kettlebell') return { kind: 'kettlebell', kg: one, count: 1 };
		if (what === 'backpack to load') return { kind: 'pack', item: 'loaded backpack', kg: one, count: 1 };
		return { kind: 'dumbbell', kg: one, count: what === 'pair of dumbbells' ? 2 : 1 };
	}
	function add() {
		const made = piece();
		asks = made
			? null
			: what === 'adjustable dumbbells'
				? 'Say from, to and in which steps.'
				: 'Say how heavy it is.';
		if (!made) return;
		change([...kit.owned, made]);
		leaveOut();
	}
	/** Whether a weight was typed and not added; the person is asked what to do with it. */
	let pending = $state(false);
	export function asksAboutWeight(): boolean {
		const typed = [weight, from, to, step].some((value) => value !== null);
		pending = typed && !pending;
		return pending;
	}
	function leaveOut() {
		weight = from = to = step = null;
		pending = false;
	}
	const weighed = $derived(
		kit.owned.map((one, i) => ({ one, i })).filter(({ one }) => one.kind !== 'item' && one.kind !== 'band')
	);
	const shown = (one: Owned): string => readIn(ownedText(one), units);
	const chip = (on: boolean) => [
		'min-h-11 rounded border px-3 font-semibold',
		on ? 'bg-primary text-primary-content border-primary' : 'bg-base-100 border-base-300'
	];
	const problem = $derived(
		Object.entries(faults).find(([field]) => field !== 'none' && field !== 'other')?.[1]
	);
</script>

<p class="quiet text-[15px]">
	Tap what you can use at home. A chair, a wall, a table and something soft to lie on are assumed.
</p>
<div class="flex flex-wrap gap-2">
	{#each THINGS as { item, label } (item)}
		<button
			type="button"
			class={chip(hasItem(item))}
			aria-pressed={hasItem(item)}
			onclick={() => toggleItem(item)}>{label}</button
		>
	{/each}
</div>
<div>
	<h3 class="mb-1">Bands</h3>
	<div class="flex flex-wrap gap-2">
		{#each BAND_RANKS as rank (rank)}
			<button
				type="button"
				class={chip(hasBand(rank, false))}
				aria-pressed={hasBand(rank, false)}
				onclick={() => toggleBand(rank, false)}>{rank} band</button
			>
		{/each}
		{#each BAND_RANKS as rank (rank)}
			<button
				type="button"
				class={chip(hasBand(rank, true))}
				aria-pressed={hasBand(rank, true)}
				onclick={() => toggleBand(rank, true)}>{rank} loop</button
			>
		{/each}
	</div>
	<p class="quiet mt-1 text-[15px]">Light: pulls far with one hand. Heavy: hardly with both.</p>
</div>
<div>
	<h3 class="mb-1">Weights</h3>
	{#if weighed.length > 0}
		<ul class="panel mb-2 divide-base-300 divide-y px-3">
			{#each weighed as { one, i } (i)}
				<li class="flex min-h-11 items-center justify-between gap-2">
					{shown(one)}
					<button
						type="button"
						class="btn btn-ghost btn-square min-h-11"
						aria-label="Remove {shown(one)}"
						onclick={() => (kit.owned = kit.owned.filter((_, at) => at !== i))}
						><X size={18} aria-hidden="true" /></button
					>
				</li>
			{/each}
		</ul>
	{/if}
	<div class="flex flex-col gap-2">
		<select class="select min-h-12 w-full text-[17px]" aria-label="Which weight" bind:value={what}>
			{#each WEIGHED as one (one)}<option value={one}>{one}</option>{/each}
		</select>
		{#if what === 'adjustable dumbbells'}
			<div class="flex flex-wrap items-center gap-2">
				<NumberInput label="From, {units}" placeholder="from" bind:value={from} />
				<NumberInput label="To, {units}" placeholder="to" bind:value={to} />
				<span class="flex items-center gap-2"
					>{units}, steps of
					<NumberInput label="Steps, {units}" placeholder="2" bind:value={step} /></span
				>
			</div>
		{:else}
			<span class="flex items-center gap-2"
				><NumberInput label="How heavy, {units}" bind:value={weight} />
				{units}{what === 'pair of dumbbells' ? ' each' : ''}</span
			>
		{/if}
		<button type="button" class="btn btn-outline min-h-12 self-start" onclick={add}>Add it</button>
		{#if pending}<div class="remark remark-attention" role="alert">
				<p>You typed a weight but haven’t added it.</p>
				<div class="mt-1 flex flex-wrap gap-2">
					<button type="button" class="btn btn-primary min-h-11" onclick={add}>Add it</button>
					<button type="button" class="btn btn-outline min-h-11" onclick={leaveOut}>Leave it out</button>
				</div>
			</div>{/if}
		{#if asks}<p class="field-fault" role="alert">{asks}</p>{/if}
		{#if problem}<p class="field-fault" role="alert">{problem}</p>{/if}
	</div>
</div>
<label class="block">
	<span class="font-head text-lg font-bold">Anything else?</span>
	<input class="input mt-1 min-h-12 w-full text-[17px]" maxlength="300" bind:value={kit.other} />
	{#if faults.other}<span class="field-fault block" role="alert">{faults.other}</span>{/if}
</label>
<label class="flex min-h-12 items-center gap-3"
	><input type="checkbox" class="checkbox" bind:checked={kit.none} /> I have none of this, and that’s fine</label
>
{#if faults.none}<p class="field-fault" role="alert">{faults.none}</p>{/if}
