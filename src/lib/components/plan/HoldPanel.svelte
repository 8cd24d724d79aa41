<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted } from '$lib/format';

	/** Days that nobody does: a storm, a holiday. Takes effect at once, whatever else is being changed in the plan. */
	interface Props {
		/** Chosen days, ascending. */
		days: readonly number[];
		held: ReadonlyMap<number, string>;
		people: number;
		/** Last day of the plan as it is saved. */
		last: number;
		/** Why it was refused. */
		message: string | null;
	}
	let { days, held, people, last, message }: Props = $props();
	const there = $derived(days.filter((day) => day <= last));
	const heldHere = $derived(there.filter((day) => held.has(day)));
</script>

{#if there.length > 0}
	<section class="panel p-4" aria-labelledby="hold">
		<h2 id="hold">Hold for all</h2>
		<p class="quiet mb-2 text-[13px]">
			Nobody has to do {there.length === 1 ? `day ${there[0]}` : `days ${there.join(', ')}`}, and it counts
			for nobody; what was done counts.{people > 0
				? ` ${counted(people, 'person reads', 'people read')} the reason.`
				: ''}
		</p>
		{#if message}<p class="field-fault mb-2" role="alert">{message}</p>{/if}
		<form method="post" action="?/hold" class="flex gap-2" use:enhance>
			{#each there as day (day)}<input type="hidden" name="day" value={day} />{/each}
			<input
				class="input input-sm min-w-0 grow"
				name="reason"
				maxlength="300"
				aria-label="Reason that people read"
				placeholder="Storm over the ridge"
				required
			/>
			<button class="btn btn-outline btn-sm">Hold</button>
		</form>
		{#if heldHere.length > 0}
			<form method="post" action="?/hold" class="mt-2" use:enhance>
				{#each heldHere as day (day)}<input type="hidden" name="day" value={day} />{/each}
				<p class="text-sm">
					Held: {[...new Set(heldHere.map((day) => held.get(day)))].join('; ')}.
					<button class="link-quiet">Let {heldHere.length === 1 ? 'it' : 'them'} go on</button>
				</p>
			</form>
		{/if}
	</section>
{/if}
