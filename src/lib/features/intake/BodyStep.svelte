<script lang="ts">
	import { AGE_BANDS, SORE_PLACES, type SorePlace, type Soreness } from '$core/health';
	import Choice from './Choice.svelte';
	import type { Answers } from './intake.svelte';

	let { body = $bindable(), faults }: { body: Answers['body']; faults: Record<string, string> } = $props();

	const PLACES: Record<SorePlace, string> = {
		knee: 'Knee',
		hip: 'Hip',
		back: 'Back',
		shoulder: 'Shoulder',
		wrist: 'Wrist'
	};
	const HOW: readonly { value: Soreness | ''; label: string }[] = [
		{ value: '', label: 'fine' },
		{ value: 'before', label: 'it did once' },
		{ value: 'now', label: 'hurts now' },
		{ value: 'sharp', label: 'sharp, or getting worse' }
	];
	const howIs = (place: SorePlace) => body.hurts.find((one) => one.place === place)?.how ?? '';
	function set(place: SorePlace, how: string) {
		const rest = body.hurts.filter((one) => one.place !== place);
		body.hurts = how === '' ? rest : [...rest, { place, how: how as Soreness }];
	}

	let expecting = $derived<'no' | 'pregnant' | 'born'>(
		body.pregnantWeek !== null ? 'pregnant' : body.birthWeeks !== null ? 'born' : 'no'
	);
	function expect(which: string) {
		body.pregnantWeek = which === 'pregnant' ? (body.pregnantWeek ?? 12) : null;
		body.birthWeeks = which === 'born' ? (body.birthWeeks ?? 6) : null;
	}
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
	<legend class="font-head mb-1 text-lg font-bold">What hurts, or did?</legend>
	<ul class="panel divide-base-300 divide-y px-3">
		{#each SORE_PLACES as place (place)}
			<li class="flex min-h-14 items-center justify-between gap-3">
				<label for="hurts-{place}" class="font-semibold">{PLACES[place]}</label>
				<select
					id="hurts-{place}"
					class="select min-h-11 w-48"
					value={howIs(place)}
					onchange={(event) => set(place, event.currentTarget.value)}
				>
					{#each HOW as { value, label } (value)}<option {value}>{label}</option>{/each}
				</select>
			</li>
		{/each}
	</ul>
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
	legend="How do you train?"
	name="stance"
	columns={3}
	options={[
		{ value: 'freely', label: 'standing' },
		{ value: 'with a support', label: 'holding on' },
		{ value: 'seated', label: 'seated' }
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
<fieldset>
	<legend class="font-head mb-1 text-lg font-bold">Pregnancy and birth</legend>
	<div class="grid grid-cols-3 gap-2">
		{#each [['no', 'neither'], ['pregnant', 'pregnant'], ['born', 'gave birth lately']] as const as [value, label] (value)}
			<label
				class={[
					'flex min-h-12 cursor-pointer items-center justify-center rounded border px-2 text-center font-semibold has-focus-visible:outline-2',
					expecting === value
						? 'bg-primary text-primary-content border-primary'
						: 'bg-base-100 border-base-300'
				]}
			>
				<input
					class="sr-only"
					type="radio"
					name="expecting"
					{value}
					checked={expecting === value}
					onchange={() => expect(value)}
				/>{label}
			</label>
		{/each}
	</div>
	{#if body.pregnantWeek !== null}
		<label class="mt-2 flex items-center gap-2"
			>Week <input
				type="number"
				class="input min-h-12 w-20"
				min="1"
				max="42"
				bind:value={body.pregnantWeek}
			/> of the pregnancy</label
		>
		{#if faults.pregnantWeek}<p class="field-fault" role="alert">{faults.pregnantWeek}</p>{/if}
	{/if}
	{#if body.birthWeeks !== null}
		<label class="mt-2 flex items-center gap-2"
			><input type="number" class="input min-h-12 w-20" min="0" max="104" bind:value={body.birthWeeks} /> weeks
			ago</label
		>
		{#if faults.birthWeeks}<p class="field-fault" role="alert">{faults.birthWeeks}</p>{/if}
	{/if}
</fieldset>
