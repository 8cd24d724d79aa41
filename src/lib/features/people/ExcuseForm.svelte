<script lang="ts">
	import { enhance } from '$app/forms';
	import { dayText } from '$lib/format';

	/** Excuses a person from days, with a reason. Posts to `?/excuse` of the page that it is on. */
	interface Props {
		person: string;
		/** The day that is chosen first. */
		day: number | null;
		rail: { day: number; date: string }[];
		/** Read from a message of the person, or null: filled in, and shown open. */
		proposed?: { reason: 'ill' | 'away'; said: string; from: number; to: number } | null;
		message: string | null;
		open?: boolean;
	}
	let { person, day, rail, proposed = null, message, open = $bindable(false) }: Props = $props();
	let reason: HTMLInputElement | undefined = $state();
	const first = $derived({ from: proposed?.from ?? day, to: proposed?.to ?? day });
	$effect(() => {
		if (open) reason?.focus();
	});
</script>

<details
	class={proposed ? 'remark remark-attention' : 'border-base-300 border-t pt-2'}
	bind:open={() => open || proposed !== null, (now) => (open = now)}
>
	<summary class="cursor-pointer font-semibold"
		>{proposed
			? proposed.reason === 'ill'
				? 'Ill? Excuse these days'
				: 'Away? Excuse these days'
			: 'Excuse'}</summary
	>
	{#if proposed}<p class="mt-1 text-sm">“{proposed.said}”</p>{/if}
	<form method="post" action="?/excuse" use:enhance class="mt-2 flex flex-col gap-2">
		<input type="hidden" name="person" value={person} />
		{#each [{ name: 'from', label: 'Day' }, { name: 'to', label: 'to day' }] as const as { name, label } (name)}
			<label class="text-sm"
				>{label}
				<select {name} class="select select-sm"
					>{#each rail as d (d.day)}<option value={d.day} selected={d.day === first[name]}
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
				value={proposed?.reason ?? ''}
			/></label
		>
		{#if message}<p class="field-fault" role="alert">{message}</p>{/if}
		<button class={['btn btn-sm self-start', proposed ? 'btn-primary' : 'btn-outline']}
			>Excuse these days</button
		>
	</form>
</details>
