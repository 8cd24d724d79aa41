<script lang="ts">
	import HeartPulse from '@lucide/svelte/icons/heart-pulse';
	import { BANDS } from '$core/heart';
	import type { HeartMonitor } from '$lib/heart/monitor.svelte';

	/** The rate of now with its band, and a calm word where it is beside what is asked. */
	interface Props {
		monitor: HeartMonitor;
		now: number;
		/** Heart rates that are asked for, and since when; null: none. */
		asked: { low: number; high: number } | null;
		since: number;
	}
	let { monitor, now, asked, since }: Props = $props();
	const rate = $derived(monitor.at(now));
	const place = $derived(rate ? BANDS.indexOf(rate.band) : -1);
	const beside = $derived(asked ? monitor.beside(asked, since, now) : null);
	const limit = $derived(rate?.band === 'near the limit' && beside === null);
</script>

<div class="panel px-3 py-1.5">
	<p class="flex items-center gap-3">
		<HeartPulse size={24} aria-hidden="true" />
		{#if rate}
			<b class="clock text-[28px] leading-none" aria-label="Heart rate {rate.bpm}">{rate.bpm}</b>
			<span class="text-lg font-semibold">{rate.band}</span>
			<span class="ml-auto flex gap-1" aria-hidden="true">
				{#each BANDS as band, i (band)}<span class={['h-3 w-5', i <= place ? 'bg-primary' : 'bg-base-300']}
					></span>{/each}
			</span>
		{:else}
			<span class="quiet"
				>{monitor.state === 'gone'
					? 'The strap is gone. The session goes on without it.'
					: 'No contact: wet the strap, or pull it tighter'}</span
			>
		{/if}
	</p>
	{#if asked}<p class="quiet text-[15px]">asked for: {asked.low} to {asked.high} beats a minute</p>{/if}
	<p role="status">
		{#if beside === 'above' && asked}Above {asked.high} for half a minute: ease off until you can speak.
		{:else if beside === 'below' && asked}Below {asked.low}: a little faster, if you can still speak.
		{:else if limit}Close to your highest: ease off, and breathe.{/if}
	</p>
</div>
