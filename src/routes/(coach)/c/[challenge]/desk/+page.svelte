<script lang="ts">
	import { enhance } from '$app/forms';
	import Empty from '$lib/ui/Empty.svelte';
	import PlateStrip from '$lib/ui/PlateStrip.svelte';
	import LiveTraining from '$lib/features/live/LiveTraining.svelte';
	import CameIn from '$lib/features/desk/CameIn.svelte';
	import HowItWent from '$lib/features/desk/HowItWent.svelte';
	import ReadinessList from '$lib/features/desk/ReadinessList.svelte';
	import OpeningsChart from '$lib/features/desk/OpeningsChart.svelte';
	import { GROUP_COLOUR, reasonWords } from '$lib/features/reach/reason-words';
	import { REASON_KINDS, REASON_TITLE } from '$core/triage';
	import { HOLD_TEXT } from '$lib/ui/hold-text';
	import { KIND_TEXT } from '$lib/ui/marks';
	import {
		counted,
		dayAndTimeIn,
		dayText,
		hoursText,
		longDayText,
		minutesText,
		percent,
		placeOf,
		timeIn
	} from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const zone = $derived(data.coach.zone);
	const base = $derived(`/c/${data.challenge.id}`);
	const opened = $derived(
		data.openings.filter((o) => o.opens <= data.asOf).reduce((n, o) => n + o.people.length, 0)
	);
	const toCome = $derived(
		data.openings.filter((o) => o.opens > data.asOf).reduce((n, o) => n + o.people.length, 0)
	);
	const last = $derived(data.openings.at(-1));
	const trains = $derived(data.planned !== null && data.planned.kind !== 'rest');

	/** People shown to whom nothing is released. */
	const MOST_HELD = 6;
	/** People shown whose day is still open. */
	const MOST_OPEN = 8;
	const refused = $derived(
		form && 'about' in form ? { about: String(form.about), message: String(form.message) } : null
	);
</script>

<svelte:head><title>Desk · {data.challenge.name}</title></svelte:head>
<div class="mb-3 flex flex-wrap items-baseline gap-x-4">
	{#if data.ending}
		<h1>How it went</h1>
		<p class="quiet">
			The challenge ended on {longDayText(data.rail.at(-1)?.date ?? data.challenge.startsOn)}.
		</p>
	{:else if data.planned}
		<h1>{longDayText(data.planned.date).split(' ')[0]}, day {data.planned.day}</h1>
		<p class="quiet">
			{trains ? `${counted(opened + toCome, 'person', 'people')} get it` : 'a rest day'}, {data.needCount} to reach,
			{counted(data.cameIn.filter(({ day, again }) => day !== null && !again).length, 'check-in')} in the last 24
			hours
		</p>
	{:else}
		<h1>Desk</h1>
		<p class="quiet">Day 1 is {longDayText(data.challenge.startsOn)}.</p>
	{/if}
</div>

{#if data.readiness}<ReadinessList
		readiness={data.readiness}
		nothingFits={data.misfits.filter(({ nothing }) => nothing)}
		{base}
	/>{/if}
<div class="grid items-start gap-6 lg:grid-cols-[19rem_minmax(0,1fr)_18rem]">
	{#if data.ending}
		<HowItWent ending={data.ending} {base} challenge={data.challenge.id} />
	{:else}
		<section aria-labelledby="going-out">
			<h2 id="going-out">Going out</h2>
			<p class="quiet border-base-content/70 border-b pb-1.5 text-sm">
				today’s session, by your clock ({placeOf(zone)})
			</p>
			{#if data.people === 0}
				<div class="mt-3">
					<Empty says="Nobody is enrolled, so nothing goes out."
						><a class="link-quiet" href="{base}/people/import">Enrol people from a list</a></Empty
					>
				</div>
			{:else if data.planned === null}
				<div class="mt-3">
					<Empty says="The challenge has not begun. The plan shows what is released on day one."
						><a class="link-quiet" href="{base}/plan">Look at the plan</a></Empty
					>
				</div>
			{:else if !trains}
				<div class="mt-3">
					<Empty says="A rest day: nothing is released today."
						><a class="link-quiet" href="{base}/plan">See the next days in the plan</a></Empty
					>
				</div>
			{:else}
				<div class="panel mt-3 p-3">
					{#if data.planned.session}
						<div class="flex items-baseline justify-between gap-2">
							<a class="font-bold hover:underline" href="{base}/build/{data.planned.sessionId}"
								>{data.planned.session}</a
							>
							<span class="clock">{minutesText(data.planned.seconds ?? 0)}</span>
						</div>
						<p class="quiet flex justify-between gap-2 text-sm">
							<span>{KIND_TEXT[data.planned.kind]}, version {data.planned.version}</span>
							<a class="link-quiet" href="{base}/lead/{data.planned.day}">Lead it</a>
						</p>
					{:else}
						<p class="font-bold">No session on this day</p>
						<p class="attention text-sm">
							People would open an empty day. <a class="link-quiet" href="{base}/plan?day={data.planned.day}"
								>Lay one on it</a
							>
						</p>
					{/if}
					<OpeningsChart openings={data.openings} {zone} now={data.asOf} />
					<p class="text-sm">
						<b>{opened}</b> opened, <b>{toCome}</b> to come{#if last && toCome > 0}, last at {dayAndTimeIn(
								zone,
								last.opens
							)} your time ({placeOf(last.people[0]?.zone ?? zone)}){/if}
					</p>
				</div>
			{/if}
			{#if data.held.length > 0}
				<div class="remark remark-safety mt-3" role="group" aria-label="Held">
					<p class="font-semibold">{counted(data.held.length, 'person', 'people')} on hold</p>
					<ul class="text-sm">
						{#each data.held.slice(0, MOST_HELD) as person (person.id)}
							<li>
								<a class="font-semibold hover:underline" href="{base}/people/{person.id}"
									><s>{person.name}</s></a
								>
								<span class="quiet">{HOLD_TEXT[person.reason]}, since {dayAndTimeIn(zone, person.since)}</span
								>
							</li>
						{/each}
					</ul>
					{#if data.held.length > MOST_HELD}<p class="text-sm">
							<a class="link-quiet" href="{base}/people?show=held">The other {data.held.length - MOST_HELD}</a
							>
						</p>{/if}
				</div>
			{/if}
			{#if data.misfits.length > 0}
				<section class="remark remark-attention mt-3" aria-label="Doesn’t fit">
					<h3 class="text-[15px]">Doesn’t fit, {data.misfits.length}</h3>
					<ul class="text-sm">
						{#each data.misfits.slice(0, MOST_HELD) as one (`${one.id} ${one.day}`)}
							<li class="py-0.5">
								<a class="font-semibold hover:underline" href="{base}/people/{one.id}/session?day={one.day}"
									>{one.name}</a
								>, day {one.day}:
								{#if one.nothing}nothing of the session is left
								{:else if one.audit.length > 0}{one.audit
										.map(({ says, isDecided }) => (isDecided ? `${says} You decided it.` : says))
										.join(' ')}
								{:else if one.unfit.length > 0}nothing fits for {one.unfit
										.map(({ exercise }) => exercise.toLowerCase())
										.join(', ')}
									{#each one.unfit.slice(0, 1) as { exercise, helps } (exercise)}
										{#if helps[0]}<span class="quiet block text-[13px]"
												>with a {helps[0].item}: {helps[0].exercise.toLowerCase()}</span
											>{/if}
									{/each}
								{:else}{minutesText(one.seconds)}, has {one.minutes} min
									{#if one.share !== null}<form method="post" action="?/shorten" use:enhance class="inline">
											<input type="hidden" name="person" value={one.id} />
											<input type="hidden" name="day" value={one.day} />
											<input type="hidden" name="share" value={one.share} />
											<button class="link-quiet">Make it {one.share} %</button>
										</form>{/if}{/if}
							</li>
						{/each}
					</ul>
					{#if data.misfits.length > MOST_HELD}<p class="text-sm">
							<a class="link-quiet" href="{base}/people/fit">Everybody and everything</a>
						</p>{/if}
				</section>
			{/if}
			<ul class="quiet mt-3 flex flex-col gap-0.5 text-sm">
				{#each data.next as day (day.day)}
					<li>
						{dayText(day.date)}: {KIND_TEXT[day.kind]}{day.session
							? `, ${day.session}, ${minutesText(day.seconds ?? 0)}`
							: day.kind === 'rest'
								? ''
								: ', no session yet'}
					</li>
				{/each}
			</ul>
		</section>

		<section aria-labelledby="reach-out">
			<h2 id="reach-out">Reach out</h2>
			<p class="quiet border-base-content/70 border-b pb-1.5 text-sm">
				{data.needCount > data.need.length
					? `the ${data.need.length} most urgent of ${data.needCount}`
					: 'the most urgent first'}
			</p>
			{#if data.need.length === 0}
				<div class="mt-3">
					<Empty
						says={data.people === 0
							? 'Nobody to reach yet.'
							: 'Nobody needs you right now. Nothing to do here.'}
					/>
				</div>
			{:else}
				<ul>
					{#each data.need as person (person.id)}
						{@const [first, ...more] = person.reasons}
						{#if first}
							<li class="border-base-300 flex items-center gap-4 border-b py-2.5">
								<span class={['h-8 w-[3px] shrink-0 rounded', GROUP_COLOUR[REASON_KINDS[first.kind]]]}></span>
								<div class="min-w-0 flex-1">
									<p>
										<a class="font-bold hover:underline" href="{base}/reach?person={person.id}"
											>{person.name}</a
										>
										<span class="quiet pl-1 text-[13px]"
											>{timeIn(person.zone, data.asOf)} in {placeOf(person.zone)}</span
										>
									</p>
									<p class="text-sm">
										<b>{REASON_TITLE[first.kind]}.</b>
										{reasonWords(first, zone, data.coach.units)}
										{#if more.length > 0}<span class="quiet"
												>Also: {more.map(({ kind }) => REASON_TITLE[kind].toLowerCase()).join(', ')}.</span
											>{/if}
									</p>
								</div>
								<PlateStrip
									days={person.days}
									firstDay={person.firstShown}
									name="{person.name}, the last {person.days.length} days"
									scale={0.8}
								/>
							</li>
						{/if}
					{/each}
				</ul>
				{#if data.needCount > data.need.length}<p class="mt-1.5 text-sm">
						<a class="link-quiet" href="{base}/reach">All {data.needCount}, one after the other</a>
					</p>{/if}
			{/if}
			{#if data.week && data.week.rate !== null}
				<p class="mt-5">
					<b class="text-lg">{percent(data.week.rate)}</b> of the work due in the last 7 days is done{#if data.weekBefore && data.weekBefore.rate !== null}{@const points =
							Math.round(100 * data.week.rate) - Math.round(100 * data.weekBefore.rate)},
						<span class="quiet"
							>{points === 0
								? 'as much as in the 7 days before'
								: `${counted(Math.abs(points), 'point')} ${points > 0 ? 'more' : 'less'} than in the 7 days before`}</span
						>{/if}.
				</p>
			{/if}
			{#if data.stillOpen.length > 0}
				<h3 class="mt-4">Not checked in yet, {data.stillOpen.length}</h3>
				<p class="quiet border-base-300 border-b pb-1 text-sm">whose day closes first</p>
				<ul>
					{#each data.stillOpen.slice(0, MOST_OPEN) as person (person.id)}
						<li class="border-base-300 flex items-baseline justify-between gap-3 border-b py-1.5 text-sm">
							<span
								><a class="font-semibold hover:underline" href="{base}/people/{person.id}">{person.name}</a>
								<span class="quiet"
									>day {person.day}, {timeIn(person.zone, data.asOf)} in {placeOf(person.zone)}</span
								></span
							>
							<span class="clock whitespace-nowrap" title={dayAndTimeIn(zone, person.closes)}
								>{hoursText(person.closes - data.asOf)} left</span
							>
						</li>
					{/each}
				</ul>
				{#if data.stillOpen.length > MOST_OPEN}<p class="mt-1 text-sm">
						<a class="link-quiet" href="{base}/roll"
							>The other {data.stillOpen.length - MOST_OPEN} are on the roll</a
						>
					</p>{/if}
			{/if}
		</section>
	{/if}

	<section aria-labelledby="came-in">
		<h2 id="came-in">Came in</h2>
		{#if data.waiting > 0}<p class="remark remark-attention my-2 text-sm">
				<a class="font-semibold hover:underline" href="{base}/reach"
					>{counted(data.waiting, 'person waits', 'people wait')} for an answer</a
				>
			</p>{/if}
		{#if data.formChecks > 0}<p class="remark remark-attention my-2 text-sm">
				<a class="font-semibold hover:underline" href="{base}/reach/form"
					>{counted(data.formChecks, 'form check waits', 'form checks wait')} for you</a
				>
			</p>{/if}
		{#if data.requests > 0}<p class="remark my-2 text-sm">
				<a class="font-semibold hover:underline" href="{base}/reach/requests"
					>{counted(data.requests, 'request about the plan waits', 'requests about the plan wait')} for you</a
				>
			</p>{/if}
		{#each data.offered as one (one.id)}
			<form method="post" action="?/take" class="remark remark-attention my-2 text-sm" use:enhance>
				<input type="hidden" name="id" value={one.id} />
				<p>
					<a class="font-bold hover:underline" href="{base}/people/{one.enrolmentId}">{one.name}</a> did day {one.day}
					on
					{dayAndTimeIn(one.zone, one.doneAt)}, {percent(one.credit)} of it. The phone had no connection and sent
					it
					{dayAndTimeIn(one.zone, one.receivedAt)}, after the day had closed.
				</p>
				<div class="mt-1 flex gap-2">
					<button class="btn btn-outline btn-xs">Count it</button>
					<button class="btn btn-ghost btn-xs" formaction="?/pass">Leave it out</button>
				</div>
			</form>
		{/each}
		<!-- A look back has nothing that goes on. -->
		{#if data.asOf >= data.now}
			{#key data.challenge.id}<LiveTraining
					challenge={data.challenge.id}
					first={data.present}
					at={data.now}
				/>{/key}
		{/if}
		<p class="quiet border-base-content/70 border-b pb-1.5 text-sm">in the last 24 hours</p>
		{#if data.cameIn.length === 0}
			<div class="mt-3">
				<Empty
					says="No check-in in the last 24 hours. If somebody told you about a session, record it on the roll."
					><a class="link-quiet" href="{base}/roll">Open the roll</a></Empty
				>
			</div>
		{:else}
			<CameIn rows={data.cameIn} replies={data.replies} {base} {zone} units={data.coach.units} {refused} />
		{/if}
	</section>
</div>
