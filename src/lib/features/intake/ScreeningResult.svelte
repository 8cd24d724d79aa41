<script lang="ts">
	import type { Screening } from '$core/health';
	import { STOP_SIGNS, STOP_SIGNS_PREGNANT } from '$lib/stop-signs';

	/** What the answers mean: go, or ask somebody first. Never a diagnosis. */
	let { screening, whose = 'you' }: { screening: Screening; whose?: 'you' | 'they' } = $props();
	const asked = $derived([...new Set(screening.reasons.map(({ ask }) => ask))]);
</script>

{#if screening.clearance === 'go'}
	<p class="text-xl font-semibold">{whose === 'you' ? 'You can start.' : 'They can start.'}</p>
	<p>Nothing in the answers asks for a doctor first.</p>
{:else}
	<div class="remark remark-safety">
		<p class="text-xl font-semibold">Ask {asked.join(' and ')} first</p>
		<p>
			{whose === 'you'
				? 'Training opens once your coach has noted the OK.'
				: 'Training opens once you have noted the OK.'}
		</p>
	</div>
	<ul class="panel divide-base-300 divide-y px-3" aria-label="Why">
		{#each screening.reasons as reason (reason.key)}
			<li class="py-2">
				<p class="first-letter:uppercase">{reason.text}</p>
				<p class="quiet text-sm">Ask {reason.ask}{whose === 'they' ? ` · ${reason.source}` : ''}</p>
			</li>
		{/each}
	</ul>
	{#if whose === 'you'}<p class="text-[15px]">
			Show them what the challenge is, ask whether strength training at home is fine for you and what to leave
			out, and tell your coach who said what.
		</p>{/if}
{/if}
{#if screening.cautions.length > 0}
	<div>
		<h3 class="mb-1">To keep in mind</h3>
		<ul class="list-disc pl-5">
			{#each screening.cautions as caution (caution)}<li>{caution}</li>{/each}
		</ul>
	</div>
{/if}
<p class="quiet text-sm">
	This is no diagnosis. Stop and get medical help at: {STOP_SIGNS}
	{STOP_SIGNS_PREGNANT}
</p>
