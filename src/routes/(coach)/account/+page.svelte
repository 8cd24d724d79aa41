<script lang="ts">
	import { enhance } from '$app/forms';
	import NewPassword from '$lib/features/account/NewPassword.svelte';
	import TwoStep from '$lib/features/account/TwoStep.svelte';
	import { untrack } from 'svelte';
	import WhoFields from '$lib/features/people/WhoFields.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { dayAndTimeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const answer = $derived(
		form as {
			at?: string;
			said?: string;
			message?: string;
			faults?: { field: string; message: string }[];
			codes?: string[];
			typed?: Record<string, string>;
		} | null
	);
	const at = (ms: number) => dayAndTimeIn(data.coach.zone, ms);
	const faultAt = (part: string, field: string) =>
		answer?.at === part ? answer.faults?.find((fault) => fault.field === field)?.message : undefined;
	const faultOf = (field: string) => faultAt('password', field);
	const typed = $derived({ ...data.typed, ...answer?.typed });
	let zone = $state(untrack(() => typed.zone ?? data.coach.zone));
	const failedAt = (part: string) => (answer?.at === part ? answer.message : undefined);
</script>

{#snippet said(part: string)}
	{#if answer?.at === part && answer.said}<p class="remark" role="status">{answer.said}</p>{/if}
{/snippet}

<svelte:head><title>Account · Cadrex</title></svelte:head>
<main class="mx-auto flex max-w-3xl flex-col gap-5 px-5 py-8">
	<h1>{data.coach.name}</h1>
	{#if data.confirmed && !answer}
		<p class="remark" role="status">Password confirmed. Press the button once more to go on.</p>
	{/if}
	{@render said('profile')}
	<form
		method="post"
		action="?/profile"
		novalidate
		use:enhance={() =>
			async ({ update }) =>
				update({ reset: false })}
		class="panel grid items-start gap-4 p-4 sm:grid-cols-3"
	>
		<WhoFields
			zones={data.zones}
			bind:zone
			typed={{ name: data.coach.name, email: data.coach.email, ...typed }}
			faultOf={(field) => faultAt('profile', field)}
			hint="Times on your pages are in this zone."
		/>
		<Field
			label="Loads in"
			id="units"
			fault={faultAt('profile', 'units')}
			hint="Wherever you read and enter the load of an exercise. A session as text and the rules of a plan stay in kilograms"
		>
			<select id="units" name="units" class="select select-sm w-full" value={typed.units ?? data.coach.units}>
				<option value="kg">kilograms</option>
				<option value="lb">pounds</option>
			</select>
		</Field>
		<div class="flex items-center gap-3 sm:col-span-3">
			<button class="btn btn-sm btn-outline">Save</button>
			{#if failedAt('profile') && !answer?.faults?.length}<p class="field-fault" role="alert">
					{failedAt('profile')}
				</p>{/if}
		</div>
	</form>
	<section class="panel flex flex-col gap-3 p-4" aria-labelledby="password-heading">
		<h2 id="password-heading">Password</h2>
		{@render said('password')}
		<p class="quiet text-sm">
			{data.passwordChangedAt === null
				? 'Not changed since the account was created.'
				: `Last changed ${at(data.passwordChangedAt)}.`}
			Changing it signs out your other devices.
		</p>
		<form method="post" action="?/password" use:enhance class="grid items-start gap-4 sm:grid-cols-2">
			<Field label="Current password" id="current" fault={faultOf('current')}>
				<input
					id="current"
					name="current"
					type="password"
					autocomplete="current-password"
					maxlength="128"
					required
					class="input w-full"
				/>
			</Field>
			<div class="flex flex-col gap-2">
				<NewPassword email={data.coach.email} fault={faultOf('password')} />
			</div>
			<div class="flex flex-wrap items-center gap-3 sm:col-span-2">
				<button class="btn btn-primary btn-sm">Change password</button>
				{#if failedAt('password') && !answer?.faults?.length}
					<p class="field-fault" role="alert">{failedAt('password')}</p>
				{/if}
			</div>
		</form>
	</section>

	{@render said('two-step')}
	<TwoStep
		since={data.second.since === null ? null : at(data.second.since)}
		codesLeft={data.second.codesLeft}
		offer={data.offer}
		codes={answer?.codes ?? null}
		fault={failedAt('two-step')}
	/>

	<section class="panel flex flex-col gap-3 p-4" aria-labelledby="devices">
		<div class="flex flex-wrap items-center justify-between gap-3">
			<h2 id="devices">Devices</h2>
			<form method="post" action="?/everywhere" use:enhance>
				<button class="btn btn-outline btn-sm">Sign out everywhere</button>
			</form>
		</div>
		{@render said('devices')}
		{#if failedAt('devices')}<p class="remark remark-attention" role="alert">{failedAt('devices')}</p>{/if}
		<table class="sheet">
			<thead>
				<tr>
					<th scope="col">Device</th><th scope="col">Signed in</th><th scope="col">Last used</th><th
						scope="col"><span class="sr-only">Sign out</span></th
					>
				</tr>
			</thead>
			<tbody>
				{#each data.devices as device (device.id)}
					<tr>
						<td>{device.name}</td>
						<td>{at(device.signedInAt)}</td>
						<td>{device.here ? 'Now' : at(device.usedAt)}</td>
						<td class="text-right">
							{#if device.here}<b>This device</b>
							{:else}
								<form method="post" action="?/endDevice" use:enhance>
									<input type="hidden" name="device" value={device.id} />
									<button class="btn btn-ghost btn-sm" aria-label="Sign out {device.name}">Sign out</button>
								</form>
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="quiet text-sm">“Last used” is exact to the hour.</p>
	</section>

	<section class="panel flex flex-col gap-3 p-4" aria-labelledby="events">
		<h2 id="events">Security activity</h2>
		{#if data.events.length === 0}
			<p>Nothing in the last 90 days.</p>
		{:else}
			<table class="sheet">
				<thead>
					<tr>
						<th scope="col">When</th><th scope="col">What</th><th scope="col">Device</th><th scope="col"
							>Network</th
						>
					</tr>
				</thead>
				<tbody>
					{#each data.events as event (event.id)}
						<tr>
							<td>{at(event.at)}</td>
							<td>{event.what}</td>
							<td>{event.device ?? 'Command line'}</td>
							<td class="clock text-sm">{event.network ?? ''}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			<p class="quiet text-sm">
				The latest 30 entries of the past 90 days. Don’t recognise something? Change your password.
			</p>
		{/if}
	</section>
</main>
