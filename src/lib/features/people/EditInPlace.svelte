<script lang="ts">
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';

	/** A value with a button that turns it into its field, where it stands; posts to an action of the page. */
	interface Props {
		/** Noun for the button: “Edit equipment”. */
		label: string;
		/** Displayed text. */
		value: string;
		action: string;
		/** Error message, or null. */
		message: string | null;
		mayEdit: boolean;
		field: Snippet;
	}
	let { label, value, action, message, mayEdit, field }: Props = $props();
	let editing = $state(false);
	let form: HTMLFormElement | undefined = $state();
	$effect(() => {
		if (editing) form?.querySelector<HTMLElement>('input, textarea')?.focus();
	});
</script>

<svelte:window onkeydown={({ key }) => key === 'Escape' && (editing = false)} />
{#if editing || message}
	<form
		bind:this={form}
		method="post"
		{action}
		class="flex flex-wrap items-start gap-2"
		use:enhance={() =>
			async ({ result, update }) => {
				await update({ reset: false });
				if (result.type === 'success') editing = false;
			}}
	>
		{@render field()}
		<button class="btn btn-sm btn-outline">Save</button>
		<button type="button" class="btn btn-sm btn-ghost" onclick={() => (editing = false)}>Cancel</button>
		{#if message}<p class="field-fault w-full" role="alert">{message}</p>{/if}
	</form>
{:else}
	<span>{value}</span>
	{#if mayEdit}<button class="link-quiet ml-2" aria-label="Edit {label}" onclick={() => (editing = true)}
			>Edit</button
		>{/if}
{/if}
