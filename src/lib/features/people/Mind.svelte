<script lang="ts">
	import { HOLD_TEXT } from '$lib/ui/hold-text';
	import { enhance } from '$app/forms';
	import type { Hold } from '$core/health';
	import type { Limitation } from '$core/kit';
	import { dayAndTimeIn, dayText } from '$lib/format';
	import { dateIn } from '$core/calendar';

	interface Clearance {
		id: string;
		who: string;
		note: string | null;
		document: { id: string; name: string } | null;
		from: number;
		until: number | null;
		takenBack: number | null;
	}
	/** What a coach has to mind with somebody, before anything else: whether they may begin, and what to leave out. */
	interface Props {
		name: string;
		base: string;
		zone: string;
		/** Of the coach, for times. */
		coachZone: string;
		now: number;
		hold: Hold | null;
		cautions: readonly string[];
		limits: readonly Limitation[];
		answeredAt: number | null;
		asked: boolean;
		/** A coach said for them that they agree to what is kept; they have not said so themselves. */
		consentTold: boolean;
		clearances: readonly Clearance[];
		/** Papers of theirs, of which one may say that they are cleared. */
		documents: readonly { id: string; name: string }[];
		form: { message?: string } | null;
	}
	let {
		name,
		base,
		zone,
		coachZone,
		now,
		hold,
		cautions,
		limits,
		answeredAt,
		asked,
		consentTold,
		clearances,
		documents,
		form
	}: Props = $props();
	/** The last day on which it is good: it ends with the day. */
	const lastDay = (until: number): string => dayText(dateIn(zone, until - 1));
	const isGood = ({ until, takenBack }: Clearance) => takenBack === null && (until === null || until > now);
</script>

<section class="panel p-4" aria-labelledby="mind">
	<div class="flex flex-wrap items-baseline justify-between gap-x-4">
		<h2 id="mind">What to mind</h2>
		<p class="quiet text-sm">
			{answeredAt === null
				? 'Questions not answered'
				: `Questions answered ${dayAndTimeIn(coachZone, answeredAt)}`}{consentTold
				? ' by a coach, not confirmed yet'
				: asked
					? ', asked again'
					: ''}
		</p>
	</div>
	{#if hold}
		<div class="remark remark-safety mt-2">
			<p class="font-semibold">On hold: {HOLD_TEXT[hold.reason]}</p>
			<p class="text-sm">
				Nothing is released {hold.reason === 'questions'
					? 'before the answers are there'
					: 'before somebody qualified has said yes and you record it here'}. Days that close meanwhile don’t
				count.
			</p>
		</div>
	{/if}
	{#if cautions.length > 0}
		<ul class="mt-2 list-disc pl-5">
			{#each cautions as caution (caution)}<li>{caution}</li>{/each}
		</ul>
	{/if}
	{#if limits.length > 0}
		<p class="mt-2 flex flex-wrap gap-1.5" aria-label="Left out for {name}">
			{#each limits as limit (limit)}<span class="border-base-content/60 rounded border px-1.5 text-sm"
					>{limit}</span
				>{/each}
		</p>
	{/if}
	{#if !hold && cautions.length === 0 && limits.length === 0}
		<p class="quiet mt-1 text-sm">{answeredAt === null ? 'Nothing is known yet.' : 'Nothing special.'}</p>
	{/if}
	{#if clearances.length > 0}
		<ul class="mt-3 text-sm">
			{#each clearances as one (one.id)}
				<li class="border-base-300 flex items-baseline justify-between gap-3 border-t py-1.5">
					<span>
						<b>{isGood(one) ? 'Cleared' : one.takenBack === null ? 'Was cleared' : 'Taken back'}</b> by {one.who},
						{dayAndTimeIn(coachZone, one.from)}{one.until === null ? '' : `, until ${lastDay(one.until)}`}
						{#if one.note}<span class="quiet block">“{one.note}”</span>{/if}
						{#if one.document}<a
								class="link-quiet block"
								href="{base}/documents/{one.document.id}"
								download={one.document.name}>Document: {one.document.name}</a
							>{/if}
					</span>
					{#if isGood(one)}<form method="post" action="?/takeBack" use:enhance>
							<input type="hidden" name="clearance" value={one.id} /><button class="link-quiet"
								>Take back</button
							>
						</form>{/if}
				</li>
			{/each}
		</ul>
	{/if}
	{#if hold && hold.reason !== 'questions'}
		<form method="post" action="?/clear" use:enhance class="mt-3 grid gap-2 text-sm sm:grid-cols-2">
			<label class="sm:col-span-2"
				>Who said yes <input
					name="who"
					class="input input-sm w-full"
					maxlength="120"
					placeholder="Dr Lindqvist, family doctor, by phone"
					required
				/></label
			>
			<label>Good until <input name="until" type="date" class="input input-sm w-full" /></label>
			<label>Note <input name="note" class="input input-sm w-full" maxlength="1000" /></label>
			{#if documents.length > 0}<label class="sm:col-span-2"
					>The paper that says so <select name="document" class="select select-sm w-full">
						<option value="">none</option>
						{#each documents as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
					</select></label
				>{:else}<p class="quiet text-[13px] sm:col-span-2">
					If there is a document, add it under Documents first; then choose it here.
				</p>{/if}
			{#if form?.message}<p class="field-fault sm:col-span-2" role="alert">{form.message}</p>{/if}
			<button class="btn btn-sm btn-primary justify-self-start">Record clearance</button>
		</form>
	{/if}
	<div class="mt-3 flex flex-wrap gap-2">
		{#if answeredAt !== null}
			<form method="post" action="?/look" use:enhance>
				<button class="btn btn-sm btn-outline" title="{name} sees that you looked">Show health answers</button
				>
			</form>
			{#if !asked}<form method="post" action="?/ask" use:enhance>
					<button class="btn btn-sm btn-ghost">Ask again</button>
				</form>{/if}
		{/if}
		<a class="btn btn-sm btn-ghost" href="{base}/intake"
			>{answeredAt === null ? `Fill in for ${name}` : 'Correct the answers'}</a
		>
	</div>
</section>
