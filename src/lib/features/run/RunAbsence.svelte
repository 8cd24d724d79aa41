<script lang="ts">
	import type { Absence } from '$core/run';
	import { counted, hoursText } from '$lib/format';

	/** Asks about what the clock passed while the page was closed, hidden or asleep: it counts only on a yes. */
	interface Props {
		absence: Absence;
		/** Whether it can still be taken up where it was left. */
		canGoBack: boolean;
		onanswer: (answer: 'did' | 'did-not' | 'back') => void;
	}
	let { absence, canGoBack, onanswer }: Props = $props();
	const one = $derived(absence.sets === 1);
</script>

<section class="remark remark-attention bg-base-100 p-3" role="alert">
	<p>
		<b>You were away for {hoursText(absence.to - absence.from)}.</b>
		{counted(absence.sets, 'set')} went by on the clock and {one ? 'doesn’t' : 'don’t'} count yet. Did you do {one
			? 'it'
			: 'them'}?
	</p>
	<div class="mt-2 flex flex-wrap gap-2">
		{#if canGoBack}<button type="button" class="btn btn-primary min-h-11" onclick={() => onanswer('back')}
				>Go back to where I was</button
			>{/if}
		<button type="button" class="btn btn-outline min-h-11" onclick={() => onanswer('did')}
			>I did {one ? 'it' : 'them'}</button
		>
		<button type="button" class="btn btn-outline min-h-11" onclick={() => onanswer('did-not')}
			>I didn’t</button
		>
	</div>
</section>
