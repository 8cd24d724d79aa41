<script lang="ts">
	import { onMount } from 'svelte';
	import type { Standing } from '$core/day';
	import { deviceQueue } from '$lib/offline/queue.svelte';
	import type { Queued } from '$lib/offline/store';
	import { conflictOf, setsDone, type Conflict, type DayThere } from '$lib/offline/two-results';
	import { counted, dayAndTimeIn } from '$lib/format';
	import { doneWords } from './said';

	/** Something of this device that was not taken: why, and what can still be done with it. */
	interface Props {
		one: Queued;
		enrolment: string;
		zone: string;
		/** Epoch milliseconds by the server. */
		now: number;
	}
	let { one, enrolment, zone, now }: Props = $props();
	let conflict = $state<Conflict | null>(null);
	onMount(async () => {
		if (one.kind !== 'check-in') return;
		try {
			const answer = await fetch(`/api/me/days/${one.day}`);
			if (answer.ok) conflict = conflictOf(one, (await answer.json()) as DayThere, now);
		} catch {
			// Without a connection there is nothing to compare with.
			conflict = null;
		}
	});
	const sets = $derived(setsDone(one.body));
	const how = $derived(
		one.body.done === 'all'
			? 'all done'
			: one.body.done === 'none'
				? 'nothing done'
				: sets === null
					? 'partly done'
					: `${counted(sets, 'set')} done`
	);
	const effort = (value: unknown) =>
		value === null || value === undefined ? '' : `, effort ${String(value)} of 10`;
</script>

<section class="remark remark-attention mb-3" role="alert">
	{#if conflict}
		<p><b>There are two results for day {one.day}.</b></p>
		<div class="my-2 grid grid-cols-1 gap-2 sm:grid-cols-2">
			<div class="panel p-3">
				<p class="font-semibold">Sent already</p>
				<p>
					{doneWords({ ...conflict.there, standing: conflict.there.standing as Standing })}{effort(
						conflict.there.effort
					)}
				</p>
				<p class="quiet text-sm">{dayAndTimeIn(zone, conflict.there.receivedAt)}</p>
				<button
					class="btn btn-outline mt-2 min-h-11 w-full"
					onclick={() => deviceQueue.drop(enrolment, one.id)}>Keep this one</button
				>
			</div>
			<div class="panel p-3">
				<p class="font-semibold">On this device</p>
				<p>{how}{effort(one.body.effort)}</p>
				<p class="quiet text-sm">{dayAndTimeIn(zone, one.madeAt)}</p>
				{#if conflict.canReplace}<button
						class="btn btn-outline mt-2 min-h-11 w-full"
						onclick={() => conflict && deviceQueue.replace(enrolment, one.id, conflict.there.id)}
						>Use this one</button
					>{:else}<p class="mt-2 text-[15px]">
						The day has closed, so this one can’t take its place. Tell your coach if the other is wrong.
					</p>{/if}
			</div>
		</div>
	{:else}
		<p>
			<b
				>{one.kind === 'stop' ? 'Your report that you had to stop' : `Your result of day ${one.day}`} was not taken.</b
			>
			{one.refused}
		</p>
		<div class="mt-1 flex flex-wrap gap-3">
			<button class="btn btn-outline btn-sm min-h-11" onclick={() => deviceQueue.again(enrolment, one.id)}
				>Send again</button
			>
			<button class="btn btn-ghost btn-sm min-h-11" onclick={() => deviceQueue.drop(enrolment, one.id)}
				>Discard it</button
			>
		</div>
	{/if}
</section>
