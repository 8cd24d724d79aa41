<script lang="ts">
	import ScreeningResult from '$lib/features/intake/ScreeningResult.svelte';
	import Intake from '$lib/features/intake/Intake.svelte';
	import { CONSENT } from '$core/people';
	import { dayAndTimeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let again = $state(false);
</script>

<svelte:head><title>Before you start</title></svelte:head>
<main>
	{#if data.answeredAt !== null && !again}
		<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
		<h1 class="mb-3 text-3xl">Anything changed?</h1>
		<p class="mb-4">
			You answered on {dayAndTimeIn(data.zone, data.answeredAt)}. New pain, an illness, other equipment,
			another place: say so, and your sessions follow.
		</p>
		{#if data.told}
			<section class="remark mb-4" aria-labelledby="told">
				<h2 id="told" class="text-xl">Your coach answered for you</h2>
				<p>Your coach has noted that you agree to this:</p>
				<ul class="list-disc pl-5">
					{#each CONSENT.text as line (line)}<li class="mb-1.5">{line}</li>{/each}
				</ul>
				<p>Look your answers over. If they are right and you agree, say so below.</p>
			</section>
		{/if}
		<div class="flex flex-col gap-3">
			<button class="btn btn-primary min-h-14 text-lg" onclick={() => (again = true)}
				>{data.told ? 'Look my answers over' : 'Something has changed'}</button
			>
			<form method="post" action="?/same">
				<button class="btn btn-outline min-h-14 w-full text-lg"
					>{data.told ? 'They are right, and I agree' : 'Nothing has changed'}</button
				>
			</form>
		</div>
		{#if data.screening}
			<section class="mt-8 flex flex-col gap-3" aria-labelledby="means">
				<h2 id="means" class="text-xl">What your answers mean</h2>
				<ScreeningResult screening={data.screening} />
			</section>
		{/if}
		<section class="mt-8" aria-labelledby="looks">
			<h2 id="looks" class="text-xl">Who looked at your health answers</h2>
			{#if data.looks.length === 0}<p class="quiet">Nobody so far.</p>{:else}
				<ul>
					{#each data.looks as look (look.id)}<li class="border-base-300 border-b py-1.5">
							{look.who}, {dayAndTimeIn(data.zone, look.at)}
						</li>{/each}
				</ul>
			{/if}
		</section>
	{:else}
		<Intake
			sections={data.sections}
			zones={data.zones}
			zone={data.zone}
			now={data.now}
			url="/api/me/intake"
			keptAs={data.keptAs}
			done="/me"
		/>
	{/if}
</main>
