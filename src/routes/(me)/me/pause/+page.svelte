<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { enhance } from '$app/forms';
	import { dayText } from '$lib/format';
	import type { PageProps } from './$types';

	/** Pausing for some days, or leaving for good. */
	let { data, form }: PageProps = $props();
	const typed = $derived(form && 'typed' in form ? form.typed : null);
	const leaving = $derived(form && 'leaving' in form ? form.leaving : null);
	const first = $derived(data.days[0]?.day ?? 1);
	// svelte-ignore state_referenced_locally
	let from = $state(Number(typed?.fromDay ?? first));
	// svelte-ignore state_referenced_locally
	let to = $state(Number(typed?.toDay ?? first));
	const dateOf = (day: number | null) => data.days.find((one) => one.day === day)?.date ?? null;
	$effect(() => {
		if (to < from) to = from;
	});
</script>

{#snippet why(value: unknown)}
	<label class="flex flex-col gap-1"
		><span class="font-semibold">Why, if you like</span>
		<input
			name="reason"
			maxlength="300"
			class="input min-h-12 w-full text-[17px]"
			value={typeof value === 'string' ? value : ''}
		/></label
	>
{/snippet}

<svelte:head><title>Pause or leave</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-6">
	<h1 class="text-3xl">Pause or leave</h1>
	{#if form && 'paused' in form}<p class="remark" role="status">
			<b>You’re pausing.</b> Your coach knows. Those days don’t count against you.
		</p>{/if}
	{#if data.pauses.length > 0}
		<section aria-labelledby="pauses">
			<h2 id="pauses" class="text-xl">Your pauses</h2>
			<ul class="panel mt-1 px-4">
				{#each data.pauses as one (one.id)}<li
						class="border-base-300 flex items-center justify-between gap-3 border-b py-2 last:border-b-0"
					>
						<span
							>{dateOf(one.fromDay) ? dayText(dateOf(one.fromDay) ?? '') : `day ${one.fromDay}`} to {dateOf(
								one.toDay
							)
								? dayText(dateOf(one.toDay) ?? '')
								: `day ${one.toDay}`}</span
						>
						<form method="post" action="?/end" use:enhance>
							<button class="btn btn-outline min-h-11" name="pause" value={one.id}>End it</button>
						</form>
					</li>{/each}
			</ul>
		</section>
	{/if}
	{#if data.days.length > 0}
		<form method="post" action="?/pause" use:enhance class="panel flex flex-col gap-4 p-4">
			<h2 class="text-xl">Pause for some days</h2>
			<p>Ill, travelling, too much going on: these days don’t count, and nothing is asked of you.</p>
			<input type="hidden" name="id" value={data.id} />
			<div class="grid grid-cols-2 gap-3">
				<label class="flex flex-col gap-1"
					><span class="font-semibold">From</span>
					<select name="fromDay" class="select min-h-12 w-full text-[17px]" bind:value={from}>
						{#each data.days as { day, date } (day)}<option value={day}>{dayText(date)}</option>{/each}
					</select></label
				>
				<label class="flex flex-col gap-1"
					><span class="font-semibold">Until</span>
					<select name="toDay" class="select min-h-12 w-full text-[17px]" bind:value={to}>
						{#each data.days.filter(({ day }) => day >= from) as { day, date } (day)}<option value={day}
								>{dayText(date)}</option
							>{/each}
					</select></label
				>
			</div>
			{@render why(typed?.reason)}
			{#if typed && form && 'message' in form}<p class="field-fault" role="alert">{form.message}</p>{/if}
			<button class="btn btn-primary min-h-14 text-lg">Pause these days</button>
		</form>
	{/if}
	<details class="panel p-4" open={leaving !== null}>
		<summary class="font-head flex min-h-11 cursor-pointer items-center justify-between text-xl font-bold"
			>Leave for good<ChevronDown class="size-5" aria-hidden="true" /></summary
		>
		<form method="post" action="?/leave" use:enhance class="mt-2 flex flex-col gap-3">
			<p>
				Nothing more is asked of you. What you did stays with your coach until you delete it under
				<a class="link-quiet" href="/me/data">My data</a>. You are signed out, and your link ends; only your
				coach can let you back in.
			</p>
			<input type="hidden" name="id" value={data.id} />
			{@render why(leaving?.reason)}
			<label class="flex min-h-12 items-center gap-3"
				><input type="checkbox" name="sure" class="checkbox" /> I want to leave for good</label
			>
			{#if leaving && form && 'message' in form}<p class="field-fault" role="alert">{form.message}</p>{/if}
			<button class="btn btn-outline min-h-12">Leave the challenge</button>
		</form>
	</details>
</main>
