<script lang="ts">
	import { onMount } from 'svelte';
	import { devicePowers, type SoundSettings } from './sounds';

	/** How somebody is called: by voice, tones, vibration, and a tick for each repetition. */
	let { sounds, onchange }: { sounds: SoundSettings; onchange: (sounds: SoundSettings) => void } = $props();
	let powers = $state<ReturnType<typeof devicePowers> | null>(null);
	onMount(() => {
		powers = devicePowers();
	});
	const WAYS = [
		['voice', 'Voice'],
		['tones', 'Tones'],
		['vibration', 'Vibration'],
		['pacing', 'Beat for each rep']
	] as const;
	const missing = $derived.by(() => {
		if (!powers) return [];
		const words = { voice: 'speak', tones: 'sound', vibration: 'vibrate', wakeLock: 'keep its screen on' };
		return (Object.keys(words) as (keyof typeof words)[])
			.filter((key) => powers && !powers[key])
			.map((key) => words[key]);
	});
</script>

<fieldset>
	<legend class="font-head text-xl font-bold">Calls</legend>
	<div class="mt-1 grid grid-cols-2 gap-2">
		{#each WAYS as [key, label] (key)}
			<label class="panel flex min-h-12 items-center gap-3 px-3 font-semibold"
				><input
					type="checkbox"
					class="toggle toggle-primary"
					checked={sounds[key]}
					onchange={({ currentTarget }) => onchange({ ...sounds, [key]: currentTarget.checked })}
				/>
				{label}</label
			>
		{/each}
	</div>
	{#if missing.length > 0}<p class="quiet mt-1 text-[15px]">
			This device can’t {new Intl.ListFormat('en', { type: 'disjunction' }).format(missing)} from a page. What is
			called also stands in large type{missing.includes('keep its screen on')
				? '; set the screen to stay on in its settings'
				: ''}.
		</p>{/if}
</fieldset>
