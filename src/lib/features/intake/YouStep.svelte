<script lang="ts">
	import ZoneInput from '$lib/ui/ZoneInput.svelte';
	import { isZone } from '$core/calendar';
	import { placeOf, timeIn } from '$lib/format';
	import Choice from './Choice.svelte';
	import type { Answers } from './intake.svelte';

	interface Props {
		you: Answers['you'];
		faults: Record<string, string>;
		zones: readonly string[];
		now: number;
		/** The zone that the device is in; null where somebody else fills it in. */
		deviceZone: string | null;
	}
	let { you = $bindable(), faults, zones, now, deviceZone }: Props = $props();
	let changing = $state(false);
</script>

<label class="block">
	<span class="font-head text-lg font-bold">Name others will see</span>
	<input class="input mt-1 min-h-12 w-full text-[17px]" maxlength="40" bind:value={you.displayName} />
	<span class="quiet text-[15px]">Shown in standings. Your full name stays with your coach.</span>
	{#if faults.displayName}<span class="field-fault block" role="alert">{faults.displayName}</span>{/if}
</label>

<div>
	<p class="font-head text-lg font-bold">Where are you?</p>
	{#if !changing && isZone(you.zone)}
		<p>
			{placeOf(you.zone)}, where it is <b class="clock">{timeIn(you.zone, now)}</b>.
			<button type="button" class="link-quiet min-h-11" onclick={() => (changing = true)}>Change</button>
		</p>
		{#if deviceZone && deviceZone !== you.zone && isZone(deviceZone)}
			<p class="remark remark-attention">
				Your device says {placeOf(deviceZone)}.
				<button type="button" class="link-quiet min-h-11" onclick={() => (you.zone = deviceZone ?? you.zone)}
					>Use {placeOf(deviceZone)}</button
				>
			</p>
		{/if}
	{:else}
		<ZoneInput {zones} class="input min-h-12 w-full text-[17px]" label="Time zone" bind:value={you.zone} />
	{/if}
	<p class="quiet text-[15px]">Each day opens in your own morning.</p>
	{#if faults.zone}<p class="field-fault" role="alert">{faults.zone}</p>{/if}
</div>

<label class="block">
	<span class="font-head text-lg font-bold">When do you usually train?</span>
	<input type="time" class="input mt-1 min-h-12 w-36 text-[17px]" bind:value={you.hour} />
	<span class="quiet block text-[15px]">Leave it empty if it differs from day to day.</span>
	{#if faults.hour}<span class="field-fault block" role="alert">{faults.hour}</span>{/if}
</label>

<Choice
	legend="Weights in"
	name="units"
	columns={2}
	options={[
		{ value: 'kg', label: 'kilograms' },
		{ value: 'lb', label: 'pounds' }
	]}
	bind:value={you.units}
	fault={faults.units}
/>
