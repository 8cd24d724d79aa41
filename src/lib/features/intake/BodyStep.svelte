<script lang="ts">
	import { AGE_BANDS, areaText, SORE_PLACES, type SorePlace, type Soreness } from '$core/health';
	import Choice from './Choice.svelte';
	import type { Answers } from './intake.svelte';
	import NumberInput from './NumberInput.svelte';

	let { body = $bindable(), faults }: { body: Answers['body']; faults: Record<string, string> } = $props();

	const HOW: readonly { value: Soreness; label: string }[] = [
		{ value: 'now', label: 'hurts now' },
		{ value: 'sharp', label: 'sharp, or getting worse' },
		{ value: 'before', label: 'in the past' }
	];
	const howIs = (place: SorePlace) => body.hurts.find((one) => one.place === place)?.how;
	function set(place: SorePlace, how: Soreness | null) {
		if (how === null) body.hurts = body.hurts.filter((one) => one.place !== place);
		else if (howIs(place)) body.hurts = body.hurts.map((one) => (one.place === place ? { place, how } : one));
		else body.hurts = [...body.hurts, { place, how }];
	}

	/** One of the two alone has weeks. */
	const onlyWeeksOf = (expecting: Answers['body']['expecting']) => {
		if (expecting !== 'pregnant') body.pregnantWeek = null;
		if (expecting !== 'born') body.birthWeeks = null;
	};
</script>

<Choice
	legend="How old are you?"
	name="age"
	columns={2}
	options={AGE_BANDS.map((band) => ({ value: band, label: band }))}
	bind:value={body.age}
	fault={faults.age}
/>
<fieldset>
	<legend class="font-head mb-1 text-lg font-bold">Any pain, now or before?</legend>
	<div class="flex flex-wrap gap-2">
		{#each SORE_PLACES as place (place)}
			<button
				type="button"
				class={[
					'min-h-11 rounded border px-3 font-semibold',
					howIs(place) ? 'bg-primary text-primary-content border-primary' : 'bg-base-100 border-base-300'
				]}
				aria-pressed={howIs(place) !== undefined}
				onclick={() => set(place, howIs(place) ? null : 'now')}>{areaText(place)}</button
			>
		{/each}
	</div>
	{#if body.hurts.length > 0}
		<ul class="panel divide-base-300 mt-2 divide-y px-3">
			{#each body.hurts as { place, how } (place)}
				<li class="flex min-h-14 items-center justify-between gap-3">
					<label for="hurts-{place}" class="font-semibold"
						><span class="first-letter:uppercase inline-block">{areaText(place)}</span></label
					>
					<select
						id="hurts-{place}"
						class="select min-h-11 w-48"
						value={how}
						onchange={(event) => set(place, event.currentTarget.value as Soreness)}
					>
						{#each HOW as { value, label } (value)}<option {value}>{label}</option>{/each}
					</select>
				</li>
			{/each}
		</ul>
	{/if}
	{#if faults.hurts}<p class="field-fault" role="alert">{faults.hurts}</p>{/if}
	<input
		class="input mt-2 min-h-12 w-full text-[17px]"
		maxlength="300"
		placeholder="Somewhere else, in your words"
		aria-label="What else hurts, or did"
		bind:value={body.hurtsElsewhere}
	/>
</fieldset>
<Choice
	legend="Can you exercise standing?"
	name="stance"
	columns={3}
	options={[
		{ value: 'freely', label: 'Yes' },
		{ value: 'with a support', label: 'Holding on' },
		{ value: 'seated', label: 'I sit' }
	]}
	bind:value={body.stance}
	fault={faults.stance}
/>
<Choice
	legend="Your balance"
	name="balance"
	columns={2}
	options={[
		{ value: 'steady', label: 'steady' },
		{ value: 'unsure', label: 'not always sure' }
	]}
	bind:value={body.balance}
	fault={faults.balance}
/>
<Choice
	legend="Down to the floor and up again"
	name="floor"
	columns={3}
	options={[
		{ value: 'easy', label: 'easy' },
		{ value: 'with help', label: 'with a hand on something' },
		{ value: 'rather not', label: 'rather not' }
	]}
	bind:value={body.floor}
	fault={faults.floor}
/>
<Choice
	legend="Pregnancy and birth"
	name="expecting"
	columns={3}
	options={[
		{ value: 'no', label: 'neither' },
		{ value: 'pregnant', label: 'pregnant' },
		{ value: 'born', label: 'gave birth lately' }
	]}
	bind:value={
		() => body.expecting,
		(expecting) => {
			body.expecting = expecting;
			onlyWeeksOf(expecting);
		}
	}
	fault={faults.expecting}
/>
{#if body.expecting === 'pregnant'}
	<div>
		<p class="flex items-center gap-2">
			Week <NumberInput label="Week of the pregnancy" bind:value={body.pregnantWeek} /> of the pregnancy
		</p>
		{#if faults.pregnantWeek}<p class="field-fault" role="alert">{faults.pregnantWeek}</p>{/if}
	</div>
{:else if body.expecting === 'born'}
	<div>
		<p class="flex items-center gap-2">
			<NumberInput label="Weeks since the birth" bind:value={body.birthWeeks} /> weeks ago
		</p>
		{#if faults.birthWeeks}<p class="field-fault" role="alert">{faults.birthWeeks}</p>{/if}
	</div>
{/if}
