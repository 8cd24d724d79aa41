<script lang="ts">
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';
	import Brand from '$lib/ui/Brand.svelte';
	import Field from '$lib/ui/Field.svelte';

	/** A page that mails a link to an address, and says the same whether it is known or not. */
	interface Props {
		title: string;
		asks: string;
		autocomplete: 'email' | 'username';
		/** Whether this installation can send links. */
		possible: boolean;
		answer: { message?: string; email?: string; sent?: boolean } | null;
		/** Shown after the form was sent. */
		sent: Snippet<[string]>;
		impossible: Snippet;
		children?: Snippet;
	}
	let { title, asks, autocomplete, possible, answer, sent, impossible, children }: Props = $props();
</script>

<svelte:head><title>{title} · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-md flex-col gap-5 px-6 py-12">
	<Brand />
	<section class="panel flex flex-col gap-4 p-6">
		<h1 class="text-2xl">{title}</h1>
		{#if answer?.sent}
			{@render sent(answer.email ?? '')}
		{:else if !possible}
			{@render impossible()}
		{:else}
			<form method="post" use:enhance class="flex flex-col gap-4">
				<p>{asks}</p>
				<Field label="Email address" id="email" fault={answer?.message}>
					<input
						id="email"
						name="email"
						type="email"
						{autocomplete}
						maxlength="254"
						required
						class="input min-h-12 w-full text-[17px]"
						value={answer?.email ?? ''}
					/>
				</Field>
				<button class="btn btn-primary min-h-12">Send the link</button>
			</form>
		{/if}
		{@render children?.()}
	</section>
</main>
