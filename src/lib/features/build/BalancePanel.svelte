<script lang="ts">
	import { MUSCLES, type Muscle } from '$core/exercise';
	import type { Balance } from '$core/analysis';
	import { clockText } from '$core/session';
	import BodyMap from './BodyMap.svelte';

	/** What a session works, and what against what. */
	let { balance, ready, kcal }: { balance: Balance; ready: string[]; kcal: number } = $props();
	let chosen = $state<Muscle | null>(null);
	const number = (n: number): string => (Number.isInteger(n) ? String(n) : n.toFixed(1));
	const pairs = $derived([
		{ name: 'Pull : push', a: balance.pullPush.a, b: balance.pullPush.b },
		{ name: 'Knee : hip', a: balance.kneeHip.a, b: balance.kneeHip.b },
		{ name: 'Upper : lower', a: balance.upper, b: balance.lower }
	]);
	/** 0 all of the second, 1 all of the first. */
	const share = (a: number, b: number): number => (a + b > 0 ? a / (a + b) : 0.5);
	const rows = $derived(
		MUSCLES.map((muscle) => ({ muscle, sets: balance.sets[muscle], stretched: balance.stretched[muscle] }))
			.filter((row) => row.sets > 0 || row.stretched > 0)
			.sort((a, b) => b.sets - a.sets)
	);
	const sides = $derived(Math.abs(balance.left - balance.right) < 1);
</script>

<section class="panel p-4" aria-labelledby="balance">
	<h2 id="balance" class="mb-2">Balance</h2>
	<BodyMap sets={balance.sets} {chosen} onchoose={(muscle: Muscle | null) => (chosen = muscle)} />
	<ul class="quiet mt-1 flex justify-center gap-2.5 text-[12px]" aria-label="Sets per muscle">
		<li><span class="dot s1"></span> to 2</li>
		<li><span class="dot s2"></span> to 4</li>
		<li><span class="dot s3"></span> to 6</li>
		<li><span class="dot s4"></span> more sets</li>
	</ul>
	<dl class="mt-3 text-sm">
		{#each pairs as pair (pair.name)}
			<div class="grid grid-cols-[6.5rem_1fr_5.5rem] items-center gap-2 py-0.5">
				<dt>{pair.name}</dt>
				<dd class="relative h-4" aria-hidden="true">
					<span class="bg-base-300 absolute inset-x-0 top-1/2 h-px"></span>
					<span class="bg-base-content/50 absolute top-0.5 left-1/2 h-3 w-px"></span>
					{#if pair.a + pair.b > 0}<span
							class="bg-primary absolute top-1 h-2 w-2 rounded-full"
							style="left:calc({100 * share(pair.a, pair.b)}% - 4px)"
						></span>{/if}
				</dd>
				<dd class="clock text-right whitespace-nowrap">{number(pair.a)} : {number(pair.b)}</dd>
			</div>
		{/each}
		<div class="grid grid-cols-[6.5rem_1fr] gap-2 py-0.5">
			<dt>Trunk</dt>
			<dd class="clock text-right">{number(balance.trunk)} sets</dd>
		</div>
		<div class="grid grid-cols-[6.5rem_1fr] gap-2 py-0.5">
			<dt>Sides</dt>
			<dd class="text-right">
				{#if balance.left + balance.right === 0}none one-sided{:else if sides}alike, <span class="clock"
						>{clockText(balance.left)}</span
					> each{:else}<span class="clock">{clockText(balance.left)}</span> left,
					<span class="clock">{clockText(balance.right)}</span> right{/if}
			</dd>
		</div>
		<div class="grid grid-cols-[6.5rem_1fr] gap-2 py-0.5">
			<dt>High impact</dt>
			<dd class="text-right">
				{balance.impact.seconds === 0
					? 'none'
					: `${clockText(balance.impact.seconds)}${balance.impact.reps > 0 ? `, ${balance.impact.reps} reps` : ''}`}
			</dd>
		</div>
		<div class="grid grid-cols-[6.5rem_1fr] gap-2 py-0.5">
			<dt>To the floor</dt>
			<dd class="text-right">
				{balance.floorChanges === 0
					? 'never'
					: balance.floorChanges === 1
						? 'once'
						: `${balance.floorChanges} times`}
			</dd>
		</div>
		<div class="grid grid-cols-[6.5rem_1fr] gap-2 py-0.5">
			<dt>Energy</dt>
			<dd
				class="text-right"
				title="minutes × MET × 3.5 × 70 kg / 200, MET by format; Compendium of Physical Activities 2011, ACSM"
			>
				about {Math.round(kcal / 10) * 10} kcal at 70 kg
			</dd>
		</div>
	</dl>
	{#if rows.length > 0}
		<details class="mt-2">
			<summary class="cursor-pointer text-sm font-semibold">Muscles in figures</summary>
			<table class="sheet mt-1 text-sm">
				<thead
					><tr><th>Muscle</th><th class="text-right">Sets</th><th class="text-right">Stretched</th></tr
					></thead
				>
				<tbody
					>{#each rows as row (row.muscle)}<tr class={chosen === row.muscle ? 'bg-base-200' : ''}
							><td>{row.muscle}</td><td class="clock text-right">{row.sets > 0 ? number(row.sets) : ''}</td
							><td class="clock text-right">{row.stretched > 0 ? `${row.stretched} s` : ''}</td></tr
						>{/each}</tbody
				>
			</table>
			<p class="quiet mt-1 text-[12px]">
				A set counts 1 for a muscle it works directly and ½ where it assists. Main work only. Common practice,
				no source.
			</p>
		</details>
	{/if}
	<h3 class="mt-3 mb-0.5">Have ready</h3>
	<p class="text-sm">{ready.join('; ')}</p>
</section>

<style>
	.dot {
		display: inline-block;
		width: 10px;
		height: 10px;
		border-radius: 50%;
		background: var(--color-primary);
	}
	.dot.s1 {
		background: color-mix(in srgb, var(--color-primary) 28%, var(--color-base-100));
	}
	.dot.s2 {
		background: color-mix(in srgb, var(--color-primary) 52%, var(--color-base-100));
	}
	.dot.s3 {
		background: color-mix(in srgb, var(--color-primary) 76%, var(--color-base-100));
	}
</style>
