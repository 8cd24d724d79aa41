<script lang="ts">
	import { enhance } from '$app/forms';
	import { dayText } from '$lib/format';

	/** Excuses somebody from days, with a reason; posts to `?/excuse` of the page that it is on. */
	interface Props {
		person: string;
		/** The day that is chosen first. */
		day: number | null;
		rail: { day: number; date: string }[];
		message: string | null;
		open: boolean;
	}
	let { person, day, rail, message, open = $bindable() }: Props = $props();
	let reason: HTMLInputElement | undefined = $state();
	$effect(() => {
		if (open) reason?.focus();
	});
</script>

<details class="border-base-300 border-t pt-2" bind:open>
	<summary class="cursor-pointer font-semibold">Excuse</summary>
	<form method="post" action="?/excuse" use:enhance class="mt-2 flex flex-col gap-2">
		<input type="hidden" name="person" value={person} />
		{#each [{ name: 'from', label: 'Day' }, { name: 'to', label: 'to day' }] as { name, label } (name)}
			<label class="text-sm"
				>{label}
				<select {name} class="select select-sm"
					>{#each rail as d (d.day)}<option value={d.day} selected={d.day === day}
							>{d.day}, {dayText(d.date)}</option
						>{/each}</select
				></label
			>
		{/each}
		<label class="text-sm"
			>Reason <input
				bind:this={reason}
				name="reason"
				class="input input-sm w-full"
				maxlength="300"
				placeholder="travels until Friday"
			/></label
		>
		{#if message}<p class="field-fault" role="alert">{message}</p>{/if}
		<button class="btn btn-sm btn-outline self-start">Excuse these days</button>
	</form>
</details>
