<script lang="ts">
	import { page } from '$app/state';
	import DraftKeeper from '$lib/ui/DraftKeeper.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import { provideWorkshop, workshopOf } from '$lib/features/build/workshop';
	import DayPanel from '$lib/features/plan/DayPanel.svelte';
	import DaysOffPanel from '$lib/features/plan/DaysOffPanel.svelte';
	import PlanBar from '$lib/features/plan/PlanBar.svelte';
	import PlanChecks from '$lib/features/plan/PlanChecks.svelte';
	import PlanGrid from '$lib/features/plan/PlanGrid.svelte';
	import { isPlan, PlanEditor } from '$lib/features/plan/plan-editor.svelte';
	import PlanParts from '$lib/features/plan/PlanParts.svelte';
	import ReleasePanel from '$lib/features/plan/ReleasePanel.svelte';
	import RulesPanel from '$lib/features/plan/RulesPanel.svelte';
	import TemplateStart from '$lib/features/plan/TemplateStart.svelte';
	import AudiencePanel from '$lib/features/plan/AudiencePanel.svelte';
	import TestsPanel from '$lib/features/plan/TestsPanel.svelte';
	import WeekPanel from '$lib/features/plan/WeekPanel.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const shop = $derived(workshopOf(data.own, data.house, data.coach.units));
	provideWorkshop(() => shop);
	// svelte-ignore state_referenced_locally
	const editor = new PlanEditor(data.plan, () => ({
		sessions: data.sessions,
		shop,
		budgetMinutes: data.challenge.budgetMinutes,
		releasedTo: data.releasedTo
	}));
	// svelte-ignore state_referenced_locally
	let revision = $state(data.revision);
	const refused = $derived(form && 'message' in form && form.message ? form : null);
	const cancelled = $derived(new Map(data.cancelled));
	const tab = $derived(page.url.searchParams.get('show') ?? 'grid');
	const carried = $derived(editor.carry && editor.resolved.days[editor.carry.from - 1]);

	let keeps = $state(true);

	function saved() {
		editor.settle();
		revision += 1;
	}
	/** The plan was changed on the server, by a shift or a template, while nothing here was unsaved. */
	function beginAnew() {
		editor.begin(data.plan);
		revision = data.revision;
	}
</script>

<svelte:head><title>Plan · {data.challenge.name}</title></svelte:head>
<PlanBar
	{editor}
	{revision}
	startsOn={data.challenge.startsOn}
	releasedTo={data.releasedTo}
	people={data.people}
	saved={{ days: data.challenge.days }}
	{keeps}
	onsaved={saved}
/>
<DraftKeeper
	bind:keeps
	history={editor}
	of={{ coachId: data.challenge.coachId, kind: 'plan', id: data.challenge.id }}
	version={revision}
	reads={isPlan}
	zone={data.coach.zone}
/>
{#if refused && !('of' in refused)}<p class="remark remark-attention mb-3" role="alert">
		{refused.message}
	</p>{:else if form && 'saved' in form && !editor.changed}<p class="remark mb-3" role="status">
		The plan is saved.
	</p>{/if}
<PlanParts {base} part={tab} />

{#if tab === 'progression'}
	<div class="flex flex-col gap-4">
		<RulesPanel {editor} /><TestsPanel {editor} built={(form && 'built' in form && form.built) || null} />
		<AudiencePanel {editor} />
	</div>
{:else if tab === 'charts'}
	{#await import('$lib/features/plan/PlanCharts.svelte') then { default: PlanCharts }}
		<PlanCharts resolved={editor.resolved} weekSets={data.house.weekSets} />
	{/await}
{:else if tab === 'try'}
	{#await import('$lib/features/plan/SimulationPanel.svelte') then { default: SimulationPanel }}
		<SimulationPanel
			resolved={editor.resolved}
			budgetMinutes={data.challenge.budgetMinutes}
			dullAfter={data.house.dullAfter}
			people={data.people}
		/>
	{/await}
{:else}
	<div class="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_19rem]">
		<div>
			{#if data.sessions.length === 0}
				<div class="mb-3">
					<Empty says="There is no session to lay yet."
						><a class="link-quiet" href="{base}/build/new">Build the first one</a></Empty
					>
				</div>
			{/if}
			{#if carried && editor.carry}
				<!-- Over the page, so that nothing moves under the pointer while a day is carried. -->
				<p
					class="panel border-base-content fixed bottom-4 left-1/2 z-20 w-[44rem] max-w-[90vw] -translate-x-1/2 px-3 py-2 text-sm"
					role="status"
				>
					<b
						>{editor.carry.how === 'swap' ? 'Swap' : 'Copy'} day {editor.carry.from}{editor.carry.to !==
						editor.carry.from
							? ` ${editor.carry.how === 'swap' ? 'and' : 'to'} ${editor.carry.to}`
							: ''}.</b
					>
					{#if editor.carry.to === editor.carry.from}Choose where it goes; Esc leaves it.
					{:else if !editor.effect}That day is released and keeps its place.
					{:else if editor.effect.brings.length + editor.effect.ends.length === 0}It breaks nothing.
					{:else}
						{#if editor.effect.brings.length > 0}<span class="attention font-semibold"
								>Brings: {editor.effect.brings
									.slice(0, 3)
									.map(({ title }) => title)
									.join('; ')}.</span
							>{/if}
						{#if editor.effect.ends.length > 0}<span
								>Ends: {editor.effect.ends
									.slice(0, 3)
									.map(({ title }) => title)
									.join('; ')}.</span
							>{/if}
					{/if}
				</p>
			{/if}
			{#if data.sessionsLaid === 0}<TemplateStart
					minutes={data.templateMinutes}
					days={data.challenge.days}
					changed={editor.changed}
					message={refused && 'of' in refused && refused.of === 'template' ? refused.message : null}
					onapplied={beginAnew}
				/>{/if}
			<PlanGrid
				{editor}
				startsOn={data.challenge.startsOn}
				budgetMinutes={data.challenge.budgetMinutes}
				releasedTo={data.releasedTo}
				shown={data.shown}
				people={data.people}
				{cancelled}
				onenter={() => document.querySelector<HTMLElement>('#chosen select')?.focus()}
			/>
			<p class="quiet mt-2 text-[13px]">
				Bar: load, effort × minutes; ◆ a test; minutes in marigold are over the budget of {data.challenge
					.budgetMinutes}. Keys: arrows go, <kbd>m</kbd> moves a day, <kbd>c</kbd> copies it, space chooses, Enter
				opens.
			</p>
		</div>
		<div class="flex flex-col gap-4">
			<WeekPanel {editor} house={data.house} />
			<DayPanel
				{editor}
				sessions={data.sessions}
				startsOn={data.challenge.startsOn}
				releasedTo={data.releasedTo}
				people={data.people}
				{base}
			/>
			<DaysOffPanel
				days={editor.chosen}
				{cancelled}
				excused={data.excused}
				people={data.people}
				last={data.challenge.days}
				releasedTo={data.releasedTo}
				changed={editor.changed}
				message={refused && 'of' in refused && refused.of === 'days off' ? refused.message : null}
				onshifted={beginAnew}
			/>
			<PlanChecks {editor} />
			{#if data.released}<ReleasePanel
					day={data.released}
					openings={data.openings}
					notReleased={data.notReleased}
					zone={data.coach.zone}
					asOf={data.asOf}
					{base}
				/>{/if}
		</div>
	</div>
{/if}
