<script lang="ts">
	import { enhance } from '$app/forms';
	import { REQUEST_ANSWERS, type RequestAnswer } from '$contracts/ask';
	import { MOST_LETTERS } from '$contracts/message';
	import { capital } from '$core/text/words';
	import ReachParts from '$lib/features/reach/ReachParts.svelte';
	import { ANSWER_DRAFT, ANSWER_TEXT, wantWords } from '$lib/features/reach/request-words';
	import { counted, dayAndTimeIn } from '$lib/format';
	import Empty from '$lib/ui/Empty.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const open = $derived(data.requests.filter(({ answeredAt }) => answeredAt === null));
	const over = $derived(data.requests.filter(({ answeredAt }) => answeredAt !== null));
	const refused = $derived(form && 'message' in form && 'id' in form ? form : null);
	/** The request that is being answered, and how. */
	let chosen = $state<{ id: string; answer: RequestAnswer } | null>(null);
	let texts = $state<Record<string, string>>({});

	function choose(id: string, answer: RequestAnswer) {
		chosen = { id, answer };
		texts[id] = ANSWER_DRAFT[answer];
	}
</script>

<svelte:head><title>Requests · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Reach out</h1>
<ReachParts {base} part="requests" />
<div class="mb-3 flex flex-wrap items-baseline gap-x-4">
	<h2>Requests</h2>
	<p class="quiet">
		{open.length === 0 ? 'None is open' : `${counted(open.length, 'waits', 'wait')} for you`}
	</p>
</div>
{#if data.requests.length === 0}
	<Empty
		says="Nobody has asked for a change yet. Participants ask for more, less or something else under Messages; it then waits here for your answer."
	/>
{:else}
	<div class="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_22rem]">
		<section aria-label="Open requests">
			<ul class="border-base-content/70 border-t">
				{#each open as one (one.id)}
					<li class="border-base-300 border-b py-3">
						<p>
							<a class="font-bold hover:underline" href="{base}/people/{one.person.id}">{one.person.name}</a>
							<span class="quiet text-[13px]">{dayAndTimeIn(data.coach.zone, one.at)}</span>
						</p>
						<p>
							<b>{wantWords(one)}</b>{#if one.said}: “{one.said}”{/if}
						</p>
						<form method="post" action="?/answer" class="mt-2 flex flex-col gap-2" use:enhance>
							<input type="hidden" name="person" value={one.person.id} />
							<input type="hidden" name="id" value={one.id} />
							<input type="hidden" name="messageId" value={one.messageId} />
							<fieldset class="flex flex-wrap gap-1.5">
								<legend class="sr-only">What comes of it</legend>
								{#each REQUEST_ANSWERS as answer (answer)}
									<label
										class={[
											'flex cursor-pointer items-center rounded border px-2.5 py-1 text-sm font-semibold has-focus-visible:outline-2',
											chosen?.id === one.id && chosen.answer === answer
												? 'bg-primary text-primary-content border-primary'
												: 'bg-base-100 border-base-300'
										]}
									>
										<input
											type="radio"
											name="answer"
											value={answer}
											class="sr-only"
											checked={chosen?.id === one.id && chosen.answer === answer}
											onchange={() => choose(one.id, answer)}
										/>{ANSWER_TEXT[answer]}
									</label>
								{/each}
							</fieldset>
							{#if chosen?.id === one.id || refused?.id === one.id}
								<textarea
									class="textarea w-full text-[15px]"
									name="text"
									rows="3"
									maxlength={MOST_LETTERS}
									aria-label="What you write to {one.person.name}"
									value={texts[one.id] ?? ''}
									oninput={({ currentTarget }) => (texts[one.id] = currentTarget.value)}></textarea>
								{#if refused?.id === one.id}<p class="field-fault" role="alert">{refused.message}</p>{/if}
								<button class="btn btn-primary btn-sm self-start">Send the answer</button>
							{/if}
						</form>
					</li>
				{:else}
					<li class="quiet py-3">All are answered.</li>
				{/each}
			</ul>
			{#if over.length > 0}
				<h3 class="mt-5">Answered</h3>
				<ul class="text-sm">
					{#each over as one (one.id)}
						<li class="border-base-300 border-b py-1.5">
							<a class="font-semibold hover:underline" href="{base}/people/{one.person.id}"
								>{one.person.name}</a
							>:
							{wantWords(one)}{#if one.said}, “{one.said}”{/if}
							<span class="quiet block"
								>{one.answer ? ANSWER_TEXT[one.answer] : ''}, {one.by ?? 'somebody who has left'}, {dayAndTimeIn(
									data.coach.zone,
									one.answeredAt ?? one.at
								)}</span
							>
						</li>
					{/each}
				</ul>
			{/if}
		</section>
		{#if data.wanted.length > 0}
			<section class="panel p-4" aria-labelledby="wanted">
				<h2 id="wanted">What the group wants</h2>
				<p class="quiet mb-2 text-sm">
					Open requests against what is planned{data.from === null
						? ''
						: ` on days ${data.from} to ${data.to}`}: sets that work the part directly.
				</p>
				<table class="w-full text-sm">
					<thead>
						<tr class="quiet border-base-content/70 border-b text-left"
							><th class="font-normal">Part</th><th class="text-right font-normal">More</th><th
								class="text-right font-normal">Less</th
							><th class="text-right font-normal">Sets</th></tr
						>
					</thead>
					<tbody>
						{#each data.wanted as row (row.area)}
							<tr class="border-base-300 border-b"
								><td class="py-1">{capital(row.area)}</td><td class="clock text-right">{row.more}</td><td
									class="clock text-right">{row.less}</td
								><td class="clock text-right">{row.sets}</td></tr
							>
						{/each}
					</tbody>
				</table>
				<p class="mt-2 text-sm"><a class="link-quiet" href="{base}/plan">Change the plan</a></p>
			</section>
		{/if}
	</div>
{/if}
