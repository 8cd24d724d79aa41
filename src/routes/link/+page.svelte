<script lang="ts">
	import { enhance } from '$app/forms';
	import Brand from '$lib/ui/Brand.svelte';
	import Field from '$lib/ui/Field.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const answer = $derived(form as { message?: string; email?: string; sent?: boolean } | null);
</script>

<svelte:head><title>I lost my link · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-md flex-col gap-5 px-6 py-12">
	<Brand />
	<section class="panel flex flex-col gap-4 p-6">
		<h1 class="text-2xl">I lost my link</h1>
		{#if answer?.sent}
			<p role="status">
				If someone takes part with the address <b>{answer.email}</b>, a link is on its way there. It works
				once, within a day.
			</p>
			<p class="quiet text-sm">
				Nothing there? Look in your spam folder, check the address, or ask your coach.
			</p>
		{:else if !data.possible}
			<p>This installation can’t send links. Ask your coach for a new one.</p>
		{:else}
			<form method="post" use:enhance class="flex flex-col gap-4">
				<p>Enter the address your coach has for you. We’ll send you a link to get back in.</p>
				<Field label="Email address" id="email" fault={answer?.message}>
					<input
						id="email"
						name="email"
						type="email"
						autocomplete="email"
						maxlength="254"
						required
						class="input min-h-12 w-full text-[17px]"
						value={answer?.email ?? ''}
					/>
				</Field>
				<button class="btn btn-primary min-h-12">Send the link</button>
			</form>
		{/if}
	</section>
</main>
