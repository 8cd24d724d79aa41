<script lang="ts">
	import Thread from '$lib/features/reach/Thread.svelte';
	import ZoneInput from '$lib/ui/ZoneInput.svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { WANTS } from '$contracts/ask';
	import { LIMITATIONS } from '$core/kit';
	import { LEVELS } from '$core/people';
	import ChangeLog from '$lib/features/people/ChangeLog.svelte';
	import HealthShown from '$lib/features/people/HealthShown.svelte';
	import Documents from '$lib/features/people/Documents.svelte';
	import PrivateNotes from '$lib/features/people/PrivateNotes.svelte';
	import InChallenges from '$lib/features/people/InChallenges.svelte';
	import Owns from '$lib/features/people/Owns.svelte';
	import ExcuseForm from '$lib/features/people/ExcuseForm.svelte';
	import Mind from '$lib/features/people/Mind.svelte';
	import Differences from '$lib/features/people/Differences.svelte';
	import CheckinList from '$lib/features/people/CheckinList.svelte';
	import RecordForm from '$lib/features/people/RecordForm.svelte';
	import Pauses from '$lib/features/people/Pauses.svelte';
	import CopyText from '$lib/ui/CopyText.svelte';
	import Legend from '$lib/ui/Legend.svelte';
	import SlowFile from '$lib/ui/SlowFile.svelte';
	import PlateStrip from '$lib/ui/PlateStrip.svelte';
	import { counted, dayAndTimeIn, dayText, percent, placeOf, signed, timeOfDay } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const person = $derived(data.person);
	const first = $derived(person.name.split(' ')[0]);
	const mayEdit = $derived(data.challenge.role !== 'viewer' && !data.back);
	/** What was refused of a value that is edited in place. */
	const refused = (value: 'equipment' | 'hour' | 'excuse'): string | null =>
		form && 'editing' in form && form.editing === value && 'message' in form ? String(form.message) : null;
</script>

<svelte:head><title>{person.name} · {data.challenge.name}</title></svelte:head>
<p class="mb-1 text-sm"><a class="link-quiet" href="/c/{data.challenge.id}/people">People</a></p>
<div class="mb-3 flex flex-wrap items-baseline gap-x-5">
	<h1>{person.name}</h1>
	<p class="quiet">
		{dayAndTimeIn(person.zone, data.asOf)} in {placeOf(person.zone)} · {person.level} · {person.email}
	</p>
</div>

<div class="mb-4 grid items-start gap-4 lg:grid-cols-2">
	<Mind
		name={first ?? person.name}
		base="/c/{data.challenge.id}/people/{person.id}"
		zone={person.zone}
		coachZone={data.coach.zone}
		now={data.asOf}
		hold={data.hold}
		cautions={data.mind.cautions}
		limits={person.limits}
		answeredAt={person.answeredAt}
		asked={data.mind.asked}
		consentTold={data.consentTold}
		clearances={data.mind.clearances}
		documents={data.documents}
		{form}
	/>
	{#if form && 'looked' in form && form.looked}<HealthShown
			name={first ?? person.name}
			answers={form.looked.answers}
			screening={form.looked.screening}
		/>{:else}
		<Owns
			{person}
			name={first ?? person.name}
			company={data.company}
			base="/c/{data.challenge.id}/people"
			day={data.day}
			{mayEdit}
			refused={{ equipment: refused('equipment'), hour: refused('hour') }}
		/>{/if}
</div>

<section class="panel mb-4 overflow-x-auto p-4" aria-label="Days">
	<p class="mb-2">
		{#if data.adherence.rate !== null}
			<b class="text-xl">{percent(data.adherence.rate)}</b> of {counted(data.adherence.due, 'due day')} done
			<span class="quiet text-sm"
				>({percent(data.adherence.low ?? 0)} to {percent(data.adherence.high ?? 1)}, 95 % Wilson interval)</span
			>
			{#if data.extras.credit > 0}<span class="quiet"
					>· with {counted(data.extras.taken, 'session')} from the shelf</span
				>{/if}
			{#if data.trend !== null}<span class="quiet"
					>· last 7 days {signed(data.trend)} points against the 7 before</span
				>{/if}
		{:else}<span class="quiet">Nothing was due yet.</span>{/if}
	</p>
	<PlateStrip days={data.days} name="{person.name}, days 1 to {data.days.length}" scale={1.25} />
	<div class="mt-3"><Legend /></div>
</section>

<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
	<section aria-labelledby="checkins">
		<h2 id="checkins" class="mb-1">Check-ins</h2>
		<CheckinList
			checkins={data.checkins}
			person={data.challenge.role === 'viewer' ? null : person.id}
			name={first ?? person.name}
			zone={person.zone}
			units={data.coach.units}
		/>
		{#if data.challenge.role !== 'viewer'}
			<div class="mt-2 max-w-80">
				<RecordForm
					person={person.id}
					page="/c/{data.challenge.id}/people/{person.id}"
					day={null}
					rail={data.rail.filter((one) => one.day >= person.fromDay && one.day <= (data.day ?? 0))}
					message={form && 'recording' in form && 'message' in form ? String(form.message) : null}
					recorded={form && 'recorded' in form ? (form.recorded ?? null) : null}
				/>
			</div>
		{/if}
		<h2 class="mt-4 mb-1">Messages</h2>
		{#if data.thread.length === 0}<p class="quiet text-sm">No messages yet.</p>{:else}
			<Thread messages={data.thread} zone={data.coach.zone} side="coach" me={data.coach.name} />
		{/if}
		<p class="mt-1 text-sm">
			<a class="link-quiet" href="/c/{data.challenge.id}/reach?person={person.id}">Write to {first}</a>
		</p>
		{#if data.again.length > 0}
			<h2 class="mt-4 mb-1">Done again</h2>
			<ul class="panel px-3 text-sm">
				{#each data.again as one (one.id)}
					<li class="border-base-300 border-b py-1.5 last:border-b-0">
						<b>Day {one.day}</b>, {one.name}{one.effort === null ? '' : `, effort ${one.effort} of 10`}
						<span class="quiet">· {dayAndTimeIn(person.zone, one.at)} · doesn’t change any figures</span>
						{#if one.hurts}<p class="remark remark-safety mt-1"><b>Hurts:</b> {one.hurts}.</p>{/if}
						{#if one.note}<p class="quiet">“{one.note}”</p>{/if}
					</li>
				{/each}
			</ul>
		{/if}
		{#if data.taken.length > 0}
			<h2 class="mt-4 mb-1">From the shelf</h2>
			<ul class="panel px-3 text-sm">
				{#each data.taken as one (one.id)}
					<li class="border-base-300 border-b py-1.5 last:border-b-0">
						<b>{one.name}</b>, {one.credit >= 1 ? 'all done' : `${percent(one.credit)} of it`}{one.effort ===
						null
							? ''
							: `, effort ${one.effort} of 10`}
						<span class="quiet"
							>· {dayAndTimeIn(person.zone, one.at)} · {one.counts
								? 'makes up for missed work'
								: 'doesn’t change any figures'}</span
						>
						{#if one.hurts}<p class="remark remark-safety mt-1"><b>Hurts:</b> {one.hurts}.</p>{/if}
						{#if one.note}<p class="quiet">“{one.note}”</p>{/if}
					</li>
				{/each}
			</ul>
		{/if}
	</section>

	<div class="flex flex-col gap-4">
		{#if mayEdit}<div class="panel px-4 pt-2 pb-3 [&>details]:border-t-0">
				{#key data.excuse?.from}<ExcuseForm
						person={person.id}
						day={data.day}
						rail={data.rail}
						proposed={data.excuse}
						message={refused('excuse')}
					/>{/key}
			</div>{/if}
		<section class="panel flex flex-col gap-2 p-4" aria-labelledby="link">
			<h2 id="link">Personal link</h2>
			{#if form && 'link' in form && form.link}
				<p class="text-sm">
					Copy it now: only its fingerprint is kept, so it is not shown again. The link before this one has
					ended.
				</p>
				<CopyText text={form.link} label="Copy the link" />
			{:else}
				<p class="text-sm">
					{person.hasLink ? `${first} has a link.` : `${first} has no link and cannot get in.`}
					{form && 'revoked' in form ? 'Their devices are signed out.' : ''}
				</p>
				{#if data.challenge.role !== 'owner' && !person.email}<p class="quiet text-sm">
						No email address is stored. Add one, or ask the owner to create the link.
					</p>{/if}
				{#if form && 'linkMailed' in form}<p class="text-sm" role="status">
						It is on its way to {person.email}; the link before it ends as it goes out.
					</p>{/if}
				{#if form && 'inviting' in form && 'message' in form}<p class="field-fault" role="alert">
						{form.message}
					</p>{/if}
				<form method="post" use:enhance class="flex flex-wrap gap-2">
					{#if data.challenge.role === 'owner'}<button class="btn btn-sm btn-outline" formaction="?/link"
							>{person.hasLink ? 'Create a new link' : 'Create a link'}</button
						>{/if}
					<button class="btn btn-sm btn-outline" formaction="?/mailLink">Email a new link</button>
					{#if person.hasLink}<button class="btn btn-sm btn-ghost" formaction="?/revoke">Revoke</button>{/if}
				</form>
			{/if}
		</section>
		<section class="panel flex flex-col gap-2 p-4" aria-labelledby="paper">
			<h2 id="paper">Calendar and print</h2>
			<p class="text-sm">
				{#if form && 'calendarEnded' in form}{first}’s calendar link is turned off.
				{:else if person.subscribed}{first} has the days in a calendar{person.trainsAt === null
						? ''
						: `, at ${timeOfDay(person.trainsAt)} by their clock`}.
				{:else}{first} has not put the days into a calendar.{/if}
			</p>
			<div class="flex flex-wrap gap-2">
				<SlowFile
					href="/c/{data.challenge.id}/plan/packet.pdf?person={person.id}"
					label="Sessions as PDF"
					meanwhile="Setting the sessions"
				/>
				{#if person.subscribed}<form method="post" action="?/endCalendar" use:enhance>
						<button class="btn btn-sm btn-ghost">Turn off calendar link</button>
					</form>{/if}
			</div>
		</section>
		<Differences
			name={first ?? person.name}
			overrides={data.overrides}
			own={data.own}
			today={data.day ?? 1}
			days={data.days.length}
			{form}
			open={page.url.searchParams.has('differ')}
			granted={WANTS.find((want) => want === page.url.searchParams.get('change')) ?? null}
		/>
		<PrivateNotes name={first ?? person.name} notes={data.notes} zone={data.coach.zone} {form} />
		<Documents
			base="/c/{data.challenge.id}/people/{person.id}"
			documents={data.documents}
			space={data.space}
			zone={data.coach.zone}
			{form}
		/>
		<InChallenges
			name={first ?? person.name}
			challengeId={data.challenge.id}
			leftAt={person.leftAt}
			all={data.inChallenges}
			others={data.others}
			{form}
		/>
		<ChangeLog name={first ?? person.name} changes={data.changes} zone={data.coach.zone} />
		<Pauses pauses={data.pauses} today={data.day ?? 1} days={data.days.length} />
		{#if data.excuses.length > 0}
			<section class="panel p-4" aria-labelledby="excuses">
				<h2 id="excuses">Excused</h2>
				<ul class="text-sm">
					{#each data.excuses as excuse (excuse.day)}
						<li class="flex items-baseline justify-between gap-2 py-0.5">
							<span
								><b>Day {excuse.day}</b>, {dayText(
									data.rail[excuse.day - 1]?.date ?? data.challenge.startsOn
								)}: {excuse.reason}</span
							>
							<form method="post" action="?/unexcuse" use:enhance>
								<input type="hidden" name="day" value={excuse.day} /><button class="link-quiet"
									>Take back</button
								>
							</form>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		<details class="panel p-4" open={form !== null && 'faults' in form}>
			<summary class="font-head cursor-pointer text-lg font-bold">Change</summary>
			{#key person}
				<form
					method="post"
					action="?/change"
					use:enhance={() =>
						({ update }) =>
							update({ reset: false })}
					class="mt-2 flex flex-col gap-2 text-sm"
				>
					<label
						>Name <input
							name="name"
							class="input input-sm w-full"
							value={person.name}
							maxlength="80"
						/></label
					>
					<div>
						<label for="zone">Time zone</label>
						<ZoneInput
							id="zone"
							name="zone"
							class="input input-sm w-full"
							zones={data.zones}
							value={person.zone}
						/>
					</div>
					<label
						>Level <select name="level" class="select select-sm w-full" value={person.level}
							>{#each LEVELS as level (level)}<option>{level}</option>{/each}</select
						></label
					>
					<label
						>Equipment <textarea
							name="equipment"
							class="textarea textarea-sm w-full"
							rows="3"
							maxlength="1000"
							placeholder="pair of dumbbells 8 kg; adjustable dumbbells 2-20 kg; light band; mat"
							value={person.equipment}></textarea></label
					>
					{#if person.unread.length > 0}<p class="attention text-[13px]">
							Not understood, kept as written: {person.unread.join('; ')}. A weight looks like “dumbbell 8
							kg”, a band like “light band”.
						</p>{/if}
					<fieldset>
						<legend>Also leave out, beside what the answers say</legend>
						<div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-1">
							{#each LIMITATIONS as limit (limit)}
								<label class="flex items-center gap-1.5 text-[13px]"
									><input
										type="checkbox"
										class="checkbox checkbox-xs"
										name="limits"
										value={limit}
										checked={person.addedLimits.includes(limit)}
									/>
									{limit}</label
								>
							{/each}
						</div>
					</fieldset>
					{#if form && 'message' in form && form.message}<p class="field-fault" role="alert">
							{form.message}
						</p>{/if}
					<button class="btn btn-sm btn-outline self-start">Save</button>
				</form>
			{/key}
			<form method="post" action="?/unenrol" use:enhance class="border-base-300 mt-3 border-t pt-2 text-sm">
				<p class="quiet">Enrolled by mistake? Somebody without a check-in can be taken off.</p>
				<button class="btn btn-sm btn-ghost" disabled={data.checkins.length > 0}>Take {first} off</button>
			</form>
		</details>
	</div>
</div>
