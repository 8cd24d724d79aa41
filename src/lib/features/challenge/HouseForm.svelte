<script lang="ts">
	import { enhance } from '$app/forms';
	import { COUNT_RULES, DEPTH_RULES, KNEE_RULES, LAST_REST_RULES, type HouseRules } from '$core/practice';

	/** How a coach wants things done where coaches differ. */
	let { house }: { house: HouseRules } = $props();
	const choices = $derived([
		{ name: 'knee', label: 'Knees in squats and lunges', value: house.knee, rules: KNEE_RULES },
		{ name: 'depth', label: 'Depth', value: house.depth, rules: DEPTH_RULES },
		{ name: 'count', label: 'What counts', value: house.count, rules: COUNT_RULES },
		{
			name: 'lastRest',
			label: 'Rest after a block’s last round',
			value: house.lastRest,
			rules: LAST_REST_RULES
		}
	]);
	const numbers = $derived([
		{
			name: 'betweenBlocks',
			label: 'From one block to the next, s',
			value: house.betweenBlocks,
			min: 0,
			max: 600
		},
		{ name: 'stretchHold', label: 'Stretches are held, s', value: house.stretchHold, min: 5, max: 120 },
		{ name: 'minuteLeft', label: 'Rest that a minute leaves, s', value: house.minuteLeft, min: 1, max: 45 },
		{
			name: 'floorChanges',
			label: 'Times down to the floor, at most',
			value: house.floorChanges,
			min: 0,
			max: 50
		},
		{ name: 'warmUp', label: 'Warm-up at least, min', value: house.warmUp, min: 0, max: 30 },
		{ name: 'coolDown', label: 'Cool-down at least, min', value: house.coolDown, min: 0, max: 30 },
		{
			name: 'hardSets',
			label: 'Sets that make a day hard for a muscle',
			value: house.hardSets,
			min: 1,
			max: 30
		},
		{ name: 'weekSets', label: 'Sets a muscle and week to reach', value: house.weekSets, min: 1, max: 40 },
		{ name: 'riseMost', label: 'A week rises by at most, %', value: house.riseMost, min: 1, max: 100 },
		{ name: 'steadyAWeek', label: 'Steady cardio a week', value: house.steadyAWeek, min: 0, max: 7 },
		{ name: 'hardAWeek', label: 'Hard cardio a week', value: house.hardAWeek, min: 0, max: 7 },
		{ name: 'dullAfter', label: 'New again after, sessions', value: house.dullAfter, min: 1, max: 40 },
		{
			name: 'silentFrom',
			label: 'Silent from, days without a check-in',
			value: house.silentFrom,
			min: 1,
			max: 14
		},
		{
			name: 'fadingFrom',
			label: 'Fading from, points under the week before',
			value: house.fadingFrom,
			min: 5,
			max: 100
		},
		{
			name: 'laterBy',
			label: 'Checks in later than before by, hours',
			value: house.laterBy,
			min: 1,
			max: 24
		},
		{
			name: 'hardEffort',
			label: 'Too hard from, effort twice running',
			value: house.hardEffort,
			min: 5,
			max: 10
		},
		{
			name: 'againAfter',
			label: 'Comes up again after, days',
			value: house.againAfter,
			min: 1,
			max: 28
		},
		{
			name: 'finishFrom',
			label: 'Has finished from, % of all work',
			value: house.finishFrom,
			min: 10,
			max: 100
		}
	]);
</script>

<form
	method="post"
	action="?/house"
	use:enhance={() =>
		async ({ update }) =>
			update({ reset: false })}
	class="panel grid max-w-3xl gap-4 p-4 sm:grid-cols-2 lg:grid-cols-3"
>
	{#each choices as { name, label, value, rules } (name)}
		<label
			><span class="label-text">{label}</span><select class="select select-sm mt-1 w-full" {name} {value}
				>{#each rules as rule (rule)}<option>{rule}</option>{/each}</select
			></label
		>
	{/each}
	<label
		><span class="label-text">Tempo where none is given</span><input
			class="input input-sm clock mt-1 w-full"
			name="tempo"
			value={house.tempo.join('-')}
		/></label
	>
	{#each numbers as { name, label, value, min, max } (name)}
		<label
			><span class="label-text">{label}</span><input
				type="number"
				class="input input-sm mt-1 w-full"
				{name}
				{min}
				{max}
				{value}
			/></label
		>
	{/each}
	<p class="quiet text-[13px] sm:col-span-2 lg:col-span-3">
		Warm-up, cool-down and stretches as set here follow ACSM’s Guidelines for Exercise Testing and
		Prescription (from memory: 5 to 10 min, 10 to 30 s, older adults 30 to 60 s); ten sets a muscle and week
		follow Schoenfeld, Ogborn and Krieger 2017. The rest is common practice, no source.
	</p>
	<p class="sm:col-span-2 lg:col-span-3">
		<button class="btn btn-primary btn-sm">Save the house rules</button>
	</p>
</form>
