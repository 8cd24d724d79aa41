<script lang="ts">
	import DayTotals from '$lib/features/roll/DayTotals.svelte';
	import { unpackDays } from '$core/attendance';
	import Empty from '$lib/ui/Empty.svelte';
	import Legend from '$lib/ui/Legend.svelte';
	import { isTyping } from '$lib/ui/keys';
	import { PLATE } from '$lib/ui/marks';
	import { VirtualRows } from '$lib/ui/virtual-rows.svelte';
	import PersonPanel from '$lib/features/roll/PersonPanel.svelte';
	import PlateStrip from '$lib/ui/PlateStrip.svelte';
	import { ROLL_SORTS, sortRoll, type RollSort } from '$lib/features/roll/roll-sort';
	import { counted, percent, placeOf, signed, timeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	let sort = $state<RollSort>('name');
	let find = $state('');
	/** The team that is shown; empty: everybody. */
	let team = $state('');
	let chosen = $state<string | null>(null);
	let excusing = $state(false);
	let recording = $state(false);

	const wanted = $derived(find.trim().toLowerCase());
	const rows = $derived(
		sortRoll(
			data.rows.filter(
				(row) =>
					(!team || row.team === team) &&
					(!wanted || row.name.toLowerCase().includes(wanted) || row.zone.toLowerCase().includes(wanted))
			),
			sort,
			data.asOf
		)
	);
	const person = $derived.by(() => {
		const row = data.rows.find(({ id }) => id === chosen);
		return row ? { ...row, days: unpackDays(row.days) } : null;
	});
	const inOn = (row: { days: string }, day: number) => (unpackDays(row.days)[day - 1]?.credit ?? 0) > 0;
	const fading = $derived(data.rows.filter((row) => row.fading).length);
	const todayTotal = $derived(data.today === null ? null : data.totals[data.today - 1]);
	const inToday = $derived(
		data.today === null ? 0 : data.rows.filter((row) => inOn(row, data.today ?? 0)).length
	);
	const days = $derived(data.rail.length);
	/** Room beside the strip: all columns, or name and adherence alone while a person is open beside the roll. */
	const COLUMNS = { all: 470, few: 286 };
	let width = $state(1096);
	const few = $derived(person !== null && width < 1100);
	const columns = $derived(few ? COLUMNS.few : COLUMNS.all);
	const weekGaps = $derived(5 * Math.floor((days - 1) / 7));
	/** From one day to the next: as wide as there is room, never so narrow that plates touch. */
	const stripStep = $derived(Math.max(13, Math.min(24, Math.floor((width - columns - weekGaps - 8) / days))));
	const stripWidth = $derived((days - 1) * stripStep + Math.floor((days - 1) / 7) * 5 + PLATE.width);

	const ROW = 31;
	const virtual = new VirtualRows(() => rows.length, ROW);

	function onkeydown(event: KeyboardEvent) {
		if (isTyping(event)) return;
		if (event.key === 'x' && chosen && data.challenge.role !== 'viewer') {
			event.preventDefault();
			excusing = true;
		}
		if (event.key !== 'n' && event.key !== 'p') return;
		const at = rows.findIndex((row) => row.id === chosen);
		const next = rows[event.key === 'n' ? Math.min(rows.length - 1, at + 1) : Math.max(0, at - 1)];
		if (next) chosen = next.id;
		virtual.scrollTo(event.key === 'n' ? at + 1 : at - 1);
	}
</script>

<svelte:head><title>Roll · {data.challenge.name}</title></svelte:head>
<svelte:window {onkeydown} />

<div class="mb-2 flex flex-wrap items-baseline gap-x-6 gap-y-2">
	<h1>
		Roll
		<a
			class="quiet align-super text-sm font-normal"
			href="/glossary#roll"
			aria-label="What is the roll?"
			title="Everybody and every day on one page; the glossary says more">?</a
		>
	</h1>
	{#if data.group.rate !== null && data.group.low !== null && data.group.high !== null}
		<p>
			<b class="text-lg">{percent(data.group.rate)}</b>
			<span class="quiet">of {data.group.due} due days done</span>
			<span class="quiet text-sm" title="Wilson score interval, 95 %: from the credit of all due days"
				>({percent(data.group.low)} to {percent(data.group.high)})</span
			>
		</p>
	{/if}
	{#if todayTotal && todayTotal.people > 0 && !data.back}<p>
			<b class="text-lg">{inToday}</b>
			<span class="quiet">of {todayTotal.people} checked in for day {data.today}</span>
		</p>{/if}
	{#if data.rows.length > 0}<p><b class="text-lg">{fading}</b> <span class="quiet">fading</span></p>{/if}
	<div class="ml-auto flex items-center gap-2">
		{#if data.teams.length > 0}<select class="select select-sm w-36" aria-label="Team" bind:value={team}>
				<option value="">All teams</option>
				{#each data.teams as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
			</select>{/if}
		<label class="flex items-center gap-1.5 text-sm">
			<span class="quiet">Sort</span>
			<select class="select select-sm w-40" bind:value={sort}>
				{#each ROLL_SORTS as option (option.by)}<option value={option.by}>{option.text}</option>{/each}
			</select>
		</label>
		<input
			class="input input-sm w-36"
			placeholder="Find  /"
			aria-label="Find a person"
			data-find
			bind:value={find}
		/>
	</div>
</div>

{#if data.rows.length === 0}
	<Empty says="Nobody is enrolled yet, so there is nobody to look at.">
		{#if data.challenge.role !== 'viewer'}<a class="link-quiet" href="/c/{data.challenge.id}/people/import"
				>Enrol people from a list</a
			>{/if}
	</Empty>
{:else}
	<div class="flex items-start gap-4">
		<div class="min-w-0 flex-1" bind:clientWidth={width}>
			<div
				bind:this={virtual.box}
				class="max-h-[calc(100dvh-14rem)] overflow-auto"
				role="table"
				aria-label="Participants and their days"
				aria-rowcount={rows.length + 2}
				tabindex="-1"
			>
				<div style="min-width:{stripWidth + columns}px" class={[few && 'few']}>
					<div
						role="row"
						class="bg-base-200 quiet border-base-content/70 sticky top-0 z-10 grid border-b pb-1 text-[13px] roll-row"
					>
						<span role="columnheader">Participant</span>
						<span role="columnheader">Local time</span>
						<span role="columnheader">Done of due</span>
						<span
							role="columnheader"
							title="Adherence of the last 7 days less that of the 7 before, in points">7 days ±</span
						>
						<span role="columnheader">Days 1 to {days}</span>
					</div>
					<div class="relative" style="height:{rows.length * ROW}px" role="rowgroup">
						{#each virtual.shown as item (rows[item.index]?.id ?? item.index)}
							{@const row = rows[item.index]}
							{#if row}
								<div
									role="row"
									aria-rowindex={item.index + 2}
									class={[
										'border-base-300 roll-row absolute inset-x-0 grid items-center border-b',
										row.id === chosen && 'bg-primary/10'
									]}
									style="top:{item.start}px;height:{ROW}px"
								>
									<span role="cell" class="truncate pr-2">
										<button
											class="hover:text-primary max-w-full truncate text-left font-semibold"
											onclick={() => (chosen = row.id)}
											title="{row.name}, {row.level}">{row.name}</button
										>
									</span>
									<span role="cell" class="quiet truncate pr-2 text-[13px]"
										><span class="clock">{timeIn(row.zone, data.asOf)}</span> {placeOf(row.zone)}</span
									>
									<span role="cell" class="whitespace-nowrap">
										{#if row.adherence.rate === null}<span class="quiet text-sm">none due</span>
										{:else}<b
												title="95 % interval {percent(row.adherence.low ?? 0)} to {percent(
													row.adherence.high ?? 1
												)}">{percent(row.adherence.rate)}</b
											> <span class="quiet text-sm">of {row.adherence.due}</span>{/if}
										{#if row.extras > 0}<span
												class="quiet text-sm"
												title="{counted(
													row.extras,
													'session'
												)} from the shelf; what counts makes up for missed work">+{row.extras}</span
											>{/if}
									</span>
									<span role="cell" class={['text-sm', row.fading && 'attention font-bold']}
										>{row.trend === null ? '–' : signed(row.trend)}</span
									>
									<span role="cell"
										><PlateStrip
											days={unpackDays(row.days)}
											step={stripStep}
											name="{row.name}, days 1 to {days}"
										/></span
									>
								</div>
							{/if}
						{/each}
					</div>
					<div
						role="row"
						class="bg-base-200 border-base-content/70 roll-row sticky bottom-0 grid items-center border-t pt-1 text-[13px]"
					>
						<span role="cell" class="font-semibold">Done by the group</span><span role="cell"></span><span
							role="cell"
						></span><span role="cell"></span>
						<span role="cell">
							<DayTotals totals={data.totals} step={stripStep} weekGap={5} width={stripWidth} />
						</span>
					</div>
				</div>
			</div>
			<div class="mt-3"><Legend /></div>
		</div>
		{#if person}
			<PersonPanel
				{person}
				challenge={data.challenge}
				asOf={data.asOf}
				day={data.day}
				rail={data.rail}
				message={form && 'message' in form && !('recording' in form) ? (form.message ?? null) : null}
				recordMessage={form && 'recording' in form ? (form.message ?? null) : null}
				recorded={form && 'recorded' in form && form.about === person.id ? (form.recorded ?? null) : null}
				bind:recording
				bind:excusing
				onclose={() => (chosen = null)}
			/>
		{/if}
	</div>
	{#if rows.length === 0}<p class="quiet mt-3">
			{find ? `Nobody here is called “${find}”.` : 'Nobody is in this team.'}
			<button
				class="link-quiet"
				onclick={() => {
					find = '';
					team = '';
				}}>Show all</button
			>
		</p>{/if}
{/if}

<style>
	.roll-row {
		grid-template-columns: 166px 124px 116px 58px 1fr;
	}
	.few .roll-row {
		grid-template-columns: 166px 116px 1fr;
	}
	.few .roll-row > :nth-child(2),
	.few .roll-row > :nth-child(4) {
		display: none;
	}
</style>
