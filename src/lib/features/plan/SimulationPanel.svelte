<script lang="ts">
	import { onDestroy, onMount } from 'svelte';
	import type { ChartConfiguration } from 'chart.js';
	import {
		ASSUMPTION_BOUNDS,
		GOOD,
		simulationInput,
		DEFAULT_ASSUMPTIONS,
		type Assumptions,
		type ResolvedPlan,
		type Outcome
	} from '$core/plan';
	import { counted, percent } from '$lib/format';
	import { runSimulation } from '$lib/features/plan/simulation';
	import Chart from '$lib/ui/Chart.svelte';

	/** The plan as it is now, lived by imagined groups: how long it takes them, and how much of it gets done. */
	interface Props {
		resolved: ResolvedPlan;
		budgetMinutes: number;
		dullAfter: number;
		/** Enrolled; 0: nobody yet. */
		people: number;
	}
	let { resolved, budgetMinutes, dullAfter, people }: Props = $props();

	const GROUPS = 200;
	const FIELDS: { key: keyof Assumptions; label: string; unit: string; times: number; step: number }[] = [
		{ key: 'people', label: 'People in a group', unit: '', times: 1, step: 1 },
		{ key: 'usual', label: 'Typical person completes', unit: '%', times: 100, step: 1 },
		{ key: 'unlike', label: 'Spread between people', unit: 'SD, logit', times: 1, step: 0.1 },
		{ key: 'stop', label: 'Stop for good, each week', unit: '%', times: 100, step: 0.5 },
		{ key: 'overMinute', label: 'Lost per minute over the budget', unit: 'points', times: 100, step: 0.1 },
		{ key: 'hardPoint', label: 'Lost per point of effort above 7', unit: 'points', times: 100, step: 0.5 },
		{ key: 'dull', label: 'Lost in a week with nothing new', unit: 'points', times: 100, step: 0.5 },
		{ key: 'lost', label: 'Unplanned pauses, a session', unit: 'min', times: 1, step: 0.5 }
	];
	// svelte-ignore state_referenced_locally
	const usual = { ...DEFAULT_ASSUMPTIONS, people: people || DEFAULT_ASSUMPTIONS.people };
	let assumed = $state<Assumptions>({ ...usual });
	let seed = $state('hut');
	let share = $state<number | null>(null);
	let fault = $state('');
	let outcome = $state.raw<Outcome | null>(null);
	/** What the outcome was worked out from; another plan or other assumptions make it old. */
	let of = $state('');
	let stop: (() => void) | null = null;
	onDestroy(() => stop?.());

	const trial = $derived(simulationInput(resolved, budgetMinutes, dullAfter));
	const asked = $derived(JSON.stringify([trial, assumed, seed]));
	const wrong = $derived(
		FIELDS.find(({ key }) => {
			const [least, most] = ASSUMPTION_BOUNDS[key];
			return !(assumed[key] >= least && assumed[key] <= most);
		})
	);
	const old = $derived(outcome !== null && of !== asked);

	async function run() {
		const from = asked;
		fault = '';
		share = 0;
		const work = runSimulation(trial, { ...assumed }, seed, GROUPS, (now) => (share = now));
		stop = work.stop;
		try {
			outcome = await work.outcome;
			of = from;
		} catch {
			fault = 'It could not be worked out. Try again; the plan was not touched.';
		}
		share = null;
		stop = null;
	}
	// A first result with the usual assumptions: it takes a second or two, and half a page would be empty without.
	onMount(() => {
		if (!wrong) void run();
	});
	function cancel() {
		stop?.();
		stop = null;
		share = null;
	}

	const worst = $derived(
		outcome?.days.reduce((most, day) => (day.over > most.over ? day : most), { day: 0, over: 0 })
	);
	const whole = (n: number) => Math.round(n);
	const bar = ({ low, high }: Outcome['done'], times: number): [number, number] => [
		whole(low * times),
		whole(high * times)
	];
	type Colours = Record<string, string>;
	const minutesChart = $derived((colours: Colours): ChartConfiguration<'bar' | 'line'> => ({
		type: 'bar',
		data: {
			labels: outcome?.days.map(({ day }) => day) ?? [],
			datasets: [
				{
					type: 'line',
					label: `budget, ${budgetMinutes} min`,
					data: outcome?.days.map(() => budgetMinutes) ?? [],
					borderColor: colours.text,
					borderDash: [4, 3],
					borderWidth: 1,
					pointRadius: 0
				},
				{
					type: 'line',
					label: 'median',
					data: outcome?.days.map(({ minutes }) => whole(minutes.mid)) ?? [],
					showLine: false,
					borderColor: colours.text,
					backgroundColor: colours.paper,
					pointRadius: 3
				},
				{
					type: 'bar',
					label: 'eight of ten people',
					data: outcome?.days.map(({ minutes }) => bar(minutes, 1)) ?? [],
					backgroundColor: outcome?.days.map(({ over }) =>
						over > 0.5 ? (colours.attention ?? '') : (colours.work ?? '')
					)
				}
			]
		},
		options: {
			maintainAspectRatio: false,
			plugins: { legend: { position: 'bottom', labels: { boxWidth: 12 } } },
			scales: {
				x: { grid: { display: false }, title: { display: true, text: 'day' }, ticks: { maxRotation: 0 } },
				y: { beginAtZero: true, title: { display: true, text: 'minutes' } }
			}
		}
	}));
	const weeksChart = $derived((colours: Colours): ChartConfiguration<'bar' | 'line'> => ({
		type: 'line',
		data: {
			labels: outcome?.weeks.map(({ week }) => `week ${week}`) ?? [],
			datasets: [
				{
					type: 'line',
					label: 'days done, median of the groups',
					data: outcome?.weeks.map(({ done }) => whole(done.mid * 100)) ?? [],
					borderColor: colours.work,
					backgroundColor: colours.work,
					pointRadius: 3
				},
				{
					type: 'line',
					label: 'still there',
					data: outcome?.weeks.map(({ there }) => whole(there.mid * 100)) ?? [],
					borderColor: colours.info,
					backgroundColor: colours.info,
					borderDash: [4, 3],
					pointRadius: 2,
					clip: 6
				},
				{
					type: 'bar',
					label: 'eight of ten groups',
					data: outcome?.weeks.map(({ done }) => bar(done, 100)) ?? [],
					backgroundColor: colours.pale
				}
			]
		},
		options: {
			maintainAspectRatio: false,
			plugins: { legend: { position: 'bottom', labels: { boxWidth: 12 } } },
			scales: {
				x: { grid: { display: false } },
				y: { min: 0, max: 100, title: { display: true, text: '% of people’s days' } }
			}
		}
	}));
</script>

<div class="grid items-start gap-4 lg:grid-cols-[19rem_minmax(0,1fr)]">
	<form
		class="panel p-4"
		aria-labelledby="assumptions"
		onsubmit={(event) => {
			event.preventDefault();
			void run();
		}}
	>
		<h2 id="assumptions">Assumptions</h2>
		<p class="quiet mt-1 mb-3 text-[13px]">
			Chosen by us, not measured; there is no source for them. Use it to compare plans, not to foretell one.
		</p>
		<div class="flex flex-col gap-1.5 text-sm">
			{#each FIELDS as { key, label, unit, times, step } (key)}
				{@const [least, most] = ASSUMPTION_BOUNDS[key]}
				<label class="flex items-center justify-between gap-2"
					><span>{label}</span>
					<span class="flex items-center gap-1"
						><input
							type="number"
							class="input input-sm w-20 text-right"
							min={least * times}
							max={most * times}
							{step}
							required
							value={Math.round(assumed[key] * times * 100) / 100}
							oninput={(event) => (assumed[key] = event.currentTarget.valueAsNumber / times)}
						/><span class="quiet w-14 text-[13px]">{unit}</span></span
					></label
				>
			{/each}
			<label class="flex items-center justify-between gap-2"
				><span>Seed</span>
				<span class="flex items-center gap-1"
					><input class="input input-sm w-20" maxlength="20" bind:value={seed} /><span
						class="quiet w-14 text-[13px]"
					></span></span
				></label
			>
		</div>
		<div class="mt-3 flex items-center gap-2">
			<button
				class="btn btn-primary btn-sm"
				disabled={share !== null || wrong !== undefined || trial.days.length === 0}>Simulate</button
			>
			<button type="button" class="btn btn-ghost btn-sm" onclick={() => (assumed = { ...usual })}
				>Reset</button
			>
		</div>
		{#if wrong}
			{@const [least, most] = ASSUMPTION_BOUNDS[wrong.key]}
			<p class="field-fault mt-2" role="alert">
				{wrong.label}: from {least * wrong.times} to {most * wrong.times}
				{wrong.unit}
			</p>{/if}
		<details class="mt-3 text-[13px]">
			<summary class="cursor-pointer font-semibold">How this is worked out</summary>
			<p class="mt-1">
				Each person has a share of days that they do, spread around the median on the logit scale, and a pace:
				normal around the planned one, a quarter quicker or slower at the most. A session takes them its
				length at that pace and an exponential time of unplanned pauses. From their share go the points for
				each minute over the budget, each point of effort above 7 and a week with nothing new; a draw decides
				whether the day is done. Each week from the second on some stop for good. {GROUPS} groups are drawn; the
				same seed gives the same outcome.
			</p>
		</details>
	</form>

	<section class="panel p-4" aria-labelledby="outcome">
		<h2 id="outcome">Expected outcome</h2>
		{#if share !== null}
			<p class="mt-2 flex items-center gap-3 text-sm" role="status">
				<progress class="progress w-48" value={share} max="1"></progress>
				{percent(share)} of {GROUPS} groups
				<button type="button" class="btn btn-ghost btn-xs" onclick={cancel}>Cancel</button>
			</p>
		{/if}
		{#if fault}<p class="field-fault mt-2" role="alert">{fault}</p>{/if}
		{#if !outcome && share === null}
			<p class="quiet mt-2 text-sm">
				{trial.days.length === 0
					? 'Nothing lies on any day yet: lay sessions on the days first.'
					: `${counted(trial.days.length, 'day')} with a session, in ${counted(trial.weeks, 'week')}. Try them out with an imagined group before real people do.`}
			</p>
		{/if}
		{#if outcome}
			{#if old}<p class="remark remark-attention my-2 text-sm" role="status">
					The plan or what is assumed has changed since; try it out again.
				</p>{/if}
			<dl class="my-3 grid gap-x-6 gap-y-2 sm:grid-cols-3">
				<div>
					<dt class="label-text">Days done</dt>
					<dd>
						<b class="text-2xl">{percent(outcome.done.mid)}</b>
						<span class="quiet block text-[13px]"
							>{percent(outcome.done.low)} to {percent(outcome.done.high)} in eight of ten groups</span
						>
					</dd>
				</div>
				<div>
					<dt class="label-text">Do at least {percent(GOOD)}</dt>
					<dd>
						<b class="text-2xl">{percent(outcome.good.mid)}</b>
						<span class="quiet block text-[13px]"
							>of people; {percent(outcome.good.low)} to {percent(outcome.good.high)}</span
						>
					</dd>
				</div>
				<div>
					<dt class="label-text">Run over {budgetMinutes} min</dt>
					<dd>
						<b class="text-2xl">{percent(outcome.over)}</b>
						<span class="quiet block text-[13px]"
							>of sessions{worst && worst.over > 0
								? `; the most on day ${worst.day}, ${percent(worst.over)}`
								: ''}</span
						>
					</dd>
				</div>
			</dl>
			<figure class="mb-4">
				<figcaption class="label-text mb-1">How long sessions take people</figcaption>
				<Chart
					config={minutesChart}
					height={210}
					label="Minutes by day, from the quickest tenth to the slowest: {outcome.days
						.map(({ day, minutes }) => `day ${day} ${whole(minutes.low)} to ${whole(minutes.high)}`)
						.join(', ')}"
				/>
			</figure>
			<figure>
				<figcaption class="label-text mb-1">How much gets done</figcaption>
				<Chart
					config={weeksChart}
					height={210}
					label="Share of days done by week: {outcome.weeks
						.map(({ week, done }) => `week ${week} ${percent(done.mid)}`)
						.join(', ')}"
				/>
			</figure>
			<p class="quiet mt-2 text-[13px]">
				Marigold: more than half run over the budget. Those who have stopped count among the people of a week.
			</p>
		{/if}
	</section>
</div>
