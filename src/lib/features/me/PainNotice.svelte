<script lang="ts">
	import type { OwnPain } from '$contracts/incident';
	import { areaText } from '$core/health/area-text';
	import { listed } from '$core/text/words';
	import { longDayText } from '$lib/format';

	/** What becomes of pain that somebody reported: that it waits, or what was decided and why. */
	let { pain }: { pain: OwnPain } = $props();
	const places = $derived(pain.areas.length > 0 ? `your ${listed(pain.areas.map(areaText))}` : 'what hurts');
	const isSparing = $derived((pain.decision === 'spare' || pain.decision === 'hold') && pain.overAt === null);
	const said = $derived.by(() => {
		if (pain.decidedAt === null)
			return pain.areas.length > 0
				? `Your next sessions spare ${places} until your coach has decided.`
				: 'Your coach has been told and will ask you where.';
		if (isSparing)
			return `Your sessions go on sparing ${places}${pain.followUpOn ? `; your coach asks again on ${longDayText(pain.followUpOn)}` : ''}.`;
		if (pain.decision === 'replace') return 'You do something else in place of what hurt.';
		if (pain.decision === 'keep off') return 'What hurt stays out of your sessions.';
		return 'Your sessions are back to normal. Stop if it hurts again.';
	});
</script>

<section class="remark" aria-label="About your pain">
	<p class="font-semibold">
		{pain.decidedAt === null ? 'You reported pain' : `${pain.by ?? 'Your coach'} decided about your pain`}: “{pain.said}”
	</p>
	<p>{said}</p>
	{#if pain.decidedAt !== null && pain.note}<p>Why: {pain.note}</p>{/if}
</section>
