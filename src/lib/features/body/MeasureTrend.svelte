<script lang="ts">
	import {
		MEASURES,
		smoothed,
		trendOf,
		unitOfMeasure,
		type Measured,
		type MeasureKind
	} from '$core/measures';
	import type { Units } from '$core/kit';
	import Chart from '$lib/ui/Chart.svelte';
	import { counted, dayText } from '$lib/format';
	import { dateIn, DAY_MS } from '$core/calendar';

	/** One measure over time: each value, the line without its day-to-day swing, and how it changes in a week. */
	interface Props {
		kind: MeasureKind;
		/** The oldest first; kg or m. */
		values: readonly Measured[];
		units: Units;
		zone: string;
	}
	let { kind, values, units, zone }: Props = $props();

	const { unit, perSi } = $derived(unitOfMeasure(kind, units));
	const shown = (value: number) => (value * perSi).toFixed(1);
	const change = (value: number, digits = 1) =>
		`${value >= 0 ? '+' : '−'}${Math.abs(value * perSi).toFixed(digits)}`;
	const place = ({ at, value }: Measured) => ({ x: (at - (first?.at ?? at)) / DAY_MS, y: value * perSi });
	const trend = $derived(trendOf(values));
	const line = $derived(smoothed(values));
	const last = $derived(values.at(-1));
	const first = $derived(values[0]);
	const words = $derived.by(() => {
		if (!trend || trend.n < 3 || trend.days < 7) return 'A trend needs three values over a week.';
		const { perWeek, interval } = trend;
		const between = interval
			? `, between ${change(interval.low, 2)} and ${change(interval.high, 2)} (95 %)`
			: '';
		return `${change(perWeek, 2)} ${unit} a week${between}, from ${counted(trend.n, 'value')} over ${counted(Math.round(trend.days), 'day')}.`;
	});
</script>

<section aria-label={MEASURES[kind].name}>
	<div class="flex items-baseline justify-between gap-3">
		<h2 class="text-xl">{MEASURES[kind].name}</h2>
		{#if last && first}<p>
				<b class="text-xl">{shown(last.value)} {unit}</b>
				{#if values.length > 1}<span class="quiet"
						>{change(last.value - first.value)} since {dayText(dateIn(zone, first.at))}</span
					>{/if}
			</p>{/if}
	</div>
	{#if values.length > 1}
		<Chart
			label="{MEASURES[kind].name} in {unit}, each value and the smoothed line. {words}"
			height={150}
			config={(colours) => ({
				type: 'line',
				data: {
					datasets: [
						{
							label: 'measured',
							data: values.map(place),
							borderColor: 'transparent',
							pointBackgroundColor: colours.text ?? '',
							pointRadius: 2.5,
							clip: false,
							showLine: false
						},
						{
							label: 'smoothed',
							data: line.map(place),
							borderColor: colours.work ?? '',
							borderWidth: 2,
							pointStyle: 'line',
							pointRadius: 0,
							tension: 0.2
						}
					]
				},
				options: {
					maintainAspectRatio: false,
					// A dot is explained by a dot, the line by a line.
					plugins: { legend: { labels: { usePointStyle: true, boxHeight: 5 } } },
					scales: {
						x: {
							type: 'linear',
							max: last && first ? (last.at - first.at) / DAY_MS : 1,
							grid: { display: false },
							ticks: {
								// At its end a label would lie over the one before it.
								includeBounds: false,
								maxTicksLimit: 4,
								maxRotation: 0,
								callback: (days) => dayText(dateIn(zone, (first?.at ?? 0) + Number(days) * DAY_MS))
							}
						},
						y: { title: { display: true, text: unit }, grid: { color: colours.line ?? '' } }
					}
				}
			})}
		/>
	{/if}
	<p class="quiet text-[15px]">{words}</p>
</section>
