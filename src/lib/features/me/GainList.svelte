<script lang="ts">
	import type { Units } from '$core/kit/units';
	import { type Gains, gainWords, performanceKey } from '$core/progress';

	/** What was better, with both figures and when the other one was. */
	let { gains, units }: { gains: Gains['last']; units: Units } = $props();
</script>

<ul>
	{#each gains as gain (performanceKey(gain))}
		{@const { what, now, before } = gainWords(gain, units)}
		<li class="border-base-300 border-b py-2 last:border-b-0">
			<p class="flex justify-between gap-3">
				<b>{gain.exercise}</b><span class="quiet whitespace-nowrap">{what}</span>
			</p>
			<p>{now}</p>
			<p class="quiet text-[15px]">
				{gain.since.test ? `test on day ${gain.since.day}` : `day ${gain.since.day}`}: {before}
			</p>
		</li>
	{/each}
</ul>
