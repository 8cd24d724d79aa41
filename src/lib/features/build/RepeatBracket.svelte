<script lang="ts">
	import type { Repeat } from '$core/session';

	/** The head of blocks that are done several times over: how often, how far, the rest between. */
	let {
		repeat,
		last,
		locked,
		onchange
	}: { repeat: Repeat; last: number; locked: boolean; onchange: (repeat: Repeat) => void } = $props();
</script>

<div class="mb-1 flex flex-wrap items-center gap-2 text-sm">
	{#if locked}
		<b class="text-primary">{repeat.times} times over</b>
		<span class="quiet">to block {repeat.to + 1}, {repeat.rest} s between</span>
	{:else}
		<label class="flex items-center gap-1.5"
			><input
				type="number"
				min="2"
				max="20"
				class="input input-sm w-16"
				value={repeat.times}
				aria-label="How many times"
				oninput={(event) => onchange({ ...repeat, times: event.currentTarget.valueAsNumber || 0 })}
			/> <b class="text-primary">times over</b></label
		>
		<label class="flex items-center gap-1.5"
			><span class="quiet">to block</span>
			<input
				type="number"
				min={repeat.from + 1}
				max={last + 1}
				class="input input-sm w-16"
				value={repeat.to + 1}
				aria-label="Last block of the repeat"
				oninput={(event) =>
					onchange({ ...repeat, to: Math.max(repeat.from, (event.currentTarget.valueAsNumber || 1) - 1) })}
			/></label
		>
		<label class="flex items-center gap-1.5"
			><input
				type="number"
				min="0"
				class="input input-sm w-20"
				value={repeat.rest}
				aria-label="Rest between, seconds"
				oninput={(event) => onchange({ ...repeat, rest: event.currentTarget.valueAsNumber || 0 })}
			/> <span class="quiet">s between</span></label
		>
	{/if}
</div>
