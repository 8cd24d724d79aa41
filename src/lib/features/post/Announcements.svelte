<script lang="ts">
	import { enhance } from '$app/forms';
	import { ANNOUNCEMENT_LENGTH } from '$contracts/announcement';
	import { dayAndTimeIn, dayText } from '$lib/format';

	/** What stands on everyone's page, and a form for the next. */
	interface Props {
		announcements: readonly { id: string; text: string; at: number }[];
		/** Days on which one may go up. */
		ahead: readonly { day: number; date: string }[];
		zone: string;
		now: number;
		/** What was refused, and why. */
		refused: { message: string; text: string } | null;
		posted: boolean;
	}
	let { announcements, ahead, zone, now, refused, posted }: Props = $props();
</script>

<section class="panel p-4" aria-labelledby="announcements">
	<h2 id="announcements">Announcements</h2>
	<p class="quiet mt-1 mb-2 text-sm">Shows on everyone’s page for a week after you post it.</p>
	<form method="post" action="?/announce" class="flex flex-col gap-2" use:enhance>
		<textarea
			class="textarea w-full"
			name="text"
			rows="3"
			maxlength={ANNOUNCEMENT_LENGTH}
			required
			aria-label="Announcement"
			value={refused?.text ?? ''}></textarea>
		{#if refused}<p class="field-fault" role="alert">{refused.message}</p>{/if}
		<span class="flex flex-wrap items-center gap-2">
			<select class="select select-sm w-52" name="day" aria-label="When it goes up">
				<option value="">now</option>
				{#each ahead as day (day.day)}<option value={day.day}>on day {day.day}, {dayText(day.date)}</option
					>{/each}
			</select>
			<button class="btn btn-primary btn-sm">Post</button>
			{#if posted}<span class="quiet pl-2 text-sm" role="status">It is up.</span>{/if}</span
		>
	</form>
	<ul class="mt-3 text-sm">
		{#each announcements as announcement (announcement.id)}
			<li class="border-base-300 flex items-baseline justify-between gap-3 border-t py-1.5">
				<span
					><span class="quiet block"
						>{announcement.at > now ? 'waits for ' : ''}{dayAndTimeIn(zone, announcement.at)}</span
					>
					<span class="whitespace-pre-line">{announcement.text}</span></span
				>
				<form method="post" action="?/removeAnnouncement" use:enhance>
					<input type="hidden" name="announcement" value={announcement.id} /><button
						class="link-quiet whitespace-nowrap">Remove</button
					>
				</form>
			</li>
		{:else}
			<li class="quiet">No announcement is up. Post one above; it shows on everyone’s page.</li>
		{/each}
	</ul>
</section>
