<script lang="ts">
	import { enhance } from '$app/forms';
	import Empty from '$lib/ui/Empty.svelte';
	import { LEVELS, type Audience } from '$core/people';
	import HourStrip from '$lib/features/people/HourStrip.svelte';
	import ShareBars from '$lib/features/people/ShareBars.svelte';
	import { counted, placeOf } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const picture = $derived(data.picture);
	const cohort = $derived(picture.cohort);
	const base = $derived(`/c/${data.challenge.id}`);
	const plan = $derived(data.plan);
	const suggested = $derived(plan?.suggested);
	const same = $derived(JSON.stringify(suggested) === JSON.stringify(plan?.audience));
	const audienceText = (one: Audience) =>
		[
			one.level,
			one.items.length > 0 ? `with ${one.items.join(', ')}` : 'without equipment',
			one.heaviestKg === null ? null : `up to ${one.heaviestKg} kg`,
			one.conditions.length > 0 ? one.conditions.join(', ') : null
		]
			.filter(Boolean)
			.join(' · ');
</script>

<svelte:head><title>The group · {data.challenge.name}</title></svelte:head>
{#if plan}<p class="mb-1 text-sm"><a class="link-quiet" href="{base}/people">People</a></p>{/if}
<div class="mb-3 flex flex-wrap items-baseline gap-x-5">
	<h1>The group</h1>
	<p class="quiet">
		{counted(cohort.people, 'person', 'people')} in {counted(
			picture.zones.length,
			'time zone'
		)}{picture.unanswered > 0 ? ` · ${picture.unanswered} with questions open` : ''}
	</p>
</div>
{#if cohort.people === 0}
	<Empty says="Nobody is enrolled yet."
		>{#if plan}<a class="link-quiet" href="{base}/people/join">Add or invite people</a>{/if}</Empty
	>
{:else}
	<section class="panel mb-4 p-4" aria-labelledby="hours">
		<h2 id="hours">Who trains when, by your clock</h2>
		<HourStrip hours={picture.hours} place={placeOf(data.coach.zone)} />
		{#if picture.noHour > 0}<p class="quiet mt-1 text-sm">
				{counted(picture.noHour, 'person has', 'people have')} no fixed hour.
			</p>{/if}
	</section>
	<div class="grid items-start gap-4 lg:grid-cols-3">
		<section class="panel p-4" aria-labelledby="levels">
			<h2 id="levels" class="mb-2">Levels</h2>
			<ShareBars
				of={cohort.people}
				rows={LEVELS.map((level) => ({ name: level, people: cohort.levels[level] }))}
			/>
			{#if plan}
				<h3 class="mt-4 mb-2">To leave out</h3>
				{#if cohort.limits.length === 0}<p class="quiet text-sm">Nothing for anybody.</p>{:else}
					<ShareBars
						of={cohort.people}
						rows={cohort.limits.map(({ limit, people }) => ({ name: limit, people }))}
					/>
				{/if}
			{/if}
		</section>
		<section class="panel p-4" aria-labelledby="items">
			<h2 id="items" class="mb-2">Equipment</h2>
			<ShareBars
				of={cohort.withKit}
				rows={cohort.items.map(({ item, people }) => ({ name: item, people }))}
			/>
			<p class="quiet mt-2 text-sm">
				Of {cohort.withKit} of whom it is known{cohort.heaviestKg === null
					? ''
					: `; nine of ten who own weights have ${cohort.heaviestKg} kg or more`}.
			</p>
		</section>
		{#if plan}
			<section class="panel flex flex-col gap-2 p-4" aria-labelledby="means">
				<h2 id="means">What it means for the plan</h2>
				<p class="text-sm"><span class="quiet">Made for now:</span> {audienceText(plan.audience)}</p>
				{#if suggested}
					{#if same}<p class="text-sm">That fits this group.</p>{:else}
						<p class="text-sm">
							<span class="quiet">This group suggests:</span> <b>{audienceText(suggested)}</b>
						</p>
						<form method="post" action="?/use" use:enhance>
							<button class="btn btn-sm btn-primary">Make the plan for it</button>
						</form>
					{/if}
				{/if}
				{#if form && 'message' in form}<p class="field-fault" role="alert">{form.message}</p>{/if}
				{#if form && 'used' in form}<p class="remark text-sm" role="status">
						The plan is made for this group. <a class="link-quiet" href="{base}/plan"
							>See what its checks say</a
						>
					</p>{/if}
				<details class="text-sm">
					<summary class="link-quiet cursor-pointer">How this is worked out</summary>
					<p class="mt-1">
						The level that at least half of them reach; what four of five have; weights that nine of ten have;
						what a quarter has to leave out. Everybody else gets what profile them. Common practice, no
						source.
					</p>
				</details>
				<p class="flex flex-wrap gap-x-4 text-sm">
					<a class="link-quiet" href="{base}/plan">Checks of the plan</a>
					<a class="link-quiet" href="{base}/people/fit">Who gets what</a>
				</p>
			</section>
		{/if}
	</div>
{/if}
