<script lang="ts">
	import type { OwnPain } from '$contracts/incident';
	import type { HoldReason } from '$core/health';
	import { listed } from '$core/text/words';
	import { dayAndTimeIn, longDayText } from '$lib/format';

	/** Why training is closed for a person, what happens next, and what they can do about it. */
	interface Props {
		reason: Exclude<HoldReason, 'questions'>;
		/** Why, as they told it; whom to ask; since when. */
		details: { reasons: string[]; ask: string[]; since: number };
		pain: OwnPain | null;
		zone: string;
	}
	let { reason, details, pain, zone }: Props = $props();
	const TITLES: Record<Props['reason'], string> = {
		stopped: 'Don’t train for now',
		pain: 'Your coach holds your sessions for now',
		clearance: 'Ask first, then train',
		'clearance over': 'Your OK has run out'
	};
	const who = $derived(listed(details.ask.length > 0 ? details.ask : ['a doctor']));
</script>

<section class="remark remark-safety flex flex-col gap-2" aria-label="Before you train">
	<h2 class="text-xl">{TITLES[reason]}</h2>
	{#if reason === 'pain'}
		<p>
			{pain ? `You reported: “${pain.said}”.` : ''}
			{pain?.note ? `Why: ${pain.note}.` : ''}
		</p>
	{:else if details.reasons.length > 0}
		<p>
			{reason === 'stopped' ? 'You had to stop:' : 'You told us:'}
			<b>{listed(details.reasons)}</b>.
		</p>
	{/if}
	<ol class="list-decimal pl-5">
		{#if reason === 'pain'}
			<li>
				Your coach talks to you{pain?.followUpOn ? ` on ${longDayText(pain.followUpOn)}` : ''} and decides how you
				go on. If it is sharp or lasts, let a doctor or physiotherapist look at it.
			</li>
		{:else}
			<li>Ask {who}{reason === 'clearance over' ? ' again' : ''}. Show them what the challenge is.</li>
			<li>Tell your coach who said yes.</li>
			<li>Training opens once your coach has noted the OK.</li>
		{/if}
	</ol>
	<p class="quiet text-[15px]">
		Since {dayAndTimeIn(zone, details.since)}. These days don’t count against you.
	</p>
	<div class="flex flex-wrap gap-2">
		{#if reason !== 'pain'}<a class="btn btn-primary min-h-12" href="/me/ok">I have the OK</a>{/if}
		<a class="btn btn-outline min-h-12" href="/me/messages">Write to your coach</a>
		{#if reason === 'clearance' || reason === 'clearance over'}<a
				class="btn btn-ghost min-h-12"
				href="/me/intake">Your answers</a
			>{/if}
	</div>
</section>
