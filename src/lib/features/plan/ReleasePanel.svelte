<script lang="ts">
	import type { HoldReason } from '$core/health';
	import { HOLD_TEXT } from '$lib/ui/hold-text';
	import { dayAndTimeIn, longDayText, minutesText, placeOf, timeIn } from '$lib/format';

	/** What the release of a day sends as it is saved, and when it is that hour for whom. */
	interface Props {
		day: {
			day: number;
			date: string;
			kind: string;
			cancelled: string | null;
			sessionId: string | null;
			session: string | null;
			version: number | null;
			seconds: number | null;
		};
		openings: { opens: number; people: { id: string; name: string; zone: string }[] }[];
		/** Who does not get it, and why. */
		notReleased: readonly { id: string; name: string; why: HoldReason | 'excused' | 'paused' }[];
		zone: string;
		asOf: number;
		base: string;
	}
	let { day, openings, notReleased, zone, asOf, base }: Props = $props();
	const MOST_NAMED = 12;
	const WHY = { ...HOLD_TEXT, excused: 'excused', paused: 'pauses' };
</script>

<section class="panel p-4" aria-labelledby="release">
	<h2 id="release">Release of day {day.day}</h2>
	<p class="quiet text-sm">{longDayText(day.date)}</p>
	{#if day.cancelled}
		<p class="attention mt-2 text-sm font-semibold">
			Cancelled for everyone: {day.cancelled}. It counts for nobody.
		</p>
	{:else if day.kind === 'rest'}
		<p class="mt-2 text-sm">Rest: nothing is sent.</p>
	{:else}
		<p class="mt-2">
			{#if day.sessionId}
				<a class="link-quiet" href="{base}/build/{day.sessionId}">{day.session}</a>, version {day.version},
				{minutesText(day.seconds ?? 0)}
			{:else}<span class="attention font-semibold">Nothing to send yet: no session on this day.</span>{/if}
		</p>
		{#if openings.length === 0}
			<p class="quiet mt-2 text-sm">Nobody is enrolled for it.</p>
		{:else}
			<table class="sheet mt-2 text-sm">
				<thead><tr><th>{placeOf(zone)}</th><th>for whom it is then</th></tr></thead>
				<tbody>
					{#each openings as opening (opening.opens)}
						<tr>
							<td class="align-top whitespace-nowrap"
								><span class={['clock', opening.opens <= asOf && 'quiet']}
									>{dayAndTimeIn(zone, opening.opens).slice(4)}</span
								></td
							>
							<td>
								{#each opening.people as person, i (person.id)}{i > 0 ? ', ' : ''}<span
										title="{timeIn(person.zone, opening.opens)} in {placeOf(person.zone)}"
										>{person.name.split(' ')[0]}</span
									>{/each}
								<span class="quiet"
									>{timeIn(opening.people[0]?.zone ?? 'UTC', opening.opens)}
									{[...new Set(opening.people.map((p) => placeOf(p.zone)))].join(', ')}</span
								>
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
		{#if notReleased.length > 0}
			<p class="mt-2 text-sm font-semibold">Not released to</p>
			<ul class="text-sm" aria-label="Not released to">
				{#each notReleased.slice(0, MOST_NAMED) as { id, name, why } (id)}
					<li>
						<a class="hover:underline" href="{base}/people/{id}"><s>{name}</s></a>
						<span class="quiet">{WHY[why]}</span>
					</li>
				{/each}
			</ul>
			{#if notReleased.length > MOST_NAMED}<p class="quiet text-sm">
					and {notReleased.length - MOST_NAMED} more
				</p>{/if}
		{/if}
	{/if}
</section>
