<script lang="ts">
	import Empty from '$lib/ui/Empty.svelte';
	import SessionList from '$lib/features/me/SessionList.svelte';
	import StopSigns from '$lib/features/me/StopSigns.svelte';
	import { dayAndTimeIn, percent } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const day = $derived(data.day);
	const closed = $derived(data.now >= day.window.closes);
</script>

<svelte:head><title>Day {day.day}</title></svelte:head>
<p class="mb-2"><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-5">
	<div>
		<h1 class="text-3xl">Day {day.day}</h1>
		<p class="quiet">
			{#if day.checkin}Checked in {dayAndTimeIn(data.zone, day.checkin.receivedAt)}, {percent(
					day.checkin.credit
				)} of the work.
			{:else if day.cancelled}Cancelled for everyone: {day.cancelled}. You don't have to do it.
			{:else if closed}Closed since {dayAndTimeIn(data.zone, day.window.closes)}.
			{:else}Open until {dayAndTimeIn(data.zone, day.window.closes)}.{/if}
		</p>
	</div>
	{#if form?.message}<p class="remark remark-attention" role="alert">{form.message}</p>{/if}
	{#if day.session}<SessionList
			outline={day.session.outline}
			name={day.session.name}
			changes={day.session.changes}
			pieces={day.session.pieces}
			day={day.day}
			open={!closed && !day.cancelled}
		/>{:else}<Empty says="There is no session on this day. Your other days are on today’s page."
			><a class="link-quiet" href="/me">To today</a></Empty
		>{/if}
	<StopSigns />
	{#if day.session}<a class="btn btn-primary min-h-14 text-lg" href="/me/day/{day.day}/check-in"
			>{day.checkin
				? day.session.pieces.length > 0 && !day.checkin.told
					? 'Say how it went'
					: 'Correct the check-in'
				: `Check in for day ${day.day}`}</a
		>{/if}
</main>
