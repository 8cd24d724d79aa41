<script lang="ts">
	import EffortSaid from './EffortSaid.svelte';
	import { enhance } from '$app/forms';
	import type { RecordedShare } from '$contracts/recorded';
	import { dayText } from '$lib/format';

	/** Records what the coach was told of one or several days; posts to `?/record` of the page that it is on. */
	interface Props {
		person: string;
		/** Path of the person's page. */
		page: string;
		/** The day that is chosen first. */
		day: number | null;
		/** Days that have opened. */
		rail: { day: number; date: string }[];
		message: string | null;
		/** Days that were recorded just now, to be taken back. */
		recorded: number[] | null;
		open?: boolean;
	}
	let { person, page, day, rail, message, recorded, open = $bindable(false) }: Props = $props();
	// svelte-ignore state_referenced_locally
	let from = $state(day ?? rail.at(-1)?.day ?? 1);
	// svelte-ignore state_referenced_locally
	let to = $state(from);
	let share = $state<RecordedShare>('all');
	$effect(() => {
		if (day !== null) from = to = day;
	});
	$effect(() => {
		if (to < from) to = from;
	});
	const SHARES: readonly { value: RecordedShare; label: string }[] = [
		{ value: 'all', label: 'All' },
		{ value: '75', label: '¾' },
		{ value: '50', label: 'Half' },
		{ value: '25', label: '¼' }
	];
</script>

{#if recorded}<form
		method="post"
		action="?/takeBackRecorded"
		use:enhance
		class="remark text-sm"
		role="status"
	>
		<input type="hidden" name="person" value={person} />
		<input type="hidden" name="days" value={recorded.join(',')} />
		Recorded for day {recorded.join(', ')}. <button class="link-quiet">Undo</button>
	</form>{/if}
<details class="border-base-300 border-t pt-2" bind:open>
	<summary class="cursor-pointer font-semibold">Record a result</summary>
	<form
		method="post"
		action="?/record"
		class="mt-2 flex flex-col gap-2"
		use:enhance={({ formData }) => {
			for (let i = from; i <= to; i++) formData.append('id', crypto.randomUUID());
			return ({ update }) => update({ reset: false });
		}}
	>
		<input type="hidden" name="person" value={person} />
		<div class="flex flex-col gap-2">
			<label class="text-sm"
				>Day
				<select name="from" class="select select-sm w-full" bind:value={from}
					>{#each rail as d (d.day)}<option value={d.day}>{d.day}, {dayText(d.date)}</option>{/each}</select
				></label
			>
			<label class="text-sm"
				>to day
				<select name="to" class="select select-sm w-full" bind:value={to}
					>{#each rail.filter((d) => d.day >= from) as d (d.day)}<option value={d.day}
							>{d.day}, {dayText(d.date)}</option
						>{/each}</select
				></label
			>
		</div>
		<div class="flex gap-1" role="group" aria-label="How much was done">
			{#each SHARES as { value, label } (value)}<label
					class={['btn btn-sm flex-1', share === value ? 'btn-primary' : 'btn-outline']}
					><input type="radio" class="sr-only" name="share" {value} bind:group={share} />{label}</label
				>{/each}
		</div>
		<EffortSaid />
		{#if message}<p class="field-fault" role="alert">{message}</p>{/if}
		<button class="btn btn-sm btn-outline self-start">Record</button>
	</form>
	<a class="link-quiet mt-1 inline-block text-sm" href="{page}/record/{from}">Enter sets or a test result</a>
</details>
