<script lang="ts">
	import { milestonesOf, type Calendar } from '$core/calendar';
	import { counted, dayText } from '$lib/format';

	let { calendar }: { calendar: Calendar } = $props();
	const first = $derived(calendar.days[0]);
	const halfway = $derived.by(() => {
		const days = calendar.days.map(({ trains }) => ({
			kind: trains ? ('train' as const) : ('rest' as const)
		}));
		return calendar.days[(milestonesOf(days).halfway ?? 0) - 1];
	});
	const last = $derived(calendar.days.at(-1));
</script>

{#if first && last}
	<p class="mb-3 text-sm">
		<b>{counted(calendar.trainingDays, 'training day')}</b> of {calendar.days.length},
		{dayText(first.date)} to <b>{dayText(last.date)}</b>{#if halfway}; halfway is day {halfway.day}, {dayText(
				halfway.date
			)}{/if}.
	</p>
	<table class="w-full border-separate border-spacing-1 text-center text-[13px]">
		<thead>
			<tr>
				<th class="quiet text-left font-normal">Week</th>
				{#each calendar.days.slice(0, 7) as day (day.day)}<th class="quiet font-normal"
						>{dayText(day.date).slice(0, 2)}</th
					>{/each}
				<th class="quiet pl-2 text-left font-normal">ends</th>
			</tr>
		</thead>
		<tbody>
			{#each calendar.weekEnds as end, w (end)}
				<tr>
					<td class="text-left font-semibold">{w + 1}</td>
					{#each calendar.days.slice(w * 7, w * 7 + 7) as day (day.day)}
						<td
							title="Day {day.day}, {dayText(day.date)}: {day.trains ? 'train' : 'rest'}"
							class={[
								'rounded-[3px] py-1',
								day.trains ? 'bg-primary text-primary-content' : 'bg-base-200 quiet',
								day.day === halfway?.day && 'outline-secondary outline-2'
							]}>{Number(day.date.slice(8))}</td
						>
					{/each}
					<td class="pl-2 text-left whitespace-nowrap">{dayText(end)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="quiet mt-2 text-[13px]">Filled: training day. Pale: rest day. Outlined: halfway.</p>
{/if}
