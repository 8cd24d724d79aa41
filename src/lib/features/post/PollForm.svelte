<script lang="ts">
	import { enhance } from '$app/forms';
	import { POLL_LIMITS } from '$contracts/ask';
	import { LEVELS } from '$core/people';

	/** One question, and what can be answered. */
	interface Props {
		teams: readonly { id: string; name: string }[];
		dates: { today: string; usual: string; latest: string };
		/** What was refused, and why. */
		refused: { message: string; poll: { question: string; choices: string[]; closesOn: string } } | null;
	}
	let { teams, dates, refused }: Props = $props();
	const { leastChoices, mostChoices } = POLL_LIMITS;
	// svelte-ignore state_referenced_locally
	let fields = $state(Math.max(leastChoices + 1, refused?.poll.choices.length ?? 0));
</script>

<form method="post" action="?/poll" class="flex flex-col gap-2" use:enhance>
	<label class="flex flex-col gap-1"
		><span class="font-semibold">Question</span><input
			class="input w-full"
			name="question"
			maxlength={POLL_LIMITS.question}
			required
			placeholder="When shall we meet for the last session?"
			value={refused?.poll.question ?? ''}
		/></label
	>
	<fieldset class="flex flex-col gap-1">
		<legend class="font-semibold">Answers</legend>
		{#each { length: fields }, i}
			<input
				class="input input-sm w-full"
				name="choice"
				maxlength={POLL_LIMITS.choice}
				aria-label="Answer {i + 1}"
				required={i < leastChoices}
				value={refused?.poll.choices[i] ?? ''}
			/>
		{/each}
		{#if fields < mostChoices}<button
				type="button"
				class="link-quiet self-start text-sm"
				onclick={() => fields++}>One more answer</button
			>{/if}
	</fieldset>
	<div class="flex flex-wrap items-end gap-3">
		<label class="flex flex-col gap-1 text-sm"
			><span class="font-semibold">To</span>
			<select class="select select-sm w-48" name="to">
				<option value="all">Everyone</option>
				{#each teams as team (team.id)}<option value="team:{team.id}">Team {team.name}</option>{/each}
				{#each LEVELS as level (level)}<option value="level:{level}">Level: {level}</option>{/each}
			</select></label
		>
		<label class="flex flex-col gap-1 text-sm"
			><span class="font-semibold">Last day</span>
			<input
				type="date"
				class="input input-sm w-40"
				name="closesOn"
				min={dates.today}
				max={dates.latest}
				value={refused?.poll.closesOn ?? dates.usual}
			/></label
		>
	</div>
	<label class="flex items-center gap-2 text-sm"
		><input type="checkbox" class="checkbox checkbox-sm" name="shown" checked /> Whoever has answered sees the numbers</label
	>
	<p class="quiet text-sm">You see who said what, and the form tells them so.</p>
	{#if refused}<p class="field-fault" role="alert">{refused.message}</p>{/if}
	<button class="btn btn-primary btn-sm self-start">Ask</button>
</form>
