<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { isZone } from '$core/calendar';
	import JoinFrame from '$lib/features/people/JoinFrame.svelte';
	import WhoFields from '$lib/features/people/WhoFields.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
	const faultOf = (field: string) =>
		(form && 'faults' in form ? (form.faults ?? []) : []).find((one) => one.field === field)?.message;
	let zone = $state('');
	onMount(() => {
		const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
		if (!zone && isZone(here)) zone = here;
	});
</script>

<JoinFrame page={data.page}>
	{#if !data.possible}
		<p class="remark">
			You can’t join by yourself here just now: no email can be sent. Write to {data.page.coach}.
		</p>
	{:else if form && 'sent' in form && form.sent}
		<div class="remark" role="status">
			<p class="text-xl font-semibold">Check your email</p>
			<p>
				We’ve sent a link to {form.sent}. Open it within a day to join. Nothing is kept about you before that.
			</p>
		</div>
	{:else}
		<form
			method="post"
			novalidate
			use:enhance={() =>
				async ({ update }) =>
					update({ reset: false })}
			class="flex flex-col gap-4"
		>
			<WhoFields zones={data.zones} bind:zone {typed} {faultOf} own />
			{#if form && 'message' in form && form.message && !form.faults?.length}<p
					class="field-fault"
					role="alert"
				>
					{form.message}
				</p>{/if}
			<button class="btn btn-primary min-h-14 text-lg"
				>{data.page.places === 0 ? 'Put me on the waiting list' : 'Join'}</button
			>
			<p class="quiet text-[15px]">
				We send a link to your address first. After that come a few questions about you, what you have and
				what hurts. Ask a doctor before you train if you are not sure that you should.
			</p>
		</form>
	{/if}
</JoinFrame>
