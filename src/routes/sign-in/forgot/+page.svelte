<script lang="ts">
	import LinkByEmail from '$lib/features/account/LinkByEmail.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<LinkByEmail
	title="Forgot your password?"
	asks="Enter the address you sign in with. We’ll send you a link to set a new password."
	autocomplete="username"
	possible={data.possible}
	answer={form}
>
	{#snippet sent(email)}
		<p role="status">
			If a coach has the address <b>{email}</b>, a link is on its way there. It works once, within 30 minutes.
		</p>
		<p class="quiet text-sm">Nothing there? Look in your spam folder, and check the address.</p>
	{/snippet}
	{#snippet impossible()}
		<p>
			This installation doesn’t know its own address, so it can’t send links. Whoever runs it can make one for
			you:
		</p>
		<pre class="bg-base-200 clock overflow-x-auto rounded p-3 text-sm">npm run admin -- reset-password</pre>
	{/snippet}
	<a class="link-quiet text-sm" href="/sign-in">Back to sign-in</a>
</LinkByEmail>
