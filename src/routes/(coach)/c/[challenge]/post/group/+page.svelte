<script lang="ts">
	import Announcements from '$lib/features/post/Announcements.svelte';
	import PollForm from '$lib/features/post/PollForm.svelte';
	import PollResult from '$lib/features/post/PollResult.svelte';
	import PostParts from '$lib/features/post/PostParts.svelte';
	import { audienceText } from '$lib/features/post/post-words';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const answer = $derived(
		form as {
			message?: string;
			text?: string;
			poll?: { question: string; choices: string[]; closesOn: string };
			announced?: boolean;
			asked?: boolean;
		} | null
	);
	const said = $derived(answer?.message ?? '');
	const ahead = $derived(data.rail.filter(({ day }) => day > data.groupDay));
	const teamOf = $derived((id: string) => data.teams.find((team) => team.id === id)?.name ?? 'a former team');
</script>

<svelte:head><title>To the whole group · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Post</h1>
<PostParts {base} part="group" />
<div class="grid items-start gap-4 lg:grid-cols-2">
	<Announcements
		announcements={data.announcements}
		{ahead}
		zone={data.coach.zone}
		now={data.now}
		refused={said && answer?.text !== undefined ? { message: said, text: answer.text } : null}
		posted={answer?.announced ?? false}
	/>
	<section class="panel p-4" aria-labelledby="polls">
		<h2 id="polls">Polls</h2>
		<p class="quiet mt-1 mb-2 text-sm">One question on their page of today, answered with one press.</p>
		{#if answer?.asked}<p class="remark mb-2 text-sm" role="status">It is on their pages.</p>{/if}
		{#key data.polls[0]?.id}
			<PollForm
				teams={data.teams}
				dates={data.dates}
				refused={said && answer?.poll ? { message: said, poll: answer.poll } : null}
			/>
		{/key}
		<div class="mt-4">
			{#each data.polls as poll (poll.id)}
				<PollResult
					{poll}
					audience={audienceText(poll.audience, teamOf)}
					{base}
					zone={data.coach.zone}
					now={data.now}
				/>
			{/each}
		</div>
	</section>
</div>
