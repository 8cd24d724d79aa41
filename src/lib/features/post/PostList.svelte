<script lang="ts">
	import { enhance } from '$app/forms';
	import type { PostState } from '$contracts/post';
	import type { Audience } from '$core/post';
	import { dayAndTimeIn, dayText, timeOfDay } from '$lib/format';

	/** Messages to several, the newest first, with how far each has come. */
	interface Props {
		posts: readonly PostState[];
		zone: string;
		/** Who reads it. */
		me: string;
		audience: (audience: Audience) => string;
	}
	let { posts, zone, me, audience }: Props = $props();

	const goes = ({ at, onDate, onMinutes }: PostState): string =>
		onDate === null || onMinutes === null
			? dayAndTimeIn(zone, at)
			: `${dayText(onDate)} ${timeOfDay(onMinutes)}, their clock`;
	const COLUMNS = [
		['planned', 'Planned'],
		['waiting', 'Waiting'],
		['sent', 'Emailed'],
		['notMailed', 'No email'],
		['failed', 'Not through'],
		['read', 'Read in app']
	] as const;
</script>

{#if posts.length === 0}
	<p class="quiet mt-1 text-sm">
		No messages to several people yet. What you send above is listed here, with who has read it.
	</p>
{:else}
	<div class="mt-1 overflow-x-auto">
		<table class="w-full text-sm">
			<thead>
				<tr class="quiet border-base-content/70 border-b text-left">
					<th scope="col" class="py-1 pr-3 font-semibold">Goes</th>
					<th scope="col" class="pr-3 font-semibold">Subject</th>
					<th scope="col" class="pr-3 font-semibold">To</th>
					{#each COLUMNS as [key, text] (key)}<th
							scope="col"
							class="pl-3 text-right font-semibold whitespace-nowrap">{text}</th
						>{/each}
					<th scope="col"><span class="sr-only">Take back</span></th>
				</tr>
			</thead>
			<tbody>
				{#each posts as post (post.id)}
					<tr class="border-base-300 border-b align-baseline">
						<td class="py-1.5 pr-3 whitespace-nowrap">{goes(post)}</td>
						<td class="pr-3"
							><details>
								<summary class="cursor-pointer font-semibold">{post.subject}</summary>
								<p class="max-w-prose whitespace-pre-line">{post.text}</p>
							</details></td
						>
						<td class="pr-3">{audience(post.audience)}{post.by && post.by !== me ? `, by ${post.by}` : ''}</td
						>
						{#each COLUMNS as [key] (key)}<td class="pl-3 text-right">{post[key] || '·'}</td>{/each}
						<td class="pl-3 text-right whitespace-nowrap">
							{#if post.planned > 0}
								<form method="post" action="?/cancel" use:enhance>
									<input type="hidden" name="post" value={post.id} />
									<button class="link-quiet">Take back</button>
								</form>
							{:else if post.cancelled > 0}<span class="quiet">{post.cancelled} taken back</span>{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}
