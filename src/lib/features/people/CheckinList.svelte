<script lang="ts">
	import { enhance } from '$app/forms';
	import type { CheckinFacts } from '$lib/server/records/facts';
	import type { Units } from '$core/kit';
	import { beyondWords } from '$core/progress';
	import { wellWords } from './well-words';
	import Empty from '$lib/ui/Empty.svelte';
	import { dayAndTimeIn, percent } from '$lib/format';

	/** What came in of one person, the newest first. */
	interface Props {
		checkins: readonly (CheckinFacts & { day: number; session: string | null; version: number | null })[];
		/** The enrolment; null for whoever may only look. */
		person: string | null;
		name: string;
		/** Theirs: by their clock it came in. */
		zone: string;
		/** The coach's. */
		units: Units;
	}
	let { checkins, person, name, zone, units }: Props = $props();
	const doneText = { all: 'all done', part: 'part done', none: 'not done' } as const;
</script>

{#if checkins.length === 0}<Empty
		says="{name} hasn’t checked in yet. If {name} told you about a session, record it below."
	/>{:else}
	<table class="sheet panel text-sm">
		<thead
			><tr
				><th class="pl-3">Day</th><th>Session</th><th>Done</th><th>Effort</th><th>Energy</th><th>Mood</th><th
					>Sleep</th
				><th>Received, their time</th></tr
			></thead
		>
		<tbody>
			{#each checkins as row (row.id)}
				<tr>
					<td class="pl-3 font-bold">{row.day}</td>
					<td
						>{row.session ?? ''}{#if row.version}<span class="quiet pl-1.5">v{row.version}</span>{/if}</td
					>
					<td
						>{doneText[row.done]}{row.done === 'part' ? `, ${percent(row.credit)}` : ''}{row.standing ===
						'on time'
							? ''
							: `, ${row.standing}`}{#if row.enteredBy}<span class="quiet block"
								>recorded by {row.enteredBy}
								{#if person}<form method="post" action="?/takeBackRecorded" class="inline" use:enhance>
										<input type="hidden" name="person" value={person} />
										<input type="hidden" name="days" value={row.day} />
										<button class="link-quiet" aria-label="Take back what was recorded for day {row.day}"
											>Take back</button
										>
									</form>{/if}</span
							>{/if}</td
					>
					<td>{row.effort === null ? '–' : `${row.effort} of 10`}</td>
					<td>{row.energy === null ? '–' : `${row.energy} of 5`}</td>
					<td>{row.well.mood ? `${row.well.mood} of 5` : '–'}</td>
					<td>{row.sleepHours === null ? '–' : `${row.sleepHours} h`}</td>
					<td class="quiet whitespace-nowrap">{dayAndTimeIn(zone, row.receivedAt)}</td>
				</tr>
				{#if row.hurts || row.note || row.beyond.length > 0 || wellWords(row.well)}
					<tr
						><td></td><td colspan="7">
							{#if row.hurts}<p class="remark remark-safety">
									<b>Hurts:</b>
									{row.hurts}{row.well.pain
										? ` (${[row.well.pain.kind, row.well.pain.area].filter(Boolean).join(', ')})`
										: ''}.
									<span class="quiet"
										>Pain is not soreness: take the exercise out until it is quiet; a professional if it lasts
										or is sharp.</span
									>
								</p>{/if}
							{#if wellWords(row.well)}<p>{wellWords(row.well)}</p>{/if}
							{#if row.note}<p class="quiet">“{row.note}”</p>{/if}
							{#if row.beyond.length > 0}<p>On top: {beyondWords(row.beyond, units)}</p>{/if}
						</td></tr
					>
				{/if}
			{/each}
		</tbody>
	</table>
{/if}
