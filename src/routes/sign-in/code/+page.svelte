<script lang="ts">
	import { enhance } from '$app/forms';
	import Brand from '$lib/ui/Brand.svelte';
	import Field from '$lib/ui/Field.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<svelte:head><title>Sign-in code · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-md flex-col gap-5 px-6 py-12">
	<Brand />
	<form method="post" use:enhance class="panel flex flex-col gap-4 p-6">
		<h1 class="text-2xl">Enter your sign-in code</h1>
		<p>Open the authenticator app on your phone and enter the six digits it shows for {data.email}.</p>
		<Field
			label="Code"
			id="code"
			fault={form?.message}
			hint="Lost your phone? Enter one of your recovery codes instead. Each works once."
		>
			<!-- svelte-ignore a11y_autofocus -->
			<input
				id="code"
				name="code"
				autocomplete="one-time-code"
				autocapitalize="none"
				spellcheck="false"
				maxlength="40"
				required
				autofocus
				class="input clock w-full text-lg"
			/>
		</Field>
		<button class="btn btn-primary">Sign in</button>
		<p class="quiet text-sm">
			No phone and no recovery codes? Ask whoever runs this installation.
			<a class="link-quiet" href="/sign-in">Sign in with another account</a>
		</p>
	</form>
</main>
