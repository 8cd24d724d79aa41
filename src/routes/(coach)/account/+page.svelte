<script lang="ts">
	import { enhance } from '$app/forms';
	import { placeOf } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
</script>

<svelte:head><title>Account · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-2xl flex-col gap-5 px-5 py-8">
	<h1>{data.coach.name}</h1>
	<dl class="panel grid grid-cols-[8rem_1fr] gap-y-2 p-4">
		<dt class="quiet">Email address</dt>
		<dd>{data.coach.email}</dd>
		<dt class="quiet">Time zone</dt>
		<dd>{placeOf(data.coach.zone)} ({data.coach.zone}): times on a coach’s pages are of this zone</dd>
	</dl>
	<section class="panel flex flex-col gap-3 p-4">
		<h2>Devices</h2>
		<p>If a device with this account is lost, end every sign-in at once, this one included.</p>
		<form method="post" action="?/everywhere" use:enhance>
			<button class="btn btn-outline btn-sm">Sign out everywhere</button>
		</form>
	</section>
</main>
