<script lang="ts">
	import type { LineFault } from '$core/session';

	/** A stretch of a line that has to be asked about, underlined, and what may be meant, one press each. */
	let { line, fault, ontake }: { line: string; fault: LineFault; ontake: (line: string) => void } = $props();
	const before = $derived(line.slice(0, fault.from));
	const after = $derived(line.slice(fault.to));
	/** Letters shown on either side. */
	const AROUND = 40;
</script>

<p class="overflow-x-clip pb-1">
	<span class="clock text-[13px] whitespace-pre-wrap"
		>{before.length > AROUND ? '…' : ''}{before.slice(-AROUND)}<mark
			class="decoration-warning bg-transparent underline decoration-wavy underline-offset-4"
			style="color:inherit">{line.slice(fault.from, fault.to).slice(0, 2 * AROUND) || ' '}</mark
		>{after.slice(0, AROUND)}{after.length > AROUND ? '…' : ''}</span
	>
</p>
<p class="field-fault">{fault.message}</p>
{#if fault.offers}
	<p class="my-1 flex flex-wrap gap-1.5">
		{#each fault.offers as offer (offer.label)}
			<button
				type="button"
				class="btn btn-xs btn-outline font-normal"
				onclick={() => ontake(`${before}${offer.text}${after}`.replace(/ {2,}/g, ' ').trim())}
				>{offer.label}</button
			>
		{/each}
	</p>
{/if}
