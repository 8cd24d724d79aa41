<script lang="ts">
	import Choice from './Choice.svelte';
	import type { Answers } from './intake.svelte';

	let { training = $bindable(), faults }: { training: Answers['training']; faults: Record<string, string> } =
		$props();
	const MINUTES = [15, 20, 30, 45, 60] as const;
</script>

<Choice
	legend="How much training have you done?"
	name="level"
	options={[
		{ value: 'beginner', label: 'Beginner', says: 'New to strength training, or back after a long break.' },
		{
			value: 'some experience',
			label: 'Some experience',
			says: 'A few months of training; squats, push-ups and rows are familiar.'
		},
		{ value: 'trained', label: 'Trained', says: 'Strength training every week for a year or more.' }
	]}
	bind:value={training.level}
	fault={faults.level}
/>
<Choice
	legend="Training with weights"
	name="weights"
	columns={3}
	options={[
		{ value: 'never', label: 'Never' },
		{ value: 'some', label: 'Sometimes' },
		{ value: 'regularly', label: 'Regularly' }
	]}
	bind:value={training.weights}
	fault={faults.weights}
/>
<Choice
	legend="Have you trained three days a week or more, for the last three months?"
	hint="Brisk walking, cycling and the like count."
	name="active"
	columns={2}
	options={[
		{ value: true, label: 'Yes' },
		{ value: false, label: 'No' }
	]}
	bind:value={training.active}
	fault={faults.active}
/>
<Choice
	legend="Minutes you have for a session"
	name="minutes"
	columns={5}
	options={MINUTES.map((minutes) => ({ value: minutes, label: String(minutes) }))}
	bind:value={training.minutes}
	fault={faults.minutes}
/>
<label class="block">
	<span class="font-head text-lg font-bold">What do you want to get out of it?</span>
	<textarea
		class="textarea mt-1 w-full text-[17px]"
		rows="2"
		maxlength="300"
		placeholder="Carry my own pack up again"
		bind:value={training.goals}></textarea>
	{#if faults.goals}<span class="field-fault block" role="alert">{faults.goals}</span>{/if}
</label>
