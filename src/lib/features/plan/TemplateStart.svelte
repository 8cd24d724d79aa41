<script lang="ts">
	import { enhance } from '$app/forms';
	import { TEMPLATES } from '$core/plan';
	import { counted } from '$lib/format';

	/** For a plan on which nothing lies yet: a template with sessions of ours, laid over all of it. */
	interface Props {
		/** How long the challenge is now. */
		days: number;
		/** The plan has changes that are not saved. */
		changed: boolean;
		/** Why it was refused. */
		message: string | null;
		onapplied: () => void;
		/** Minutes that the sessions of each template take, by its key. */
		minutes: Readonly<Record<string, { least: number; most: number }>>;
	}
	let { minutes, days, changed, message, onapplied }: Props = $props();
	let chosen = $state('');
	const template = $derived(TEMPLATES.find(({ key }) => key === chosen));
</script>

<section class="panel mb-3 p-4" aria-labelledby="template">
	<h2 id="template">Start from a template</h2>
	<p class="quiet mt-1 mb-2 text-[13px]">
		The plan is empty. A template brings ready-made sessions, tests and progression. You can change
		everything.
	</p>
	{#if message}<p class="field-fault mb-2" role="alert">{message}</p>{/if}
	<form
		method="post"
		action="?/template"
		class="flex flex-wrap items-center gap-2 text-sm"
		use:enhance={() =>
			async ({ update, result }) => {
				await update();
				if (result.type === 'success') onapplied();
			}}
	>
		<select class="select select-sm w-64" name="template" aria-label="Template" bind:value={chosen} required>
			<option value="" disabled>choose one</option>
			{#each TEMPLATES as one (one.key)}<option value={one.key}
					>{one.name}{minutes[one.key]
						? `, sessions of ${minutes[one.key]?.least} to ${minutes[one.key]?.most} min`
						: ''}</option
				>{/each}
		</select>
		<button class="btn btn-outline btn-sm" disabled={changed || !template}>Apply template</button>
		{#if changed}<span class="quiet">Save or undo your changes first.</span>{/if}
	</form>
	{#if template}
		<p class="mt-2 text-sm">
			{template.forWhom}
			{template.why}
			{#if template.days !== days}<b class="attention"
					>The challenge is then {counted(template.days, 'day')} long, not {days}.</b
				>{/if}
		</p>
	{/if}
</section>
