<script lang="ts">
	import { dateIn } from '$core/calendar';
	import { sizeText } from '$lib/format';
	import ChallengeForm from '$lib/features/challenge/ChallengeForm.svelte';
	import HouseForm from '$lib/features/challenge/HouseForm.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const answer = $derived(
		form as {
			message?: string | null;
			form?: unknown;
			saved?: boolean;
			houseSaved?: boolean;
			healthSaved?: boolean;
			faults?: { field: string; message: string }[];
		} | null
	);
	const ofHouse = $derived(answer !== null && !('form' in answer));
	const message = $derived(ofHouse ? null : (answer?.message ?? null));
	const house = $derived(data.house);
</script>

<svelte:head><title>Settings · {data.challenge.name}</title></svelte:head>
<div class="mb-3 flex flex-wrap items-baseline justify-between gap-3">
	<h1>Settings of this challenge</h1>
	<a class="btn btn-sm btn-outline" href="/c/{data.challenge.id}/settings/coaches">Coaches and viewers</a>
</div>
{#if answer?.saved}<p class="remark mb-3" role="status">Saved.</p>{/if}
{#key data.challenge.id}<ChallengeForm
		today={dateIn(data.coach.zone, data.now)}
		form={data.form}
		zones={data.zones}
		submit="Save the settings"
		action="?/challenge"
		{message}
	/>{/key}

<h2 class="mt-8 mb-1">Files</h2>
<p class="text-sm">
	Photographs, clips and papers of the people of this challenge have {sizeText(data.space.used)} of {sizeText(
		data.space.most
	)}. Each person has at most {sizeText(data.space.each)}.
</p>

{#if data.challenge.role === 'owner'}
	<h2 class="mt-8 mb-1">Health answers</h2>
	<form method="post" action="?/health" class="flex flex-wrap items-end gap-3">
		<label class="text-sm"
			>Delete them on <input
				name="until"
				type="date"
				class="input input-sm block w-44"
				value={data.healthUntil ?? ''}
			/></label
		>
		<button class="btn btn-sm btn-outline">Save the date</button>
		<p class="quiet basis-full text-sm">
			Of people who are in another challenge of yours they stay until that one’s date.
			{answer?.healthSaved ? 'Saved.' : ''}
		</p>
	</form>

	<h2 class="mt-8 mb-1">House rules</h2>
	<p class="quiet mb-3 text-sm">
		How you want things done where coaches differ. They hold for all your challenges: cues, checks and the
		pace of sessions follow them.
	</p>
	{#if answer?.houseSaved}<p class="remark mb-3" role="status">Your house rules are saved.</p>{/if}
	{#if ofHouse && answer?.message}<p class="remark remark-attention mb-3 font-semibold" role="alert">
			{answer.message}
		</p>{/if}
	<HouseForm {house} />
{:else}<p class="quiet mt-6">On the house rules and on when health answers go the owner decides.</p>{/if}
