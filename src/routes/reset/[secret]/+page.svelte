<script lang="ts">
	import { enhance } from '$app/forms';
	import Brand from '$lib/ui/Brand.svelte';
	import NewPassword from '$lib/features/account/NewPassword.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<svelte:head><title>Set a new password · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-md flex-col gap-5 px-6 py-12">
	<Brand />
	<form method="post" use:enhance class="panel flex flex-col gap-4 p-6">
		<h1 class="text-2xl">Set a new password</h1>
		<p>For the account of <b>{data.email}</b>. Every device is signed out when you save it.</p>
		<NewPassword email={data.email} fault={form?.message} />
		<button class="btn btn-primary">Save password</button>
	</form>
</main>
