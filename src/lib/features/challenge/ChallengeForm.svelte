<script lang="ts">
	import { QUESTION_KEYS, QUESTIONS, type Question } from '$core/wellbeing';
	import { superForm, type SuperValidated } from 'sveltekit-superforms';
	import { calendarOf, type Calendar } from '$core/calendar';
	import { type Template } from '$core/plan';
	import { daysBetween, isDate, weekdayOf } from '$core/calendar';
	import { counted, WEEKDAYS } from '$lib/format';
	import CalendarPreview from './CalendarPreview.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ZoneInput from '$lib/ui/ZoneInput.svelte';

	type Values = {
		name: string;
		goal: string;
		startsOn: string;
		weeks: number;
		trainingDays: number[];
		budgetMinutes: number;
		ownZones: boolean;
		releaseZone: string;
		opensAt: string;
		lateHours: number;
		lateWorth: number;
		partial: string;
		afterClose: string;
		lateJoiners: string;
		catchUpDays: number;
		waitsForAnswers: boolean;
		asksWeekly: boolean;
		questions: Question[];
		template?: string;
	};
	interface Props {
		/** The coach’s date. */
		today: string;
		form: SuperValidated<Values>;
		zones: string[];
		submit: string;
		action?: string;
		message?: string | null;
		/** What a new challenge can start from. */
		templates?: readonly Template[];
	}
	let { today, form: given, zones, submit, action = '', message = null, templates = [] }: Props = $props();
	// svelte-ignore state_referenced_locally
	const { form, errors, enhance, submitting } = superForm(given, {
		resetForm: false,
		dataType: 'json',
		taintedMessage: 'Leave without saving what you changed?'
	});

	/** The whole calendar as it will be, or why there is none yet. */
	const preview = $derived.by((): { calendar: Calendar } | { why: string } => {
		try {
			return {
				calendar: calendarOf({
					startsOn: $form.startsOn,
					weeks: Number($form.weeks),
					trainingDays: $form.trainingDays
				})
			};
		} catch {
			return {
				why: 'The calendar shows as soon as the start is a day of the calendar and there are 1 to 12 weeks.'
			};
		}
	});

	const pastWords = $derived.by(() => {
		const gone = isDate($form.startsOn) ? daysBetween($form.startsOn, today) : 0;
		if (gone <= 0) return undefined;
		if (gone >= $form.weeks * 7) return 'It would be over already';
		const open = `${counted(gone, 'day')} ago: ${gone === 1 ? 'that day is' : 'those days are'} open at once`;
		const first = $form.lateJoiners === 'own' ? 1 : Math.max(1, gone + 1 - $form.catchUpDays);
		return `${open}; who joins now begins ${$form.lateJoiners === 'own' ? 'at an own day 1' : `on day ${first}`}`;
	});

	/** Takes over the frame of a template; its week begins with day 1, whatever weekday that is. */
	function useTemplate(template: Template | null) {
		$form.template = template?.key ?? '';
		if (!template) return;
		const first = isDate($form.startsOn) ? weekdayOf($form.startsOn) : 1;
		$form.weeks = template.days / 7;
		$form.budgetMinutes = template.budgetMinutes;
		$form.trainingDays = template.trainingDays
			.map((day) => ((day + first - 2) % 7) + 1)
			.sort((a, b) => a - b);
	}

	function toggle(day: number) {
		$form.trainingDays = $form.trainingDays.includes(day)
			? $form.trainingDays.filter((d) => d !== day)
			: [...$form.trainingDays, day].sort((a, b) => a - b);
	}
</script>

<form method="post" {action} use:enhance class="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_26rem]">
	<div class="flex flex-col gap-4">
		{#if templates.length > 0}
			<fieldset class="panel p-4">
				<legend class="font-head float-left mb-2 w-full text-lg font-bold">Start from a template</legend>
				<div class="clear-both grid gap-2 sm:grid-cols-2">
					{#each templates as template (template.key)}
						<label
							class={[
								'flex cursor-pointer gap-2.5 rounded border p-2.5 text-sm',
								$form.template === template.key ? 'border-primary bg-primary/10' : 'border-base-300'
							]}
						>
							<input
								type="radio"
								class="radio radio-sm mt-0.5"
								name="template"
								value={template.key}
								checked={$form.template === template.key}
								onchange={() => useTemplate(template)}
							/>
							<span
								><b>{template.name}</b>, {template.budgetMinutes} min
								<span class="quiet block text-[13px]">{template.forWhom} {template.why}</span></span
							>
						</label>
					{/each}
					<label class="border-base-300 flex cursor-pointer gap-2.5 rounded border p-2.5 text-sm">
						<input
							type="radio"
							class="radio radio-sm mt-0.5"
							name="template"
							value=""
							checked={!$form.template}
							onchange={() => useTemplate(null)}
						/>
						<span
							><b>None</b>
							<span class="quiet block text-[13px]">Empty plan.</span></span
						>
					</label>
				</div>
				<p class="quiet mt-2 text-[13px]">
					A template brings ready-made sessions, tests and progression. You can change everything.
				</p>
			</fieldset>
		{/if}
		<section class="panel grid gap-4 p-4 sm:grid-cols-2">
			<h2 class="sm:col-span-2">Name and goal</h2>
			<Field label="Name" id="name" fault={$errors.name}>
				<input id="name" name="name" class="input w-full" bind:value={$form.name} maxlength="80" />
			</Field>
			<Field
				label="Goal"
				id="goal"
				fault={$errors.goal}
				hint="One that can be tested: “carry 20 kg up 400 m”"
			>
				<input id="goal" name="goal" class="input w-full" bind:value={$form.goal} maxlength="300" />
			</Field>
		</section>
		<section class="panel grid gap-4 p-4 sm:grid-cols-3">
			<h2 class="sm:col-span-3">When</h2>
			<Field label="Starts on" id="startsOn" fault={$errors.startsOn} hint={pastWords}>
				<input id="startsOn" name="startsOn" type="date" class="input w-full" bind:value={$form.startsOn} />
			</Field>
			<Field label="Weeks" id="weeks" fault={$errors.weeks} hint="1 to 12">
				<input
					id="weeks"
					name="weeks"
					type="number"
					min="1"
					max="12"
					class="input w-full"
					bind:value={$form.weeks}
				/>
			</Field>
			<Field
				label="Session budget, minutes"
				id="budgetMinutes"
				fault={$errors.budgetMinutes}
				hint="15, 20, 30 and 45 are usual"
			>
				<input
					id="budgetMinutes"
					name="budgetMinutes"
					type="number"
					min="5"
					max="180"
					class="input w-full"
					bind:value={$form.budgetMinutes}
				/>
			</Field>
			<fieldset class="sm:col-span-3">
				<legend class="label-text mb-1">Training days</legend>
				<div class="flex flex-wrap gap-1.5">
					{#each WEEKDAYS as weekday, i (weekday)}
						<button
							type="button"
							aria-pressed={$form.trainingDays.includes(i + 1)}
							class={[
								'btn btn-sm min-w-14',
								$form.trainingDays.includes(i + 1) ? 'btn-primary' : 'btn-outline border-base-300'
							]}
							onclick={() => toggle(i + 1)}>{weekday}</button
						>
					{/each}
				</div>
				{#if $errors.trainingDays?._errors}<p class="field-fault" role="alert">
						{$errors.trainingDays._errors.join(' ')}
					</p>{/if}
			</fieldset>
		</section>
		<section class="panel grid gap-4 p-4 sm:grid-cols-2">
			<h2 class="sm:col-span-2">Release</h2>
			<Field label="A day opens at" id="opensAt" fault={$errors.opensAt}>
				<input id="opensAt" name="opensAt" type="time" class="input w-full" bind:value={$form.opensAt} />
			</Field>
			<fieldset>
				<legend class="label-text mb-1">on whose clock</legend>
				<label class="flex items-center gap-2 py-1"
					><input type="radio" class="radio radio-sm" bind:group={$form.ownZones} value={true} /> each person’s
					own</label
				>
				<label class="flex items-center gap-2 py-1"
					><input type="radio" class="radio radio-sm" bind:group={$form.ownZones} value={false} /> one zone for
					all</label
				>
				{#if !$form.ownZones}
					<ZoneInput
						class="input input-sm mt-1 w-full"
						label="Zone for all"
						{zones}
						bind:value={$form.releaseZone}
					/>
					{#if $errors.releaseZone}<p class="field-fault" role="alert">
							{$errors.releaseZone.join(' ')}
						</p>{/if}
				{/if}
			</fieldset>
			<Field
				label="Late joiners"
				id="lateJoiners"
				fault={$errors.lateJoiners}
				hint="On the group’s day, the days before count as excused"
			>
				<select id="lateJoiners" class="select w-full" bind:value={$form.lateJoiners}>
					<option value="group">join on the group’s day</option>
					<option value="own">begin at their own day 1</option>
				</select>
			</Field>
			{#if $form.lateJoiners === 'group'}
				<Field
					label="Days to catch up, after joining late"
					id="catchUpDays"
					fault={$errors.catchUpDays}
					hint="So many of the days before may still be done, within as many days; 0: none"
				>
					<input
						id="catchUpDays"
						type="number"
						class="input w-full"
						min="0"
						max="14"
						bind:value={$form.catchUpDays}
					/>
				</Field>
			{/if}
			<div>
				<label class="flex items-start gap-2"
					><input type="checkbox" class="checkbox checkbox-sm mt-0.5" bind:checked={$form.waitsForAnswers} />
					<span
						>Health questions come first
						<span class="quiet block text-[13px]"
							>Nothing is released to anybody before they have answered; a warning sign waits for a clearance
							in any case</span
						></span
					></label
				>
				<label class="mt-2 flex items-start gap-2"
					><input type="checkbox" class="checkbox checkbox-sm mt-0.5" bind:checked={$form.asksWeekly} />
					<span
						>Ask once a week whether anything has changed
						<span class="quiet block text-[13px]"
							>Who takes part and has not answered for seven days is asked on their own page</span
						></span
					></label
				>
				<fieldset class="mt-3">
					<legend class="label-text">Asked at each check-in</legend>
					<p class="quiet text-[13px]">
						Beside how much was done, how hard it was and whether anything hurts. A minute is enough for about
						five.
					</p>
					<div class="mt-1 grid gap-x-4 sm:grid-cols-2">
						{#each QUESTION_KEYS as key (key)}
							<label class="flex items-center gap-2"
								><input
									type="checkbox"
									class="checkbox checkbox-sm"
									value={key}
									bind:group={$form.questions}
								/>
								{QUESTIONS[key]}</label
							>
						{/each}
					</div>
				</fieldset>
			</div>
		</section>
		<section class="panel grid gap-4 p-4 sm:grid-cols-2">
			<h2 class="sm:col-span-2">Scoring</h2>
			<Field
				label="Late until, hours after the day"
				id="lateHours"
				fault={$errors.lateHours}
				hint="A day ends at its midnight"
			>
				<input
					id="lateHours"
					type="number"
					min="0"
					max="168"
					class="input w-full"
					bind:value={$form.lateHours}
				/>
			</Field>
			<Field label="A late result counts, %" id="lateWorth" fault={$errors.lateWorth}>
				<input
					id="lateWorth"
					type="number"
					min="0"
					max="100"
					class="input w-full"
					bind:value={$form.lateWorth}
				/>
			</Field>
			<Field label="Part of the work" id="partial" fault={$errors.partial}>
				<select id="partial" class="select w-full" bind:value={$form.partial}>
					<option value="share">earns that part of the credit</option>
					<option value="strict">earns nothing: all or nothing</option>
				</select>
			</Field>
			<Field label="After that" id="afterClose" fault={$errors.afterClose}>
				<select id="afterClose" class="select w-full" bind:value={$form.afterClose}>
					<option value="store">kept, but counts nothing</option>
					<option value="refuse">not taken</option>
				</select>
			</Field>
		</section>
		{#if message}<p class="field-fault" role="alert">{message}</p>{/if}
		<div><button class="btn btn-primary" disabled={$submitting}>{submit}</button></div>
	</div>

	<aside class="panel sticky top-3 p-4" aria-live="polite">
		<h2 class="mb-2">The calendar it makes</h2>
		{#if 'calendar' in preview}
			<CalendarPreview calendar={preview.calendar} />
		{:else}<p class="quiet">{preview.why}</p>{/if}
	</aside>
</form>
