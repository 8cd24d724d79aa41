<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted, dayAndTimeIn, dayText } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<svelte:head><title>My data</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-6">
	<h1 class="text-3xl">My data</h1>
	<section class="panel flex flex-col gap-2 p-4" aria-labelledby="kept">
		<h2 id="kept">What is kept</h2>
		<ul class="list-disc pl-5">
			<li>{data.name}, {data.email}, time zone and equipment</li>
			<li>{counted(data.kept.checkins, 'check-in')} in {counted(data.challenges.length, 'challenge')}</li>
			<li>health questions answered {data.kept.answers === 1 ? 'once' : `${data.kept.answers} times`}</li>
			{#if data.kept.consentAt !== null}<li>
					you agreed {dayAndTimeIn(data.zone, data.kept.consentAt)}
				</li>{/if}
		</ul>
		<ul>
			{#each data.challenges as one (one.name + one.startsOn)}<li class="border-base-300 border-t py-1.5">
					<b>{one.name}</b>
					<span class="quiet">from {dayText(one.startsOn)}, {counted(one.checkins, 'check-in')}</span>
				</li>{/each}
		</ul>
		<a class="btn btn-outline min-h-12" href="/me/data.zip" download>Download all of it</a>
		<p class="quiet text-[15px]">
			A ZIP file with your photographs, your clips and a JSON file with everything that is stored about you,
			also what your coaches have noted.
		</p>
		<a class="link-quiet inline-flex min-h-11 items-center" href="/me/data.json" download
			>The JSON file alone</a
		>
	</section>
	<section class="panel p-4" aria-labelledby="ways-in">
		<h2 id="ways-in">Who can get in</h2>
		<p>
			{#if data.kept.link.madeAt === null}Your link has ended; this device stays signed in.
			{:else if data.kept.link.madeBy}Your link was created by {data.kept.link.madeBy}, {dayAndTimeIn(
					data.zone,
					data.kept.link.madeAt
				)}.
			{:else}Your link was created when you joined, {dayAndTimeIn(data.zone, data.kept.link.madeAt)}.{/if}
			{counted(data.kept.link.devices, 'device is', 'devices are')} signed in.
		</p>
	</section>
	<section class="panel p-4" aria-labelledby="looks">
		<h2 id="looks">Who looked at your health answers</h2>
		{#if data.looks.length === 0}<p class="quiet">Nobody so far.</p>{/if}
		<ul>
			{#each data.looks as look (look.id)}<li class="border-base-300 border-t py-1.5 first:border-t-0">
					{look.who}, {dayAndTimeIn(data.zone, look.at)}
				</li>{/each}
		</ul>
	</section>
	{#if data.changes.length > 0}
		<section class="panel p-4" aria-labelledby="changes">
			<h2 id="changes">What was changed about you</h2>
			<ul>
				{#each data.changes.slice(0, 20) as one (one.id)}<li
						class="border-base-300 border-t py-1.5 first:border-t-0"
					>
						{one.what} <span class="quiet block text-[15px]">{dayAndTimeIn(data.zone, one.at)}</span>
					</li>{/each}
			</ul>
		</section>
	{/if}
	<section class="panel flex flex-col gap-2 p-4" aria-labelledby="delete">
		<h2 id="delete">Delete my data</h2>
		<p>
			Your name, answers, notes and results are deleted for good, in all challenges. Which days were done
			stays in the group’s figures, without your name. You are signed out, and your link ends.
		</p>
		<form method="post" action="?/delete" use:enhance class="flex flex-col gap-2">
			<label
				>Type <b>{data.name}</b> to confirm
				<input name="name" class="input min-h-12 w-full text-[17px]" autocomplete="off" /></label
			>
			{#if form?.message}<p class="field-fault" role="alert">{form.message}</p>{/if}
			<button class="btn btn-outline min-h-12">Delete my data</button>
		</form>
	</section>
</main>
