<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted } from '$lib/format';

	/** Days that do not go as planned: a storm, a holiday. Takes effect at once, beside whatever is being changed in the plan. */
	interface Props {
		/** Chosen days, ascending. */
		days: readonly number[];
		cancelled: ReadonlyMap<number, string>;
		excused: readonly { day: number; reason: string; people: number }[];
		people: number;
		/** Last day of the plan as it is saved. */
		last: number;
		releasedTo: number;
		/** The plan has changes that are not saved: what is ahead cannot be moved under them. */
		changed: boolean;
		/** Why it was refused. */
		message: string | null;
		/** The plan was moved on the server. */
		onshifted: () => void;
	}
	let { days, cancelled, excused, people, last, releasedTo, changed, message, onshifted }: Props = $props();
	const there = $derived(days.filter((day) => day <= last));
	const cancelledHere = $derived(there.filter((day) => cancelled.has(day)));
	const excusedHere = $derived(excused.filter(({ day }) => there.includes(day)));
	const named = $derived(there.length === 1 ? `day ${there[0]}` : `days ${there.join(', ')}`);
	const released = $derived((there[0] ?? 0) <= releasedTo);
	let how = $state<'cancel' | 'excuse' | 'shift'>('cancel');
	const says = $derived({
		cancel: 'Nobody has to do it, and it counts for nobody.',
		excuse: 'Who has not done it is excused, each on their own record.',
		shift: `${counted(there.length, 'day')} of rest; all that comes after is as much later.`
	});
</script>

{#if there.length > 0}
	<section class="panel p-4" aria-labelledby="off">
		<h2 id="off">Not as planned</h2>
		<p class="quiet mb-2 text-[13px]">
			A storm, a holiday: {named}, for {people > 0 ? `all ${people}` : 'everybody'}. What was done counts in
			any case.
		</p>
		{#if message}<p class="field-fault mb-2" role="alert">{message}</p>{/if}
		<form
			method="post"
			action="?/daysOff"
			class="flex flex-col gap-2 text-sm"
			use:enhance={() =>
				async ({ update, result }) => {
					const moved = how === 'shift' && result.type === 'success';
					await update();
					if (moved) onshifted();
					how = 'cancel';
				}}
		>
			{#each there as day (day)}<input type="hidden" name="day" value={day} />{/each}
			<fieldset class="flex flex-wrap gap-x-4">
				<legend class="sr-only">What happens with {named}</legend>
				{#each [['cancel', 'Cancel'], ['excuse', 'Excuse all'], ['shift', 'Shift']] as const as [value, text] (value)}
					<label class="flex items-center gap-1.5"
						><input
							type="radio"
							class="radio radio-xs"
							name="how"
							{value}
							bind:group={how}
							disabled={value === 'shift' && (released || changed)}
						/>
						{text}</label
					>
				{/each}
			</fieldset>
			<p class="quiet text-[13px]">
				{says[how]}
				{#if released}Day {there[0]} is released already and can’t be shifted.{:else if changed}Save or undo
					your changes before you shift.{/if}
			</p>
			<div class="flex gap-2">
				<input
					class="input input-sm min-w-0 grow"
					name="reason"
					maxlength="300"
					aria-label="Reason that people read"
					placeholder="Storm over the ridge"
					required
				/>
				<button class="btn btn-outline btn-sm"
					>{{ cancel: 'Cancel', excuse: 'Excuse', shift: 'Shift' }[how]}</button
				>
			</div>
			<label class="flex items-center gap-1.5"
				><input type="checkbox" class="checkbox checkbox-xs" name="tell" /> Post it as an announcement</label
			>
		</form>
		{#if cancelledHere.length > 0}
			<form method="post" action="?/restore" class="mt-2" use:enhance>
				{#each cancelledHere as day (day)}<input type="hidden" name="day" value={day} />{/each}
				<p class="text-sm">
					Cancelled: {[...new Set(cancelledHere.map((day) => cancelled.get(day)))].join('; ')}.
					<button class="link-quiet">Restore {cancelledHere.length === 1 ? 'it' : 'them'}</button>
				</p>
			</form>
		{/if}
		{#each excusedHere as one (`${one.day} ${one.reason}`)}
			<form method="post" action="?/unexcuse" class="mt-2 text-sm" use:enhance>
				<input type="hidden" name="day" value={one.day} />
				<input type="hidden" name="reason" value={one.reason} />
				{counted(one.people, 'person', 'people')} excused from day {one.day}: {one.reason}.
				<button class="link-quiet">Take it back</button>
			</form>
		{/each}
	</section>
{/if}
