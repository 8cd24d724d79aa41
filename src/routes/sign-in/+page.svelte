<script lang="ts">
	import { onMount } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
	import Brand from '$lib/ui/Brand.svelte';
	import { forgetPerson } from '$lib/offline/forget';
	import Field from '$lib/ui/Field.svelte';
	import type { PageProps } from './$types';

	let { data, form: answer }: PageProps = $props();
	// svelte-ignore state_referenced_locally
	const { form, errors, enhance, submitting } = superForm(data.form, { resetForm: false });
	// A participant who signed out, was deleted or is not known any more ends here.
	onMount(() => {
		if (!data.isParticipant) void forgetPerson();
	});
</script>

<svelte:head><title>Sign in · Cadrex</title></svelte:head>
<main class="mx-auto grid min-h-dvh max-w-5xl items-center gap-12 px-6 py-10 md:grid-cols-[1fr_22rem]">
	<section class="flex flex-col gap-5">
		<Brand />
		<h1 class="max-w-md text-4xl leading-tight">Run your strength challenge online</h1>
		<p class="quiet max-w-md text-lg">
			Build the sessions, plan the weeks, release each day in everyone’s own morning, and see who did what.
		</p>
		<svg viewBox="0 0 420 70" class="max-w-md" aria-hidden="true">
			{#each [46, 52, 38, 4, 50, 44, 4, 54, 48, 40, 4, 56, 50, 4, 58, 30] as height, i (i)}
				<rect
					x={i * 26}
					y={66 - height}
					width="16"
					{height}
					rx="1.5"
					fill={height === 4
						? 'var(--color-base-300)'
						: i === 15
							? 'var(--color-warning)'
							: 'var(--color-primary)'}
				/>
			{/each}
		</svg>
	</section>

	{#if data.firstStart}
		<section class="panel flex flex-col gap-3 p-6">
			<h2>No coach yet</h2>
			<p>Whoever runs this installation creates the first account on its command line, while it runs:</p>
			<pre class="bg-base-200 clock overflow-x-auto rounded p-3 text-sm">npm run admin -- create-coach</pre>
		</section>
	{:else}
		<form method="post" use:enhance class="panel flex flex-col gap-4 p-6">
			<h2>Coach sign-in</h2>
			<Field label="Email address" id="email" fault={$errors.email}>
				<input
					id="email"
					name="email"
					type="email"
					autocomplete="username"
					class="input w-full"
					bind:value={$form.email}
				/>
			</Field>
			<Field label="Password" id="password" fault={$errors.password}>
				<input
					id="password"
					name="password"
					type="password"
					autocomplete="current-password"
					class="input w-full"
					bind:value={$form.password}
				/>
			</Field>
			{#if data.notice && !answer?.message}<p class="remark" role="status">{data.notice}</p>{/if}
			{#if answer?.message}<p class="field-fault" role="alert">{answer.message}</p>{/if}
			<button class="btn btn-primary" disabled={$submitting}>Sign in</button>
			<a class="link-quiet text-sm" href="/sign-in/forgot">Forgot your password?</a>
			<p class="quiet text-sm">
				Taking part in a challenge? Open the personal link that your coach sent you.
				<a class="link-quiet" href="/link">I lost my link</a>
			</p>
		</form>
	{/if}
</main>
