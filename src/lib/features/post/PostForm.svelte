<script lang="ts">
	import { enhance } from '$app/forms';
	import { audienceFrom, SUBJECT_LENGTH, type SavedTemplate } from '$contracts/post';
	import { MOST_LETTERS } from '$contracts/message';
	import { LEVELS } from '$core/people';
	import { isMeant, STARTERS, type Addressee } from '$core/post';
	import { readTemplate, TEMPLATE_FIELDS, type FieldValues } from '$core/text/template';
	import { REASON_GROUPS } from '$core/triage';
	import { counted } from '$lib/format';
	import { Submission } from '$lib/ui/submission.svelte';
	import PostPreview from './PostPreview.svelte';
	import { audienceText } from './post-words';

	/** A message to several people, with what each of them will read beside it. */
	interface Props {
		id: string;
		people: readonly (Addressee & { name: string; zone: string; mailed: boolean; values: FieldValues })[];
		teams: readonly { id: string; name: string }[];
		templates: readonly SavedTemplate[];
		/** By the clock of whoever is written to. */
		quiet: { from: string; to: string };
		dates: { today: string; tomorrow: string; latest: string };
		refused: string | null;
	}
	let { id, people, teams, templates, quiet, dates, refused }: Props = $props();

	let to = $state('all');
	let picked = $state<string[]>([]);
	let subject = $state('');
	let text = $state('');
	let when = $state('now');
	// svelte-ignore state_referenced_locally
	let date = $state(dates.tomorrow);
	let time = $state('07:30');
	let template = $state('');
	let field: HTMLTextAreaElement | undefined = $state();
	const sending = new Submission();

	const audience = $derived(audienceFrom(to, picked));
	const meant = $derived(audience ? people.filter((one) => isMeant(one, audience)) : []);
	const count = (value: string) => {
		const one = audienceFrom(value, []);
		return one ? people.filter((person) => isMeant(person, one)).length : 0;
	};
	const choices = $derived([
		{ value: 'all', text: 'Everyone' },
		{ value: 'to do', text: 'Those who haven’t done today' },
		...REASON_GROUPS.map((group) => ({
			value: `need:${group}`,
			text: audienceText({ kind: 'need', group }, () => '').replace(/^t/, 'T')
		})),
		...teams.map((team) => ({ value: `team:${team.id}`, text: `Team ${team.name}` })),
		...LEVELS.map((level) => ({ value: `level:${level}`, text: `Level: ${level}` }))
	]);
	const faults = $derived([
		...readTemplate(subject).faults.map(({ message }) => `Subject: ${message}`),
		...readTemplate(text).faults.map(({ line, message }) => `Line ${line}: ${message}`)
	]);

	function useTemplate() {
		const found =
			templates.find((one) => one.id === template) ?? STARTERS.find(({ name }) => name === template);
		if (!found) return;
		subject = found.subject;
		text = found.text;
	}

	function writeOnlyTo(ids: string[]) {
		to = 'people';
		picked = ids;
	}

	function insert(name: string) {
		const at = field?.selectionStart ?? text.length;
		text = `${text.slice(0, at)}{${name}}${text.slice(field?.selectionEnd ?? at)}`;
		field?.focus();
	}
</script>

<div class="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
	<form
		method="post"
		action="?/send"
		class="panel flex flex-col gap-3 p-4"
		use:enhance={sending.watch(({ update }) => update({ reset: false }))}
	>
		<input type="hidden" name="id" value={id} />
		<div class="flex flex-wrap gap-x-4 gap-y-2">
			<label class="flex flex-col text-sm"
				><span class="label-text">To</span>
				<select class="select select-sm w-64" name="to" bind:value={to}>
					{#each choices as choice (choice.value)}<option value={choice.value}
							>{choice.text} ({count(choice.value)})</option
						>{/each}
					<option value="people">Chosen one by one ({picked.length})</option>
				</select></label
			>
			<label class="flex flex-col text-sm"
				><span class="label-text">Template</span>
				<select class="select select-sm w-52" bind:value={template} onchange={useTemplate}>
					<option value="">none</option>
					{#if templates.length > 0}<optgroup label="Yours">
							{#each templates as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
						</optgroup>{/if}
					<optgroup label="To begin with">
						{#each STARTERS as one (one.name)}<option value={one.name}>{one.name}</option>{/each}
					</optgroup>
				</select></label
			>
		</div>
		{#if to === 'people'}
			<fieldset class="border-base-300 max-h-40 overflow-y-auto rounded border p-2 text-sm">
				<legend class="sr-only">People</legend>
				<div class="grid gap-x-3 sm:grid-cols-2">
					{#each people as one (one.id)}
						<label class="flex items-center gap-2"
							><input
								type="checkbox"
								class="checkbox checkbox-xs"
								name="person"
								value={one.id}
								bind:group={picked}
							/>{one.name}</label
						>
					{/each}
				</div>
			</fieldset>
		{/if}
		<label class="flex flex-col"
			><span class="label-text">Subject</span>
			<input class="input w-full" name="subject" maxlength={SUBJECT_LENGTH} bind:value={subject} /></label
		>
		<label class="flex flex-col"
			><span class="label-text">Message</span>
			<textarea
				class="textarea w-full text-[15px]"
				name="text"
				rows="9"
				maxlength={MOST_LETTERS}
				data-write
				bind:this={field}
				bind:value={text}></textarea></label
		>
		<p class="flex flex-wrap items-center gap-1.5 text-sm">
			<span class="quiet">Put in:</span>
			{#each Object.entries(TEMPLATE_FIELDS) as [name, means] (name)}
				<button
					type="button"
					class="bg-base-200 hover:bg-base-300 rounded px-1.5"
					title={means}
					onclick={() => insert(name)}>{name}</button
				>
			{/each}
		</p>
		<fieldset class="flex flex-wrap items-center gap-x-4 gap-y-2 text-sm">
			<legend class="sr-only">When it goes</legend>
			<label class="flex items-center gap-1.5"
				><input type="radio" class="radio radio-xs" name="when" value="now" bind:group={when} /> Send now</label
			>
			<label class="flex items-center gap-1.5"
				><input type="radio" class="radio radio-xs" name="when" value="later" bind:group={when} /> Send later</label
			>
			{#if when === 'later'}
				<label
					>on <input
						type="date"
						class="input input-sm w-40"
						name="date"
						min={dates.today}
						max={dates.latest}
						bind:value={date}
					/></label
				>
				<label
					>at <input type="time" class="input input-sm w-28" name="time" bind:value={time} />
					<span class="quiet">by each person’s own clock</span></label
				>
			{/if}
		</fieldset>
		<p class="quiet text-sm">
			It appears in the app at once; the email waits while it is {quiet.from} to {quiet.to} where they are.
		</p>
		{#each faults as fault (fault)}<p class="field-fault">{fault}</p>{/each}
		{#if refused}<p class="field-fault" role="alert">{refused}</p>{/if}
		<div class="flex flex-wrap items-center gap-3">
			<button class="btn btn-primary" disabled={sending.cancel !== null || faults.length > 0}
				>{when === 'now' ? 'Send to' : 'Plan for'} {counted(meant.length, 'person', 'people')}</button
			>
			<details class="text-sm">
				<summary class="link-quiet cursor-pointer">Keep as a template</summary>
				<div class="mt-2 flex flex-wrap items-end gap-2">
					<label>Name <input class="input input-sm flex w-48" name="name" maxlength="60" /></label>
					<button class="btn btn-outline btn-sm" formaction="?/keep">Keep</button>
					{#if template}
						<input type="hidden" name="template" value={template} />
						<button class="link-quiet" formaction="?/forget">Delete the chosen one</button>
					{/if}
				</div>
			</details>
		</div>
	</form>
	<PostPreview people={meant} {subject} {text} later={when === 'later'} only={writeOnlyTo} />
</div>
