<script lang="ts">
	import type { Standing } from '$core/day';
	import { setsDone, type Conflict } from '$lib/offline/two-results';
	import { counted, dayAndTimeIn } from '$lib/format';
	import { doneWords } from './said';

	/** Two results for the same day side by side, for the person to choose from. */
	interface Props {
		day: number | null;
		conflict: Conflict;
		/** The result on this device. */
		body: Record<string, unknown>;
		/** Epoch milliseconds by this device. */
		madeAt: number;
		zone: string;
		/** Keeps the result that the server has. */
		keep: () => unknown;
		/** Sends the result on this device instead. @param replaces id of the result that the server has */
		use: (replaces: string) => unknown;
	}
	let { day, conflict, body, madeAt, zone, keep, use }: Props = $props();
	const sets = $derived(setsDone(body));
	const how = $derived(
		body.done === 'all'
			? 'all done'
			: body.done === 'none'
				? 'nothing done'
				: sets === null
					? 'partly done'
					: `${counted(sets, 'set')} done`
	);
	const effort = (value: unknown) =>
		value === null || value === undefined ? '' : `, effort ${String(value)} of 10`;
</script>

<p><b>There are two results for day {day}.</b></p>
<div class="my-2 grid grid-cols-1 gap-2 sm:grid-cols-2">
	<div class="panel p-3">
		<p class="font-semibold">Sent already</p>
		<p>
			{doneWords({ ...conflict.there, standing: conflict.there.standing as Standing })}{effort(
				conflict.there.effort
			)}
		</p>
		<p class="quiet text-sm">{dayAndTimeIn(zone, conflict.there.receivedAt)}</p>
		<button type="button" class="btn btn-outline mt-2 min-h-11 w-full" onclick={() => keep()}
			>Keep this one</button
		>
	</div>
	<div class="panel p-3">
		<p class="font-semibold">On this device</p>
		<p>{how}{effort(body.effort)}</p>
		<p class="quiet text-sm">{dayAndTimeIn(zone, madeAt + conflict.ahead)}</p>
		{#if conflict.canReplace}<button
				type="button"
				class="btn btn-outline mt-2 min-h-11 w-full"
				onclick={() => use(conflict.there.id)}>Use this one</button
			>{:else}<p class="mt-2 text-[15px]">
				The day has closed, so this one can’t take its place. Tell your coach if the other is wrong.
			</p>{/if}
	</div>
</div>
