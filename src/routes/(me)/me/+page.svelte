<script lang="ts">
	import Empty from '$lib/ui/Empty.svelte';
	import HoldNotice from '$lib/features/me/HoldNotice.svelte';
	import PainNotice from '$lib/features/me/PainNotice.svelte';
	import PollCard from '$lib/features/me/PollCard.svelte';
	import { doneWords } from '$lib/features/me/said';
	import MyStrip from '$lib/features/me/MyStrip.svelte';
	import SessionList from '$lib/features/me/SessionList.svelte';
	import StopSigns from '$lib/features/me/StopSigns.svelte';
	import { deviceQueue } from '$lib/offline/queue.svelte';
	import { KIND_TEXT } from '$lib/ui/marks';
	import { counted, dayAndTimeIn, longDayText, percent, untilText } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const day = $derived(data.day);
	const checkedIn = $derived(day?.checkin ?? null);
	const left = $derived(day ? data.total - day.day : data.total);
	const place = $derived(data.place);
	/** Signing out takes what waits on the device with it: the person is told first. */
	const unsent = $derived(deviceQueue.left.waiting.length);
	let leaving = $state(false);
	const refusedPoll = $derived(form && 'poll' in form ? form.poll : null);
</script>

<svelte:head><title>Today · {data.challenge.name}</title></svelte:head>
<header class="mb-4">
	<p class="quiet text-sm">{data.challenge.name} · {data.name}</p>
	{#if day && data.date}
		<h1 class="text-3xl">Day {day.day} <span class="quiet text-xl">of {data.total}</span></h1>
		<p class="quiet">
			{longDayText(data.date)} · {KIND_TEXT[day.kind]} · {left === 0
				? 'the last day'
				: `${counted(left, 'day')} left`}
		</p>
		{#if place && place.of > 0}<p class="mt-1">
				{#if data.halfway}<b>Halfway today</b> ·{/if}
				{place.number === null
					? `${counted(place.left, 'session')} left of ${place.of}`
					: `session ${place.number} of ${place.of}${place.left === 0 ? ', the last one' : `, ${place.left} left after it`}`}
			</p>{/if}
	{:else}
		<h1 class="text-3xl">Not yet</h1>
	{/if}
	{#if data.company.team || data.company.buddies.length > 0}<p class="quiet mt-1 flex flex-wrap gap-x-4">
			{#if data.company.team}<span>Team: {data.company.team}</span>{/if}
			{#if data.company.buddies.length > 0}<span
					>{data.company.buddies.length === 1 ? 'Buddy' : 'Buddies'}: {data.company.buddies.join(', ')}</span
				>{/if}
		</p>{/if}
</header>

<main class="flex flex-col gap-5">
	<!-- What keeps them from training comes before anything else. -->
	{#if data.hold && data.hold !== 'questions' && data.holdDetails}
		<HoldNotice reason={data.hold} details={data.holdDetails} pain={data.pain} zone={data.zone} />
	{:else if data.questions === 'first'}
		<section class="panel p-4" aria-label="Before you start">
			<h2 class="text-xl">Before you start</h2>
			<p>
				A few questions about you, what you have and what hurts: about four minutes. {data.hold ===
				'questions'
					? 'Your first session opens after that.'
					: 'Your sessions will suit you better.'}
			</p>
			<a class="btn btn-primary mt-3 min-h-14 w-full text-lg" href="/me/intake">Answer the questions</a>
		</section>
	{:else if data.questions === 'again'}
		<a class="remark remark-attention block" href="/me/intake">
			<b>Anything changed?</b> Pain, illness, equipment, another place: your coach asks you to look it over.
		</a>
	{/if}
	{#if data.pain && data.hold !== 'pain' && data.hold !== 'stopped'}<PainNotice pain={data.pain} />{/if}
	{#if data.over}
		<Empty says="The challenge is over. Well done for seeing it through."
			><a class="link-quiet" href="/me/history">See what you did</a></Empty
		>
	{/if}
	{#if !day}
		{#if data.nextOpens}<p>
				Your first day opens on <b>{dayAndTimeIn(data.zone, data.nextOpens)}</b>, by your own clock. The goal: {data
					.challenge.goal}.
			</p>{/if}
	{:else if day.cancelled && !checkedIn}
		<p class="remark remark-attention">
			<b>Today is cancelled for everyone</b>: {day.cancelled}. You don't have to do anything, and it counts
			for nobody.{#if data.nextOpens}
				The next day opens on <b>{dayAndTimeIn(data.zone, data.nextOpens)}</b>.{/if}
		</p>
	{:else if day.state === 'held'}
		<p class="quiet">
			{data.hold ? 'No session before that.' : 'This day was held, so it does not count for you.'}
		</p>
	{:else if day.kind === 'rest'}
		<p>
			Rest today. Sleep, eat, walk if you like.{#if data.nextOpens}
				The next day opens on <b>{dayAndTimeIn(data.zone, data.nextOpens)}</b>.{/if}
		</p>
	{:else if day.nothingLeft}
		<div class="remark remark-attention">
			<p>
				<b>Nothing in today’s session is safe for you</b> with what you told us and what you have. Your coach can
				see this and will find something else. It doesn’t count against you to wait.
			</p>
		</div>
	{:else if !day.session}
		<Empty
			says="Your coach hasn’t put a session on this day yet. Check again later; if it stays empty, ask."
		/>
	{:else}
		{#if checkedIn}
			<div class="panel flex flex-wrap items-center justify-between gap-3 p-4" role="status">
				<p>
					<b>Checked in</b>, {doneWords(checkedIn)}{checkedIn.enteredBy
						? `, as you told ${checkedIn.enteredBy}`
						: ''}.
					{#if data.nextOpens}<br /><span class="quiet text-[15px]"
							>The next day opens {dayAndTimeIn(data.zone, data.nextOpens)}.</span
						>{/if}
				</p>
				<span class="flex flex-col gap-1"
					><a class="btn btn-outline min-h-11" href="/me/day/{day.day}/result">What was better</a>
					<a class="btn btn-ghost min-h-11" href="/me/day/{day.day}/check-in"
						>{day.session.pieces.length > 0 && !checkedIn.told ? 'Say how it went' : 'Correct it'}</a
					></span
				>
			</div>
		{/if}
		{#if form?.message && refusedPoll === null}<p class="remark remark-attention" role="alert">
				{form.message}
			</p>{/if}
		<SessionList
			outline={day.session.outline}
			name={day.session.name}
			changes={day.session.changes}
			pieces={day.session.pieces}
			day={day.day}
		/>
		{#if !checkedIn}
			<div class="bg-base-200 border-base-300 fixed inset-x-0 bottom-0 border-t p-3">
				<div class="mx-auto flex max-w-xl flex-wrap gap-2">
					<a class="btn btn-primary min-h-14 flex-1 text-xl" href="/me/day/{day.day}/run">Start</a>
					<a class="btn btn-outline min-h-14 px-4 text-lg" href="/me/day/{day.day}/check-in"
						>Check in for day {day.day}</a
					>
				</div>
			</div>
		{/if}
	{/if}

	<StopSigns />
	{#if data.unread > 0}
		<a class="remark block font-semibold" href="/me/messages"
			>{data.unread === 1 ? 'A message from your coach' : `${data.unread} messages from your coach`}</a
		>
	{/if}
	{#each data.announcements as announcement (announcement.id)}
		<section class="remark" aria-label="From your coach">
			<p class="quiet text-sm">From your coach, {dayAndTimeIn(data.zone, announcement.at)}</p>
			<p class="whitespace-pre-line">{announcement.text}</p>
		</section>
	{/each}
	{#each data.polls as poll (poll.id)}
		<PollCard {poll} zone={data.zone} refused={refusedPoll === poll.id ? (form?.message ?? null) : null} />
	{/each}
	{#if data.open.length > 0}
		<p class="remark remark-attention">
			<b>Still open:</b>
			{#each data.open as late, i (late.day)}{i > 0 ? ', ' : ''}<a
					class="link-quiet inline-flex min-h-11 items-center"
					href="/me/day/{late.day}">day {late.day}</a
				>
				until {untilText(data.zone, late.closes)}{/each}. A late result counts {percent(
				data.challenge.lateWorth
			)}.
		</p>
	{/if}
	{#if data.shelf > 0}<a class="panel flex min-h-14 items-center justify-between gap-3 p-4" href="/me/shelf">
			<span
				><b>Extra sessions</b>
				<span class="quiet block text-[15px]">Whenever you like</span></span
			>
			<span class="quiet whitespace-nowrap">{counted(data.shelf, 'session')}</span>
		</a>{/if}
	{#each data.others as other (other.enrolmentId)}
		<form method="post" action="?/switch">
			<button
				class="panel flex min-h-14 w-full items-center justify-between gap-3 p-4 text-left"
				name="to"
				value={other.enrolmentId}
				><span><b>{other.name}</b><span class="quiet block text-[15px]">Your other challenge</span></span
				></button
			>
		</form>
	{/each}
	{#if day && day.day >= 6 && (day.day % 7 === 0 || day.day % 7 >= 6 || day.day % 7 === 1)}
		<a class="panel flex min-h-14 items-center justify-between gap-3 p-4" href="/me/week">
			<span
				><b>How was your week?</b>
				<span class="quiet block text-[15px]">Four questions, half a minute</span></span
			>
		</a>
	{/if}
	<MyStrip days={data.days} tally={data.tally} />
	<div class="flex flex-wrap justify-center gap-x-4">
		{#each [['/me/messages', 'Messages'], ['/me/reminders', 'Reminders'], ['/me/week', 'Your week'], ['/me/body', 'Measures'], ['/me/photos', 'Photographs'], ['/me/form', 'Form check']] as [href, text] (href)}
			<a class="quiet inline-flex min-h-11 items-center px-3 text-sm underline" {href}>{text}</a>
		{/each}
		<a class="quiet inline-flex min-h-11 items-center px-3 text-sm underline" href="/me/history"
			>Your history</a
		>
		<a class="quiet inline-flex min-h-11 items-center px-3 text-sm underline" href="/me/calendar"
			>Calendar and print</a
		>
		<a class="quiet inline-flex min-h-11 items-center px-3 text-sm underline" href="/me/intake"
			>Your answers</a
		>
		<a class="quiet inline-flex min-h-11 items-center px-3 text-sm underline" href="/me/pause"
			>Pause or leave</a
		>
		<a class="quiet inline-flex min-h-11 items-center px-3 text-sm underline" href="/me/data">My data</a>
		<form
			method="post"
			action="?/leave"
			onsubmit={(event) => {
				if (unsent === 0 || leaving) return;
				event.preventDefault();
				leaving = true;
			}}
		>
			<button class="quiet min-h-11 px-3 text-sm underline">{leaving ? 'Sign out anyway' : 'Sign out'}</button
			>
		</form>
	</div>
	{#if leaving}<p class="remark remark-attention" role="alert">
			{counted(unsent, 'result')}
			{unsent === 1 ? 'hasn’t' : 'haven’t'} been sent yet. Signing out removes everything from this device, and
			{unsent === 1 ? 'it is' : 'they are'} lost.
			<button class="link-quiet inline-flex min-h-11 items-center" onclick={() => (leaving = false)}
				>Stay signed in</button
			>
		</p>{/if}
</main>
