<script lang="ts">
	import type { ChartConfiguration } from 'chart.js';
	import { MUSCLES } from '$core/exercise';
	import type { ResolvedPlan } from '$core/plan';
	import { DAY_KINDS } from '$core/calendar';
	import Chart from '$lib/ui/Chart.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import { KIND_TEXT } from '$lib/ui/marks';

	/** The plan at a glance: load by day and week, sets by muscle, time by kind of day. */
	let { resolved, weekSets }: { resolved: ResolvedPlan; weekSets: number } = $props();
	type Colours = Record<string, string>;
	type Bars = ChartConfiguration<'bar'>;
	const weekNames = $derived(
		resolved.weeks.map(({ week, light }) => (light ? [`week ${week}`, 'lighter'] : `week ${week}`))
	);
	const axes = (y: string, stacked: boolean, x?: string) => ({
		x: {
			stacked,
			grid: { display: false },
			ticks: { maxRotation: 0 },
			...(x && { title: { display: true, text: x } })
		},
		y: { stacked, beginAtZero: true, title: { display: true, text: y } }
	});
	const fill = (colours: Colours, light: boolean) => (light ? colours.info : colours.work) ?? '';

	const byDay = $derived((colours: Colours): Bars => ({
		type: 'bar',
		data: {
			labels: resolved.days.map((day) => day.day),
			datasets: [
				{
					label: 'load',
					data: resolved.days.map((day) => Math.round(day.load)),
					backgroundColor: resolved.days.map((day) =>
						day.kind === 'test' ? (colours.test ?? '') : fill(colours, day.light)
					)
				}
			]
		},
		options: {
			maintainAspectRatio: false,
			plugins: { legend: { display: false } },
			scales: axes('load, effort × min', false, 'day')
		}
	}));
	const byWeek = $derived((colours: Colours): Bars => ({
		type: 'bar',
		data: {
			labels: weekNames,
			datasets: [
				{
					label: 'load',
					data: resolved.weeks.map((week) => Math.round(week.load)),
					backgroundColor: resolved.weeks.map((week) => fill(colours, week.light))
				}
			]
		},
		options: {
			maintainAspectRatio: false,
			plugins: { legend: { display: false } },
			scales: axes('load, effort × min', false)
		}
	}));
	const KIND_COLOURS = {
		train: 'work',
		cardio: 'info',
		test: 'test',
		'active-rest': 'pale',
		rest: 'line'
	} as const;
	const kinds = $derived(
		DAY_KINDS.filter((kind) => resolved.days.some((day) => day.kind === kind && day.minutes > 0))
	);
	const time = $derived((colours: Colours): Bars => ({
		type: 'bar',
		data: {
			labels: weekNames,
			datasets: kinds.map((kind) => ({
				label: KIND_TEXT[kind],
				data: resolved.weeks.map(({ days }) =>
					Math.round(days.filter((day) => day.kind === kind).reduce((sum, day) => sum + day.minutes, 0))
				),
				backgroundColor: colours[KIND_COLOURS[kind]] ?? ''
			}))
		},
		options: {
			maintainAspectRatio: false,
			plugins: { legend: { position: 'bottom', labels: { boxWidth: 12 } } },
			scales: axes('minutes', true)
		}
	}));
	/** Muscles that come in the plan at all, with their sets in each week. */
	const muscles = $derived(
		MUSCLES.map((muscle) => ({ muscle, sets: resolved.weeks.map((week) => week.sets[muscle] ?? 0) })).filter(
			({ sets }) => sets.some((n) => n > 0)
		)
	);
	const most = $derived(Math.max(weekSets, ...muscles.flatMap(({ sets }) => sets)));
	const loadText = $derived(
		`Planned load by week: ${resolved.weeks.map(({ week, load }) => `week ${week} ${Math.round(load)}`).join(', ')}`
	);
	const timeText = $derived(
		`Minutes by week: ${resolved.weeks.map(({ week, minutes }) => `week ${week} ${Math.round(minutes)}`).join(', ')}`
	);
</script>

{#if !resolved.days.some((day) => day.prescribed)}<Empty
		says="The charts show load, muscles and minutes once days have sessions. Choose a day and put a session on it."
	/>{:else}
	<section class="panel p-4" aria-labelledby="charts">
		<h2 id="charts" class="mb-3">Load, time and sets</h2>
		<div class="grid gap-x-6 gap-y-5 lg:grid-cols-2">
			<figure>
				<figcaption class="label-text mb-1">Load by day</figcaption>
				<Chart config={byDay} label={loadText} height={170} />
			</figure>
			<figure>
				<figcaption class="label-text mb-1">Load by week</figcaption>
				<Chart config={byWeek} label={loadText} height={170} />
			</figure>
			<figure>
				<figcaption class="label-text mb-1">Time by kind of day</figcaption>
				<Chart config={time} label={timeText} height={200} />
			</figure>
			<figure class="min-w-0">
				<figcaption class="label-text mb-1">Sets by muscle and week</figcaption>
				<div class="overflow-x-auto">
					<table class="w-full text-[13px]">
						<thead
							><tr class="quiet"
								><th class="text-left font-normal">sets, assisting ones ½</th
								>{#each resolved.weeks as { week } (week)}<th class="px-1 text-right font-normal">{week}</th
									>{/each}</tr
							></thead
						>
						<tbody>
							{#each muscles as { muscle, sets } (muscle)}
								<tr
									><th class="pr-2 text-left font-normal whitespace-nowrap">{muscle}</th
									>{#each sets as n, w (w)}<td
											class={['px-1 text-right', n >= weekSets && 'font-bold']}
											style="background:color-mix(in srgb, var(--color-primary) {Math.round(
												(35 * n) / most
											)}%, transparent)">{n || '·'}</td
										>{/each}</tr
								>
							{/each}
						</tbody>
					</table>
				</div>
			</figure>
		</div>
		<p class="quiet mt-3 text-[13px]">
			Load is effort × minutes (Foster et al. 2001). Marked bold: {weekSets} sets and more, the mark of your house
			rules. Blue bars: lighter weeks; plum: tests.
		</p>
	</section>
{/if}
