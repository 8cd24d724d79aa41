<script lang="ts">
	import { enhance } from '$app/forms';
	import PostForm from '$lib/features/post/PostForm.svelte';
	import PostList from '$lib/features/post/PostList.svelte';
	import PostParts from '$lib/features/post/PostParts.svelte';
	import { audienceText } from '$lib/features/post/post-words';
	import { counted, dayAndTimeIn } from '$lib/format';
	import Empty from '$lib/ui/Empty.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const answer = $derived(
		form as {
			message?: string;
			sent?: number;
			later?: boolean;
			kept?: string;
			taken?: number;
			again?: boolean;
			forgotten?: boolean;
		} | null
	);
	const teamOf = $derived((id: string) => data.teams.find((team) => team.id === id)?.name ?? 'a former team');
	const stuckText = ({ failed, waiting, tries }: (typeof data.stuck)[number]) =>
		failed > 0
			? `${counted(failed, 'email')} given up`
			: `${counted(waiting, 'email')} on hold, ${counted(tries, 'try', 'tries')} so far`;
	const told = $derived.by(() => {
		if (!answer) return null;
		if (answer.sent !== undefined)
			return `${counted(answer.sent, 'message is', 'messages are')} ${answer.later ? 'planned' : 'on the way'}.`;
		if (answer.kept) return `“${answer.kept}” is kept as a template.`;
		if (answer.forgotten) return 'The template is deleted.';
		if (answer.taken !== undefined)
			return `${counted(answer.taken, 'message was', 'messages were')} taken back before going out.`;
		return answer.again ? 'It is being tried again.' : null;
	});
</script>

<svelte:head><title>Post · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Post</h1>
<PostParts {base} part="write" />
{#if told}<p class="remark mb-3" role="status">{told}</p>{/if}
{#if data.people.length === 0}
	<Empty says="Nobody is enrolled yet, so there is nobody to write to."
		><a class="link-quiet" href="{base}/people/import">Enrol people from a list</a></Empty
	>
{:else}
	<!-- Begun anew once it has gone; what is typed stays while a template is kept. -->
	{#key data.posts[0]?.id ?? ''}
		<PostForm
			id={data.id}
			people={data.people}
			teams={data.teams}
			templates={data.templates}
			quiet={data.quiet}
			dates={data.dates}
			refused={answer?.message ?? null}
		/>
	{/key}
{/if}

{#if data.stuck.length > 0}
	<section class="mt-6" aria-labelledby="stuck">
		<h2 id="stuck">Didn’t get through by email</h2>
		<p class="quiet mb-1 text-sm">
			Messages stand in the app all the same. A link that didn’t get through is made anew under People.
		</p>
		<ul class="border-base-content/70 border-t text-sm">
			{#each data.stuck as one (one.id)}
				<li class="border-base-300 flex flex-wrap items-baseline justify-between gap-x-4 border-b py-1.5">
					<span class="min-w-0">
						<a class="font-semibold hover:underline" href="{base}/people/{one.personId}">{one.name}</a>
						<span class="quiet">{one.email}</span>
						<span class="block">{stuckText(one)}: {one.error}</span>
					</span>
					{#if one.state === 'failed'}
						<form method="post" action="?/again" use:enhance>
							<input type="hidden" name="letter" value={one.id} />
							<button class="link-quiet">Try again</button>
						</form>
					{:else}<span class="quiet">next try {dayAndTimeIn(data.coach.zone, one.nextAt)}</span>{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}

<section class="mt-6" aria-labelledby="gone">
	<h2 id="gone">To several people</h2>
	{#if data.waiting > 0}<p class="quiet text-sm">
			{counted(data.waiting, 'email waits', 'emails wait')} for the end of somebody’s quiet hours.
		</p>{/if}
	<PostList
		posts={data.posts}
		me={data.coach.name}
		zone={data.coach.zone}
		audience={(one) => audienceText(one, teamOf)}
	/>
</section>
