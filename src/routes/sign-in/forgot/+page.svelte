<script lang="ts">
	import { enhance } from '$app/forms';
	import Brand from '$lib/ui/Brand.svelte';
	import Field from '$lib/ui/Field.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const answer = $derived(form as { message?: string; email?: string; sent?: boolean } | null);
</script>

<svelte:head><title>Forgot your password? · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-md flex-col gap-5 px-6 py-12">
	<Brand />
	<section class="panel flex flex-col gap-4 p-6">
		<h1 class="text-2xl">Forgot your password?</h1>
		{#if answer?.sent}
			<p role="status">
				If a coach has the address <b>{answer.email}</b>, a link is on its way there. It works once, within 30
				minutes.
			</p>
			<p class="quiet text-sm">Nothing there? Look in your spam folder, and check the address.</p>
		{:else if !data.possible}
			<p>
				This installation doesn’t know its own address, so it can’t send links. Whoever runs it can make one
				for you:
			</p>
			<pre class="bg-base-200 clock overflow-x-auto rounded p-3 text-sm">npm run admin -- reset-password</pre>
		{:else}
			<form method="post" use:enhance class="flex flex-col gap-4">
				<p>Enter the address you sign in with. We’ll send you a link to set a new password.</p>
				<Field label="Email address" id="email" fault={answer?.message}>
					<input
						id="email"
						name="email"
						type="email"
						autocomplete="username"
						maxlength="254"
						required
						class="input w-full"
						value={answer?.email ?? ''}
					/>
				</Field>
				<button class="btn btn-primary">Send the link</button>
			</form>
		{/if}
		<a class="link-quiet text-sm" href="/sign-in">Back to sign-in</a>
	</section>
</main>
