<script lang="ts">
	import { enhance } from '$app/forms';
	import Field from '$lib/ui/Field.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<svelte:head><title>Confirm your password · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-md flex-col gap-4 px-5 py-12">
	<h1 class="text-2xl">Confirm your password</h1>
	<p>
		This changes who can get in, or deletes something. Enter your password to go on; you won’t be asked again
		for 15 minutes.
	</p>
	<form method="post" use:enhance class="panel flex flex-col gap-4 p-5">
		<input type="hidden" name="username" autocomplete="username" value={data.coach.email} />
		<Field label="Password" id="password" fault={form?.message}>
			<!-- svelte-ignore a11y_autofocus -->
			<input
				id="password"
				name="password"
				type="password"
				autocomplete="current-password"
				maxlength="128"
				required
				autofocus
				class="input w-full"
			/>
		</Field>
		<button class="btn btn-primary">Continue</button>
	</form>
</main>
