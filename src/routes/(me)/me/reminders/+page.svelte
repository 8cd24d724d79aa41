<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import {
		isSubscribed,
		STOP_LABEL,
		stopReminders,
		subscribeDevice,
		unsubscribeDevice,
		whyNot,
		type Subscribed
	} from '$lib/offline/reminders';
	import { dayAndTimeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	let cannot = $state<'unsupported' | 'blocked' | null>(null);
	let busy = $state(false);
	/** Why it did not work on this device. */
	let trouble = $state('');
	// svelte-ignore state_referenced_locally
	let sessions = $state(data.choice?.sessions ?? true);
	// svelte-ignore state_referenced_locally
	let messages = $state(data.choice?.messages ?? true);
	const simulated = $derived(data.arrived !== null);

	/** The browser has dropped its subscription: the server has not noticed yet. */
	let lost = $state(false);
	const isOn = $derived(data.choice !== null && !lost);

	onMount(async () => {
		if (simulated) return;
		cannot = whyNot();
		if (data.choice) lost = !(await isSubscribed());
	});

	/** A phone of the simulated push service takes the place of this one in the demo. */
	async function simulatedPhone(): Promise<Subscribed> {
		const response = await fetch('/api/demo/phone', { method: 'POST' });
		if (!response.ok) throw new Error(String(response.status));
		return (await response.json()) as Subscribed;
	}
	/** Subscribes this device and adds it to the form. @returns whether it worked; if not, the page says why */
	async function addDevice(form: FormData): Promise<boolean> {
		try {
			const device = await (simulated ? simulatedPhone() : subscribeDevice(data.publicKey));
			if (!device) cannot = whyNot();
			for (const [key, value] of Object.entries(device ?? {})) form.set(key, String(value));
			return device !== null;
		} catch {
			trouble = 'Your browser couldn’t reach its notification service. Check your connection and try again.';
			return false;
		}
	}
	async function stop(id: string) {
		await stopReminders(id);
		await invalidateAll();
	}
</script>

<svelte:head><title>Reminders</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-5">
	<div>
		<h1 class="mb-1 text-3xl">Reminders</h1>
		<p>
			Notifications on this device, if you want them. {data.quiet
				? `None between ${data.quiet.from} and ${data.quiet.to} by your clock.`
				: ''} They name no exercise, no message and nothing about your health.
		</p>
	</div>

	{#if cannot === 'unsupported'}
		<p class="remark">
			<b>This browser can’t show notifications for Cadrex.</b> On some phones they work once the page is on
			the home screen: open the browser’s share menu, add it there, and open Cadrex from the new icon. Your
			<a class="underline" href="/me/calendar">calendar</a> can remind you instead.
		</p>
	{:else if cannot === 'blocked'}
		<p class="remark">
			<b>Notifications are blocked for this page.</b> Allow them in your browser’s settings for this site, then
			open this page again.
		</p>
	{:else}
		<form
			method="post"
			action={isOn ? '?/choose' : '?/on'}
			class="panel flex flex-col gap-2 p-4"
			use:enhance={async ({ formData, cancel }) => {
				busy = true;
				trouble = '';
				if (!isOn && !(await addDevice(formData))) {
					cancel();
					busy = false;
				}
				return async ({ update }) => {
					await update({ reset: false });
					busy = lost = false;
				};
			}}
		>
			<p class="font-head text-lg font-bold">Remind me</p>
			<label class="flex min-h-11 items-center gap-3"
				><input type="checkbox" class="checkbox" name="sessions" bind:checked={sessions} /><span
					>when the day’s session is open<span class="quiet block text-[15px]"
						>{data.hour ? `at ${data.hour}, when you train` : 'as soon as the day opens'};
						<a class="underline" href="/me/calendar">change</a></span
					></span
				></label
			>
			<label class="flex min-h-11 items-center gap-3"
				><input type="checkbox" class="checkbox" name="messages" bind:checked={messages} /><span
					>when a message from my coach is waiting<span class="quiet block text-[15px]"
						>after an hour unread, or a day without an answer</span
					></span
				></label
			>
			{#if trouble || form?.message}<p class="field-fault" role="alert">{trouble || form?.message}</p>{/if}
			<button class="btn btn-primary min-h-14 text-lg" disabled={busy || (!sessions && !messages)}
				>{busy ? 'One moment …' : isOn ? 'Save' : 'Turn on reminders'}</button
			>
		</form>
	{/if}
	<p role="status" class="empty:hidden">
		{#if isOn}Reminders are on for this device.{:else if form && 'off' in form}Reminders are off.{/if}
	</p>
	{#if isOn}
		<form
			method="post"
			action="?/off"
			use:enhance={() => {
				void unsubscribeDevice().catch(() => undefined);
				return ({ update }) => update({ reset: false });
			}}
		>
			<button class="btn btn-outline min-h-12 w-full">Turn off reminders</button>
		</form>
	{/if}

	{#if data.arrived && data.choice}
		<section aria-labelledby="phone">
			<h2 id="phone" class="mb-1">Simulated phone</h2>
			<p class="quiet mb-2 text-[15px]">
				The demo has a push service of its own. This is what it has delivered, decrypted as the phone does.
			</p>
			<ul class="flex flex-col gap-2">
				{#each data.arrived as { at, notice } (`${at} ${notice.title}`)}
					<li class="panel p-3">
						<p class="quiet text-sm">{dayAndTimeIn(data.zone, at)}</p>
						<p><b>{notice.title}</b><br />{notice.body}</p>
						<button class="btn btn-ghost btn-sm min-h-11" onclick={() => void stop(notice.stop)}
							>{STOP_LABEL}</button
						>
					</li>
				{:else}<li class="quiet">Nothing yet. It looks every minute.</li>{/each}
			</ul>
		</section>
	{/if}
</main>
