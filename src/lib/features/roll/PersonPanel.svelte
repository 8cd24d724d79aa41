<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { Adherence } from '$core/attendance';
	import type { DayResult } from '$core/day';
	import { calledBy, type Role } from '$core/people';
	import RecordForm from '$lib/features/people/RecordForm.svelte';
	import ExcuseForm from '$lib/features/people/ExcuseForm.svelte';
	import { counted, dayAndTimeIn, percent, placeOf } from '$lib/format';
	import { markText } from '$lib/ui/marks';
	import Plate from '$lib/ui/Plate.svelte';

	interface Props {
		person: {
			id: string;
			name: string;
			zone: string;
			level: string;
			fromDay: number;
			lastSeen: number | null;
			days: DayResult[];
			adherence: Adherence;
			silent: number;
			/** Silent by the house rules. */
			isSilent: boolean;
		};
		challenge: { id: string; role: Role };
		asOf: number;
		day: number | null;
		rail: { day: number; date: string }[];
		message: string | null;
		/** The form for an excuse is open. */
		excusing: boolean;
		/** The form for a result is open; what was wrong with it; days that were recorded just now. */
		recording: boolean;
		recordMessage: string | null;
		recorded: number[] | null;
		onclose: () => void;
	}
	let {
		person,
		challenge,
		asOf,
		day,
		rail,
		message,
		excusing = $bindable(),
		recording = $bindable(),
		recordMessage,
		recorded,
		onclose
	}: Props = $props();
	const today = $derived(day === null ? null : person.days[day - 1]);
</script>

<aside class="panel sticky top-3 flex w-72 shrink-0 flex-col gap-3 p-4" aria-label={person.name}>
	<div class="flex items-start justify-between gap-2">
		<div>
			<h2>{person.name}</h2>
			<p class="quiet text-sm">
				{dayAndTimeIn(person.zone, asOf)} in {placeOf(person.zone)} · {person.level}
			</p>
		</div>
		<button class="btn btn-ghost btn-xs" onclick={onclose} aria-label="Close {person.name}"
			><X size={16} aria-hidden="true" /></button
		>
	</div>
	{#if person.adherence.rate !== null}
		<p>
			<b class="text-xl">{percent(person.adherence.rate)}</b> of {counted(person.adherence.due, 'due day')}
		</p>
		<details class="text-sm">
			<summary class="link-quiet cursor-pointer">How this is worked out</summary>
			<p class="mt-1">
				Credit {person.adherence.credit.toFixed(2)} ÷ {person.adherence.due} days that were due. Excused, resting,
				open and future days are not due; sessions from the shelf that count make up for missed work. With so few
				days the true rate may lie anywhere from {percent(person.adherence.low ?? 0)} to {percent(
					person.adherence.high ?? 1
				)}
				(Wilson score interval, 95 %; Wilson 1927, Newcombe 1998).
			</p>
		</details>
	{:else}<p class="quiet">Nothing was due yet.</p>{/if}
	<dl class="grid grid-cols-[6rem_1fr] gap-y-1 text-sm">
		<dt class="quiet">Last seen</dt>
		<dd>{person.lastSeen === null ? 'never' : dayAndTimeIn(person.zone, person.lastSeen)}</dd>
		{#if person.isSilent}<dt class="quiet">Silent</dt>
			<dd class="attention font-semibold">
				{counted(person.silent, 'due day')}
			</dd>{/if}
		{#if person.fromDay > 1}<dt class="quiet">Takes part</dt>
			<dd>from day {person.fromDay} on</dd>{/if}
		{#if today && day !== null}<dt class="quiet">Day {day}</dt>
			<dd class="flex items-center gap-1.5">
				<Plate {...today} scale={0.7} />
				{markText(today.state, today.credit, today.pain)}
			</dd>{/if}
	</dl>
	{#if challenge.role !== 'viewer'}
		<a class="link-quiet text-sm" href="/c/{challenge.id}/people/{person.id}"
			>All of {calledBy(person.name)}’s days and notes</a
		>
		<RecordForm
			person={person.id}
			page="/c/{challenge.id}/people/{person.id}"
			{day}
			rail={rail.filter((one) => one.day >= person.fromDay && one.day <= (day ?? rail.length))}
			message={recordMessage}
			{recorded}
			bind:open={recording}
		/>
		<ExcuseForm person={person.id} {day} {rail} {message} bind:open={excusing} />
	{/if}
</aside>
