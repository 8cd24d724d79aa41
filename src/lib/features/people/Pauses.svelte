<script lang="ts">
	import { enhance } from '$app/forms';
	import DaySpan from './DaySpan.svelte';

	/** Days between which somebody does not take part. */
	interface Props {
		pauses: readonly { id: string; fromDay: number; toDay: number | null; reason: string; own: boolean }[];
		today: number;
		days: number;
	}
	let { pauses, today, days }: Props = $props();
</script>

<details class="panel p-4" open={pauses.length > 0}>
	<summary class="font-head cursor-pointer text-lg font-bold">Pauses</summary>
	<ul class="mt-1 text-sm">
		{#each pauses as one (one.id)}
			<li class="flex items-baseline justify-between gap-2 py-0.5">
				<span
					><b>{one.toDay === null ? `From day ${one.fromDay} on` : `Days ${one.fromDay} to ${one.toDay}`}</b>: {one.reason}{one.own
						? ', as they said themselves'
						: ''}</span
				>
				<form method="post" action="?/endPause" use:enhance>
					<input type="hidden" name="pause" value={one.id} /><button class="link-quiet">Remove</button>
				</form>
			</li>
		{/each}
	</ul>
	<form method="post" action="?/pause" use:enhance class="mt-2 flex flex-col gap-2 text-sm">
		<DaySpan {today} {days} />
		<label
			>Reason, for you alone <input
				name="reason"
				class="input input-sm w-full"
				maxlength="300"
				required
			/></label
		>
		<button class="btn btn-sm btn-outline self-start">Pause</button>
	</form>
</details>
