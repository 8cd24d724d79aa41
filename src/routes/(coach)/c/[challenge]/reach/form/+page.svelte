<script lang="ts">
	import { enhance } from '$app/forms';
	import ReachParts from '$lib/features/reach/ReachParts.svelte';
	import MarkedMedia from '$lib/features/body/MarkedMedia.svelte';
	import { counted, dayAndTimeIn } from '$lib/format';
	import Empty from '$lib/ui/Empty.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const open = $derived(data.checks.filter(({ answeredAt }) => answeredAt === null));
	let chosen = $state('');
	const one = $derived(data.checks.find(({ id }) => id === chosen) ?? open[0] ?? data.checks[0]);
	let marks = $state<Record<string, { x: number; y: number; at: number }>>({});
	let cues = $state<Record<string, string>>({});
	const refused = $derived(form && 'message' in form ? form : null);
	const cueOf = (check: { id: string; cue: string | null }) => cues[check.id] ?? check.cue ?? '';
</script>

<svelte:head><title>Form check · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Reach out</h1>
<ReachParts {base} part="form" />
<div class="mb-3 flex flex-wrap items-baseline gap-x-4">
	<h2>Form check</h2>
	<p class="quiet">
		{open.length === 0 ? 'All are answered' : `${counted(open.length, 'waits', 'wait')} for you`}
	</p>
</div>
{#if !one}
	<Empty
		says="Nobody has sent in a photo or clip yet. Ask for one in a message: participants find Form check at the bottom of their page."
	/>
{:else}
	<div class="grid items-start gap-6 lg:grid-cols-[16rem_minmax(0,1fr)]">
		<nav aria-label="Form checks">
			<ul class="border-base-content/70 border-t text-sm">
				{#each data.checks as check (check.id)}
					<li class="border-base-300 border-b">
						<button
							class={['w-full py-1.5 text-left', check.id === one.id && 'bg-primary/10']}
							aria-current={check.id === one.id ? 'true' : undefined}
							onclick={() => (chosen = check.id)}
						>
							<b>{check.person.name}</b>
							<span class="quiet block text-[13px]"
								>{check.exercise}, {check.answeredAt === null ? 'waits' : 'answered'}</span
							>
						</button>
					</li>
				{/each}
			</ul>
		</nav>
		<section class="panel p-4" aria-labelledby="shown">
			<h3 id="shown" class="text-lg">
				{one.exercise},
				<a class="hover:underline" href="{base}/people/{one.person.id}">{one.person.name}</a>
			</h3>
			<p class="quiet mb-3 text-sm">
				{dayAndTimeIn(data.coach.zone, one.at)}{one.note ? `: “${one.note}”` : ''}
			</p>
			<div class="grid gap-6 xl:grid-cols-[minmax(0,1fr)_20rem]">
				<div>
					{#key one.id}
						<MarkedMedia
							src="{base}/reach/form/{one.person.id}/{one.id}"
							type={one.type}
							alt="{one.exercise} by {one.person.name}"
							mark={marks[one.id] ?? one.mark}
							onmark={(mark) => (marks = { ...marks, [one.id]: mark })}
						/>
					{/key}
					<p class="quiet mt-1 text-sm">Press where you mean; press elsewhere to move the mark.</p>
				</div>
				<form
					method="post"
					action="?/answer"
					class="flex flex-col gap-2"
					use:enhance={() =>
						({ update }) =>
							update({ reset: false })}
				>
					<input type="hidden" name="person" value={one.person.id} />
					<input type="hidden" name="id" value={one.id} />
					<input type="hidden" name="mark" value={JSON.stringify(marks[one.id] ?? one.mark)} />
					<label class="flex flex-col gap-1"
						><span class="font-semibold">What to mind</span>
						<textarea
							class="textarea w-full text-[15px]"
							name="cue"
							rows="4"
							maxlength="1000"
							value={cueOf(one)}
							oninput={({ currentTarget }) => (cues = { ...cues, [one.id]: currentTarget.value })}
						></textarea></label
					>
					{#if one.cues.length > 0}<p class="quiet text-sm">Or from the library:</p>{/if}
					{#each one.cues as cue (cue)}
						<button
							type="button"
							class="link-quiet text-left text-sm"
							onclick={() => (cues = { ...cues, [one.id]: [cueOf(one), cue].filter(Boolean).join(' ') })}
							>{cue}</button
						>
					{/each}
					{#if refused && 'id' in refused && refused.id === one.id}<p class="field-fault" role="alert">
							{refused.message}
						</p>{/if}
					<button class="btn btn-primary self-start"
						>{one.answeredAt === null ? 'Answer' : 'Change the answer'}</button
					>
					{#if one.answeredAt !== null}<p class="quiet text-sm">
							Answered by {one.by ?? 'somebody who has left'}, {one.seenAt === null
								? 'not seen yet'
								: `seen ${dayAndTimeIn(data.coach.zone, one.seenAt)}`}.
						</p>{/if}
				</form>
			</div>
		</section>
	</div>
{/if}
