<script lang="ts">
	import { enhance } from '$app/forms';
	import { REQUEST_LENGTH, type PlanRequest, type Want } from '$contracts/ask';
	import { SORE_KEYS } from '$core/wellbeing';
	import { capital } from '$core/text/words';
	import { ANSWER_TEXT, wantWords } from '$lib/features/reach/request-words';
	import { dayAndTimeIn } from '$lib/format';

	/** What somebody would like of the plan. */
	interface Props {
		requests: readonly PlanRequest[];
		/** Of the next one: sent twice, it is kept once. */
		id: string;
		zone: string;
		/** What was refused, and why. */
		refused: { message: string; raw: { wants: string; area: string | null; said: string } } | null;
	}
	let { requests, id, zone, refused }: Props = $props();
	const WANT_TEXT: Record<Want, string> = { more: 'More for', less: 'Less for', other: 'Something else' };
	// svelte-ignore state_referenced_locally
	let wants = $state(refused?.raw.wants ?? 'more');
</script>

<section class="border-base-300 mt-6 border-t pt-3" aria-labelledby="requests">
	<h2 id="requests" class="text-lg">Ask for something in the plan</h2>
	<form method="post" action="?/ask" class="mt-2 flex flex-col gap-3" use:enhance>
		<input type="hidden" name="id" value={id} />
		<div class="flex flex-wrap gap-2">
			<label class="flex min-w-32 flex-1 flex-col gap-1"
				><span>What</span>
				<select class="select min-h-12 w-full text-base" name="wants" bind:value={wants}>
					{#each Object.entries(WANT_TEXT) as [value, text] (value)}<option {value}>{text}</option>{/each}
				</select></label
			>
			{#if wants !== 'other'}
				<label class="flex min-w-32 flex-1 flex-col gap-1"
					><span>Part</span>
					<select
						class="select min-h-12 w-full text-base"
						name="area"
						value={refused?.raw.area ?? 'shoulders'}
					>
						{#each SORE_KEYS as area (area)}<option value={area}>{capital(area)}</option>{/each}
					</select></label
				>
			{/if}
		</div>
		<label class="flex flex-col gap-1"
			><span>{wants === 'other' ? 'What would you like?' : 'Why, if you like'}</span>
			<textarea
				class="textarea w-full text-base"
				name="said"
				rows="2"
				maxlength={REQUEST_LENGTH}
				value={refused?.raw.said ?? ''}></textarea></label
		>
		{#if refused}<p class="remark remark-attention font-semibold" role="alert">{refused.message}</p>{/if}
		<button class="btn btn-outline min-h-12">Ask</button>
	</form>
	{#if requests.length > 0}
		<ul class="mt-3">
			{#each requests as one (one.id)}
				<li class="border-base-300 flex items-baseline justify-between gap-3 border-b py-2">
					<span
						><b>{wantWords(one)}</b>{#if one.said}: {one.said}{/if}
						<span class="quiet block text-sm"
							>{dayAndTimeIn(zone, one.at)}, {one.answer === null
								? 'waits for your coach'
								: `your coach says: ${ANSWER_TEXT[one.answer].toLowerCase()}`}</span
						></span
					>
					{#if one.answer === null}<form method="post" action="?/takeBack" use:enhance>
							<input type="hidden" name="request" value={one.id} /><button
								class="link-quiet min-h-11 whitespace-nowrap">Take back</button
							>
						</form>{/if}
				</li>
			{/each}
		</ul>
	{/if}
</section>
