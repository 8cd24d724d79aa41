<script lang="ts">
	import type { ChartConfiguration } from 'chart.js';
	import { placeOf, timeIn } from '$lib/format';
	import Chart from '$lib/ui/Chart.svelte';

	interface Opening {
		opens: number;
		people: { name: string }[];
	}
	/** For how many people a day opens at which hour of the reader's clock; those to come are pale. */
	let { openings, zone, now }: { openings: Opening[]; zone: string; now: number } = $props();

	const HOUR = 3_600_000;
	const first = $derived(Math.floor((openings[0]?.opens ?? now) / HOUR));
	const last = $derived(Math.floor((openings.at(-1)?.opens ?? now) / HOUR));
	const hours = $derived(
		Array.from({ length: last - first + 1 }, (_, i) => {
			const from = (first + i) * HOUR;
			const people = openings
				.filter((o) => o.opens >= from && o.opens < from + HOUR)
				.flatMap((o) => o.people);
			return { from, people };
		})
	);
	const label = $derived(
		`Openings by hour in ${placeOf(zone)}: ` +
			hours
				.filter((h) => h.people.length > 0)
				.map((h) => `${timeIn(zone, h.from)} ${h.people.length}`)
				.join(', ')
	);

	const config = (colours: Record<string, string>): ChartConfiguration<'bar'> => ({
		type: 'bar',
		data: {
			labels: hours.map((h) => timeIn(zone, h.from)),
			datasets: [
				{
					label: 'people',
					data: hours.map((h) => h.people.length),
					backgroundColor: hours.map((h) => (h.from <= now ? colours.work : colours.pale)),
					borderColor: colours.work,
					borderWidth: 1,
					barPercentage: 0.9,
					categoryPercentage: 1
				}
			]
		},
		options: {
			maintainAspectRatio: false,
			plugins: {
				tooltip: { callbacks: { label: (item) => hours[item.dataIndex]?.people.map((p) => p.name) ?? [] } }
			},
			scales: {
				x: {
					title: { display: true, text: `opens at, ${placeOf(zone)}` },
					grid: { display: false },
					ticks: { maxRotation: 0, autoSkipPadding: 16 }
				},
				y: {
					title: { display: true, text: 'people' },
					ticks: { precision: 0, maxTicksLimit: 4 },
					grid: { color: colours.line }
				}
			}
		}
	});
</script>

<Chart {config} {label} height={150} />
