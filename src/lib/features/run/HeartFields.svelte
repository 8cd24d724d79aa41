<script lang="ts">
	import { onMount } from 'svelte';
	import { heartFaults, type HeartMonitor, type HeartSettings } from '$lib/heart/monitor.svelte';
	import { hasBluetooth } from '$lib/heart/straps';

	/** Before the start: whether a strap goes along, and what its bands are reckoned from. */
	interface Props {
		settings: HeartSettings | null;
		monitor: HeartMonitor | null;
		/** Whether rates say how hard somebody works. */
		guide: boolean;
		/** Whether a strap may be simulated: what it makes up has no place among real results. */
		demo: boolean;
		/** Connects; throws where it can not be done. */
		onconnect: (settings: HeartSettings) => Promise<void>;
		onstop: () => void;
	}
	let { settings, monitor, guide, demo, onconnect, onstop }: Props = $props();
	// svelte-ignore state_referenced_locally
	let age = $state(settings ? String(settings.age) : '');
	// svelte-ignore state_referenced_locally
	let resting = $state(settings?.resting ? String(settings.resting) : '');
	let bluetooth = $state(false);
	let trouble = $state('');
	let busy = $state(false);
	onMount(() => (bluetooth = hasBluetooth()));
	const connected = $derived(monitor !== null && monitor.state !== 'none');

	async function connect(strap: HeartSettings['strap']) {
		const rest = resting.trim() === '' ? null : Number(resting);
		trouble = heartFaults(Number(age), rest).join(' ');
		if (trouble) return;
		busy = true;
		try {
			await onconnect({ age: Number(age), resting: rest, strap });
		} catch (failure) {
			trouble = `No strap was connected. ${failure instanceof Error ? failure.message : ''}`;
		} finally {
			busy = false;
		}
	}
</script>

<section aria-labelledby="heart">
	<h2 id="heart" class="text-xl">Heart rate</h2>
	{#if !guide}
		<p class="remark mt-1">
			For you the heart rate is no guide, by what you told us. Go by the talk test: you can say a whole
			sentence without a break for breath. If you can’t, slow down.
		</p>
	{:else if connected && monitor}
		<p class="panel mt-1 flex items-center justify-between gap-3 p-3" role="status">
			<span
				><b>{monitor.name}</b><span class="quiet block text-[15px]"
					>{monitor.state === 'no contact' ? 'no contact with the skin' : 'connected'}</span
				></span
			>
			<button class="btn btn-ghost min-h-11" onclick={onstop}>Disconnect</button>
		</p>
	{:else}
		<details class="panel mt-1 px-3">
			<summary class="flex min-h-12 cursor-pointer items-center font-semibold">Use a heart-rate strap</summary
			>
			<div class="flex flex-col gap-3 pb-3">
				<div class="grid grid-cols-2 gap-3">
					<label
						><span class="block">Your age</span><input
							class="input min-h-12 w-full"
							inputmode="numeric"
							bind:value={age}
						/></label
					>
					<label
						><span class="block">At rest, if known</span><input
							class="input min-h-12 w-full"
							inputmode="numeric"
							placeholder="60"
							bind:value={resting}
						/></label
					>
				</div>
				<p class="quiet text-[15px]">
					Both stay on this device; they set the bands. With medicine that slows the heart, in pregnancy, or
					if a doctor told you so, go by the talk test instead.
				</p>
				{#if trouble}<p class="remark remark-attention" role="alert">{trouble}</p>{/if}
				<div class="flex flex-wrap gap-2">
					{#if bluetooth}<button
							class="btn btn-outline min-h-12 flex-1"
							disabled={busy}
							onclick={() => connect('bluetooth')}>Bluetooth strap</button
						>{/if}
					{#if demo}<button
							class="btn btn-outline min-h-12 flex-1"
							disabled={busy}
							onclick={() => connect('stand-in')}>Simulated strap, to try it out</button
						>{/if}
				</div>
				{#if !bluetooth}<p class="quiet text-[15px]">
						This browser can’t ask for a Bluetooth strap; some on Android and on computers can. What another
						device recorded can be read from a file afterwards.
					</p>{/if}
			</div>
		</details>
	{/if}
</section>
