<script lang="ts">
	import { enhance } from '$app/forms';
	import type { Incident, IncidentDecision } from '$contracts/incident';
	import { areaText, type PainAdvice } from '$core/health';
	import { listed } from '$core/text/words';
	import { dayAndTimeIn, dayText } from '$lib/format';

	/** With what they could do in place of what is off. */
	type Open = Incident & { instead: string | null; advice: PainAdvice | null };
	/** Pain and signs to stop at: what is open is decided here, what was is on record. */
	interface Props {
		incidents: readonly Open[];
		person: string;
		name: string;
		zone: string;
		exercises: readonly string[];
		tomorrow: string;
		/** The day on which a coach asks again if she says nothing else. */
		askAgainOn: string;
		/** What would be written to them. */
		draft: string;
		/** Of the message that goes with a decision. */
		replyId: string;
		back: boolean;
		refused: { incident: string; message: string; reply: string } | null;
	}
	let {
		incidents,
		person,
		name,
		zone,
		exercises,
		tomorrow,
		askAgainOn,
		draft,
		replyId,
		back,
		refused
	}: Props = $props();

	const DECIDED: Record<IncidentDecision, string> = {
		'give back': 'Given back',
		replace: 'Replaced',
		'keep off': 'Stays off',
		spare: 'Spared',
		hold: 'On hold',
		cleared: 'Cleared',
		withdrawn: 'Taken back'
	};
	const open = $derived(incidents.filter(({ decidedAt }) => decidedAt === null));
	const past = $derived(incidents.filter(({ decidedAt }) => decidedAt !== null));
	const waits = (one: Incident) =>
		one.followUpOn !== null && one.followedUpAt === null && one.decision !== 'withdrawn';
	const choices = (one: Incident): [IncidentDecision, string][] =>
		one.kind === 'stop sign'
			? [['cleared', 'Somebody qualified said yes']]
			: [
					['spare', `Keep sparing ${placesOf(one)}`],
					['hold', 'Hold all sessions'],
					...(one.exercises.length > 0
						? ([
								['replace', 'Something else in its place'],
								['keep off', 'Leave only the exercise out']
							] as [IncidentDecision, string][])
						: []),
					['give back', 'Back to normal']
				];
	const placesOf = ({ areas }: Incident): string =>
		areas.length > 0 ? `the ${listed(areas.map(areaText))}` : 'what hurts';
	const goesOn = (one: Incident) =>
		(one.decision === 'spare' || one.decision === 'hold') && one.overAt === null;
	let chosen = $state<Record<string, IncidentDecision>>({});
	const decisionOf = (one: Open) => chosen[one.id] ?? one.advice?.propose ?? choices(one)[0]![0];
	const asksAgain = (one: Open) => ['spare', 'hold'].includes(decisionOf(one));
</script>

<div class="flex flex-col gap-3">
	{#each open as one, i (one.id)}
		<section
			class="remark remark-safety"
			aria-label={one.kind === 'pain' ? 'Pain to decide about' : 'Warning sign to decide about'}
		>
			<p class="font-semibold">
				{one.kind === 'pain' ? 'Pain' : 'Warning sign'}, {dayAndTimeIn(zone, one.at)}
			</p>
			<p class="text-sm">
				“{one.said}”{one.intensity === null ? '' : `, ${one.intensity} of 10`}{one.feels
					? `, ${one.feels}`
					: ''}.
				{#if one.kind === 'stop sign'}
					Nothing is released to {name} until you record who said yes.
				{:else}
					{#if one.areas.length > 0}From the next session on {placesOf(one)}
						{one.areas.length === 1 ? 'is' : 'are'} spared until you decide.{:else}{name} didn’t say where, so no
						joint is spared: ask.{/if}
					{#if one.exercises.length > 0}{listed(one.exercises)}
						{one.exercises.length === 1 ? 'is' : 'are'} off.{/if}
				{/if}
			</p>
			{#if one.advice?.propose === 'hold'}<p class="text-sm font-semibold">
					A hold is proposed: {listed(one.advice.why)}.
				</p>{/if}
			{#if !back}
				<details open={i === 0}>
					<summary class="link-quiet cursor-pointer text-sm">Decide</summary>
					<form method="post" action="?/decide" class="mt-2 flex flex-col gap-2 text-sm" use:enhance>
						<input type="hidden" name="person" value={person} />
						<input type="hidden" name="incident" value={one.id} />
						<div class={['flex flex-wrap gap-x-4 gap-y-1', choices(one).length === 1 && 'hidden']}>
							{#each choices(one) as [value, text] (value)}
								<label class="flex items-center gap-1.5"
									><input
										type="radio"
										class="radio radio-xs"
										name="decision"
										{value}
										checked={decisionOf(one) === value}
										onchange={() => (chosen = { ...chosen, [one.id]: value })}
									/>
									{text}</label
								>
							{/each}
						</div>
						{#if decisionOf(one) === 'replace'}
							<label
								>Instead of {listed(one.exercises)}
								<input
									class="input input-sm flex w-72"
									name="exercise"
									list="exercises"
									autocomplete="off"
									value={one.instead ?? ''}
								/></label
							>
							<datalist id="exercises"
								>{#each exercises as exercise (exercise)}<option value={exercise}></option>{/each}</datalist
							>
							{#if one.instead === null}<p class="quiet">
									Nothing near it spares the place with what {name} has.
								</p>{/if}
						{/if}
						<div class="flex flex-wrap items-end gap-3">
							<label class="grow"
								>{one.kind === 'stop sign' ? 'Who said yes, and when' : `Why (${name} reads this)`}
								<input class="input input-sm flex w-full" name="note" maxlength="300" /></label
							>
							<label
								>{asksAgain(one) ? 'Ask again on' : 'Ask after it on'}
								<input
									type="date"
									class="input input-sm flex w-40"
									name="followUpOn"
									min={tomorrow}
									required={asksAgain(one)}
									value={one.kind === 'pain' ? askAgainOn : ''}
								/></label
							>
						</div>
						{#if one.kind === 'pain'}
							<input type="hidden" name="replyId" value={replyId} />
							<label
								>Message to {name}, sent with the decision
								<textarea class="textarea textarea-sm flex w-full" name="reply" rows="4" maxlength="4000"
									>{refused?.incident === one.id ? refused.reply : draft}</textarea
								></label
							>
						{/if}
						{#if refused?.incident === one.id}<p class="field-fault" role="alert">{refused.message}</p>{/if}
						<button class="btn btn-sm btn-primary self-start"
							>{one.kind === 'stop sign' ? choices(one)[0]![1] : 'Decide and send'}</button
						>
					</form>
				</details>
				<p class="quiet mt-1 text-[13px]">
					Nothing here diagnoses. Pain that is sharp, or lasts, belongs to a doctor or physiotherapist.
				</p>
			{/if}
		</section>
	{/each}
	{#if past.length > 0}
		<details open={past.some(waits)}>
			<summary class="cursor-pointer font-semibold">What hurt before</summary>
			<ul class="border-base-300 mt-1 border-t text-sm">
				{#each past as one (one.id)}
					<li class="border-base-300 border-b py-1.5">
						“{one.said}”{one.day === null ? '' : `, day ${one.day}`}.
						{one.decision ? DECIDED[one.decision] : ''}{one.exercises.length > 0
							? `: ${listed(one.exercises)}`
							: ''}{one.decidedBy ? `, ${one.decidedBy}` : ''}{one.note ? `, “${one.note}”` : ''}.
						{#if waits(one)}
							<span class="font-semibold">Ask after it on {dayText(one.followUpOn ?? '')}.</span>
							{#if !back}<form method="post" action="?/followUp" class="inline" use:enhance>
									<input type="hidden" name="person" value={person} />
									<input type="hidden" name="incident" value={one.id} />
									{#if goesOn(one)}<button class="link-quiet" name="outcome" value="goes on"
											>Asked, it goes on</button
										> ·
									{/if}<button class="link-quiet" name="outcome" value="over"
										>{goesOn(one) ? 'Asked, back to normal' : 'Asked'}</button
									>
								</form>{/if}
						{:else if one.followedUpAt !== null}
							<span class="quiet">Asked after {dayAndTimeIn(zone, one.followedUpAt)}.</span>
							{#if goesOn(one) && !back}<form method="post" action="?/endSparing" class="inline" use:enhance>
									<input type="hidden" name="person" value={person} />
									<input type="hidden" name="incident" value={one.id} />
									<button class="link-quiet">Back to normal</button>
								</form>{/if}
						{/if}
					</li>
				{/each}
			</ul>
		</details>
	{/if}
</div>
