<script lang="ts">
	import LinkByEmail from '$lib/features/account/LinkByEmail.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<LinkByEmail
	title="I lost my link"
	asks="Enter the address your coach has for you. We’ll send you a link to get back in."
	autocomplete="email"
	possible={data.possible}
	answer={form}
>
	{#snippet sent(email)}
		<p role="status">
			If someone takes part with the address <b>{email}</b>, a link is on its way there. It works once, within
			a day.
		</p>
		<p class="quiet text-sm">
			Nothing there? Look in your spam folder, check the address, or ask your coach.
		</p>
	{/snippet}
	{#snippet impossible()}<p>This installation can’t send links. Ask your coach for a new one.</p>{/snippet}
</LinkByEmail>
