<script lang="ts">
	import { timeOfDay } from '$lib/format';
	import EditInPlace from './EditInPlace.svelte';

	/** Equipment, training hour and wishes of a person. Equipment and hour are edited in place. */
	interface Props {
		person: {
			id: string;
			equipment: string;
			/** Equipment that was not understood, as written. */
			unread: readonly string[];
			/** Minutes that they have for a session. */
			minutes: number | null;
			/** Minutes after midnight, by their clock. */
			trainsAt: number | null;
			goals: string | null;
		};
		name: string;
		company: { team: string | null; buddies: readonly { id: string; name: string }[] };
		/** Address of the people of the challenge. */
		base: string;
		day: number | null;
		mayEdit: boolean;
		/** Error messages of the two fields, or null. */
		refused: { equipment: string | null; hour: string | null };
	}
	let { person, name, company, base, day, mayEdit, refused }: Props = $props();
</script>

<section class="panel p-4" aria-labelledby="owns">
	<h2 id="owns">Has and wants</h2>
	<dl class="mt-1 grid grid-cols-[max-content_minmax(0,1fr)] gap-x-4 gap-y-1 text-sm">
		<dt class="quiet">Equipment</dt>
		<dd>
			<EditInPlace
				label="equipment"
				value={person.equipment || 'nothing listed'}
				action="?/equipment"
				message={refused.equipment}
				{mayEdit}
			>
				{#snippet field()}<textarea
						name="equipment"
						aria-label="Equipment"
						class="textarea textarea-sm w-full"
						rows="3"
						maxlength="1000"
						placeholder="pair of dumbbells 8 kg; light band; mat"
						value={person.equipment}></textarea>{/snippet}
			</EditInPlace>
			{#if person.unread.length > 0}<p class="attention text-[13px]">
					Not understood, kept as written: {person.unread.join('; ')}.
				</p>{/if}
		</dd>
		<dt class="quiet">Minutes</dt>
		<dd>{person.minutes === null ? 'not said' : `${person.minutes} min for a session`}</dd>
		<dt class="quiet">Trains at</dt>
		<dd>
			<EditInPlace
				label="training hour"
				value={person.trainsAt === null ? 'no fixed hour' : `${timeOfDay(person.trainsAt)} by their clock`}
				action="?/hour"
				message={refused.hour}
				{mayEdit}
			>
				{#snippet field()}<input
						type="time"
						name="hour"
						aria-label="Training hour, by their clock"
						class="input input-sm w-32"
						value={person.trainsAt === null ? '' : timeOfDay(person.trainsAt)}
					/>{/snippet}
			</EditInPlace>
		</dd>
		{#if company.team}<dt class="quiet">Team</dt>
			<dd>{company.team}</dd>{/if}
		{#if company.buddies.length > 0}<dt class="quiet">
				{company.buddies.length === 1 ? 'Buddy' : 'Buddies'}
			</dt>
			<dd class="flex flex-wrap gap-x-3">
				{#each company.buddies as one (one.id)}<a class="link-quiet" href="{base}/{one.id}">{one.name}</a
					>{/each}
			</dd>{/if}
		{#if person.goals}<dt class="quiet">Wants</dt>
			<dd>“{person.goals}”</dd>{/if}
	</dl>
	<p class="mt-2 text-sm">
		<a class="link-quiet" href="{base}/{person.id}/session{day ? `?day=${day}` : ''}"
			>The session as {name} gets it</a
		>
	</p>
	<p class="mt-1 flex flex-wrap gap-x-4 text-sm">
		<a class="link-quiet" href="{base}/{person.id}/body">Measures, weeks and photographs</a>
	</p>
</section>
